import type { Corners } from '@/core/capture/geometry';
import type { Overlay, Seen } from '@/shell/drawing';

const trace = (pen: CanvasRenderingContext2D, corners: Corners, seen: Seen) => {
  corners.forEach(({ x, y }, i) => {
    const at = [seen.left + x * seen.scale, seen.top + y * seen.scale] as const;
    if (i === 0) pen.moveTo(...at);
    else pen.lineTo(...at);
  });
  pen.closePath();
};

/** The crop in force, with what lies outside dimmed, and one that is proposed, dashed. */
export const cropOverlay =
  (accepted: Corners | null, proposed: Corners | null): Overlay =>
  (pen, seen) => {
    for (const [corners, dashed] of [
      [accepted, false],
      [proposed, true],
    ] as const) {
      if (!corners) continue;
      pen.beginPath();
      pen.rect(0, 0, seen.width, seen.height);
      trace(pen, corners, seen);
      pen.fillStyle = dashed ? 'rgba(90, 90, 90, 0.25)' : 'rgba(90, 90, 90, 0.62)';
      pen.fill('evenodd');
      // A light line under a dark one shows on any picture.
      for (const [colour, width] of [
        ['#ffffff', 3.5],
        ['#17406a', 1.6],
      ] as const) {
        pen.beginPath();
        trace(pen, corners, seen);
        pen.setLineDash(dashed ? [8, 5] : []);
        pen.strokeStyle = colour;
        pen.lineWidth = width;
        pen.stroke();
      }
      pen.setLineDash([]);
    }
  };
