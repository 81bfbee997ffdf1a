'use client';
import type { Point, Viewer } from 'openseadragon';
import { useEffect, useLayoutEffect, useRef } from 'react';
import styled from 'styled-components';
import { pictureTiles } from '@/shell/drawing';
import type { TiledPicture } from '@/shell/drawing';

const Frame = styled.div`
  position: relative;
  flex: 1;
  min-height: 0;
  background: var(--table);
  border: 1px solid var(--line);
  > canvas {
    position: absolute;
    inset: 0;
    width: 100%;
    height: 100%;
    pointer-events: none;
  }
`;

const Glass = styled.div`
  position: absolute;
  inset: 0;
`;

/** From pixels of the picture to pixels of the screen: x' = left + x scale, y' = top + y scale. */
export interface Seen {
  left: number;
  top: number;
  scale: number;
  width: number;
  height: number;
}

export type Overlay = (pen: CanvasRenderingContext2D, seen: Seen) => void;

interface LightTableProps {
  picture: TiledPicture;
  label: string;
  /** Drawn over the picture whenever it moves. */
  overlay?: Overlay | undefined;
  /** What to go to, at 100 %; the whole picture when null. */
  lookAt?: { x: number; y: number } | null;
}

function seenOf(viewer: Viewer, point: typeof Point): Seen {
  const item = viewer.world.getItemAt(0);
  const origin = item.imageToViewerElementCoordinates(new point(0, 0));
  const there = item.imageToViewerElementCoordinates(new point(1000, 0));
  const { clientWidth: width, clientHeight: height } = viewer.element;
  return {
    left: origin.x,
    top: origin.y,
    scale: (there.x - origin.x) / 1000,
    width,
    height,
  };
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
        const canvas = sheet.current;
        const pen = canvas?.getContext('2d');
        if (!canvas || !pen || made.world.getItemCount() === 0) return;
        const seen = seenOf(made, OpenSeadragon.Point);
        const sharp = window.devicePixelRatio;
        if (canvas.width !== Math.round(seen.width * sharp))
          canvas.width = Math.round(seen.width * sharp);
        if (canvas.height !== Math.round(seen.height * sharp))
          canvas.height = Math.round(seen.height * sharp);
        pen.setTransform(sharp, 0, 0, sharp, 0, 0);
        pen.clearRect(0, 0, seen.width, seen.height);
        latest.current.overlay?.(pen, seen);
        canvas.dataset.scale = seen.scale.toFixed(3);
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
      <Glass ref={glass} role="img" aria-label={label} data-testid="deep-zoom" />
      <canvas ref={sheet} aria-hidden data-testid="overlay" />
    </Frame>
  );
}
