'use client';
import type { Point, Viewer } from 'openseadragon';
import styled from 'styled-components';

/** The glass of a deep-zoom viewer, and a sheet over it that is drawn on. */
export const ZoomFrame = styled.div`
  position: relative;
  flex: 1;
  min-width: 0;
  min-height: 0;
  background: var(--table);
  > canvas {
    position: absolute;
    inset: 0;
    width: 100%;
    height: 100%;
    pointer-events: none;
  }
`;

export const ZoomGlass = styled.div`
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

/** Draws over a picture, wherever it lies on the glass. */
export type Overlay = (pen: CanvasRenderingContext2D, seen: Seen) => void;

/** Where the picture of a viewer lies; null before it is there. */
export function seenOf(viewer: Viewer, point: typeof Point): Seen | null {
  if (viewer.world.getItemCount() === 0) return null;
  const item = viewer.world.getItemAt(0);
  const origin = item.imageToViewerElementCoordinates(new point(0, 0));
  const there = item.imageToViewerElementCoordinates(new point(1000, 0));
  const { clientWidth: width, clientHeight: height } = viewer.element;
  const scale = (there.x - origin.x) / 1000;
  return { left: origin.x, top: origin.y, scale, width, height };
}

/** Draws anew what lies over a picture, as sharp as the screen is. */
export function drawOver(
  sheet: HTMLCanvasElement | null,
  seen: Seen,
  overlay: Overlay | undefined,
): void {
  const pen = sheet?.getContext('2d');
  if (!sheet || !pen) return;
  const sharp = window.devicePixelRatio;
  const [width, height] = [Math.round(seen.width * sharp), Math.round(seen.height * sharp)];
  if (sheet.width !== width) sheet.width = width;
  if (sheet.height !== height) sheet.height = height;
  pen.setTransform(sharp, 0, 0, sharp, 0, 0);
  pen.clearRect(0, 0, seen.width, seen.height);
  overlay?.(pen, seen);
  sheet.dataset.scale = seen.scale.toFixed(3);
}
