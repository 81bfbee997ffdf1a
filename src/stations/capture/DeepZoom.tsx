'use client';
import { useEffect, useRef } from 'react';
import styled from 'styled-components';

const Frame = styled.div`
  flex: 1;
  min-height: 0;
  background: var(--table);
  border: 1px solid var(--line);
`;

interface DeepZoomProps {
  sha256: string;
  width: number;
  height: number;
  tile: number;
  top: number;
  label: string;
}

/** The master's tiles in a viewer: wheel, drag, plus and minus, arrow keys. */
export function DeepZoom({ sha256, width, height, tile, top, label }: DeepZoomProps) {
  const element = useRef<HTMLDivElement>(null);
  useEffect(() => {
    let viewer: { destroy(): void } | undefined;
    let gone = false;
    void import('openseadragon').then(({ default: OpenSeadragon }) => {
      if (gone || !element.current) return;
      viewer = OpenSeadragon({
        element: element.current,
        tileSources: {
          width,
          height,
          tileSize: tile,
          tileOverlap: 0,
          minLevel: 0,
          maxLevel: top,
          getTileUrl: (level: number, x: number, y: number) =>
            `/api/tiles/${sha256}/${level}/${x}_${y}.jpg`,
        },
        showNavigationControl: false,
        animationTime: window.matchMedia('(prefers-reduced-motion: reduce)').matches
          ? 0
          : 0.3,
        maxZoomPixelRatio: 2,
        visibilityRatio: 0.6,
        gestureSettingsMouse: { clickToZoom: false, dblClickToZoom: true },
      });
    });
    return () => {
      gone = true;
      viewer?.destroy();
    };
  }, [sha256, width, height, tile, top]);
  return <Frame ref={element} role="img" aria-label={label} data-testid="deep-zoom" />;
}
