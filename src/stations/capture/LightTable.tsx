'use client';
import type { Viewer } from 'openseadragon';
import { useEffect, useLayoutEffect, useRef } from 'react';
import styled from 'styled-components';
import { ZoomFrame, ZoomGlass, drawOver, pictureTiles, seenOf } from '@/shell/drawing';
import type { Overlay, TiledPicture } from '@/shell/drawing';

const Frame = styled(ZoomFrame)`
  border: 1px solid var(--line);
`;

interface LightTableProps {
  picture: TiledPicture;
  label: string;
  /** Drawn over the picture whenever it moves. */
  overlay?: Overlay | undefined;
  /** What to go to, at 100 %; the whole picture when null. */
  lookAt?: { x: number; y: number } | null;
}

/** The master's tiles on a light table: wheel, drag, plus and minus, arrow keys; with what is drawn over them. */
export function LightTable({ picture, label, overlay, lookAt }: LightTableProps) {
  const glass = useRef<HTMLDivElement>(null);
  const sheet = useRef<HTMLCanvasElement>(null);
  const draw = useRef<() => void>(() => undefined);
  const latest = useRef({ overlay, lookAt });
  const go = useRef<() => void>(() => undefined);
  latest.current = { overlay, lookAt };
  const { sha256, width, height, tile, top } = picture;
  useEffect(() => {
    let viewer: Viewer | undefined;
    let gone = false;
    void import('openseadragon').then(({ default: OpenSeadragon }) => {
      if (gone || !glass.current) return;
      const still = window.matchMedia('(prefers-reduced-motion: reduce)').matches;
      const made = (viewer = OpenSeadragon({
        element: glass.current,
        tileSources: pictureTiles({ sha256, width, height, tile, top }),
        showNavigationControl: false,
        animationTime: still ? 0 : 0.3,
        maxZoomPixelRatio: 4,
        visibilityRatio: 0.6,
        gestureSettingsMouse: { clickToZoom: false, dblClickToZoom: true },
      }));
      draw.current = () => {
        const seen = seenOf(made, OpenSeadragon.Point);
        if (seen) drawOver(sheet.current, seen, latest.current.overlay);
      };
      go.current = () => {
        const { viewport } = made;
        if (made.world.getItemCount() === 0) return;
        const target = latest.current.lookAt;
        if (!target) return void viewport.goHome(still);
        viewport.zoomTo(viewport.imageToViewportZoom(1), undefined, true);
        const at = viewport.imageToViewportCoordinates(target.x, target.y);
        viewport.panTo(at, true);
        viewport.applyConstraints(true);
      };
      made.addHandler('open', () => {
        if (latest.current.lookAt) go.current();
        draw.current();
      });
      made.addHandler('update-viewport', () => draw.current());
    });
    return () => {
      gone = true;
      viewer?.destroy();
    };
  }, [sha256, width, height, tile, top]);
  useLayoutEffect(() => draw.current(), [overlay]);
  const x = lookAt?.x ?? null;
  const y = lookAt?.y ?? null;
  useEffect(() => go.current(), [x, y]);
  return (
    <Frame>
      <ZoomGlass ref={glass} role="img" aria-label={label} data-testid="deep-zoom" />
      <canvas ref={sheet} aria-hidden data-testid="overlay" />
    </Frame>
  );
}
