import type { SpeckVerdict } from '@/core/capture/specks';
import type { Overlay } from '@/shell/drawing';
import type { Stop } from './walk';

const LEAST_RADIUS = 9;
const ROOM = 8;

/** Below this scale busy tiles are veiled; above it the ground itself is looked at. */
const VEILED_BELOW = 0.5;

/**
 * A ring around every speck: whole when still open, dashed when decided. Busy tiles lie under
 * one veil together, so that the picture stays to be seen; a frame is drawn around that of now.
 */
export const ringsOverlay =
  (
    stops: readonly Stop[],
    verdictOf: (index: number) => SpeckVerdict,
    current: Stop | null,
  ): Overlay =>
  (pen, { left, top, scale, width, height }) => {
    for (const stop of stops) {
      const x = left + stop.x * scale;
      const y = top + stop.y * scale;
      const decided = stop.kind === 'speck' && verdictOf(stop.index) !== 'open';
      const reach =
        stop.kind === 'tile'
          ? (Math.max(stop.width, stop.height) / 2) * scale
          : Math.max(
              LEAST_RADIUS,
              (Math.max(stop.diameter, stop.length) / 2) * scale + ROOM,
            );
      if (x < -reach || y < -reach || x > width + reach || y > height + reach) continue;
      pen.beginPath();
      if (stop.kind === 'tile') {
        const [wide, high] = [stop.width * scale, stop.height * scale];
        if (scale < VEILED_BELOW) {
          pen.fillStyle = 'rgba(255, 255, 255, 0.3)';
          pen.fillRect(x - wide / 2, y - high / 2, wide, high);
        }
        if (stop !== current) continue;
        pen.rect(x - wide / 2, y - high / 2, wide, high);
      } else pen.arc(x, y, reach, 0, 2 * Math.PI);
      const wide = stop === current ? 3 : 1.5;
      pen.setLineDash(decided ? [3, 4] : stop.kind === 'tile' ? [9, 6] : []);
      pen.strokeStyle = 'rgba(255, 255, 255, 0.85)';
      pen.lineWidth = wide + 2;
      pen.stroke();
      pen.strokeStyle = stop === current ? '#84170f' : '#17406a';
      pen.lineWidth = wide;
      pen.stroke();
    }
    pen.setLineDash([]);
  };
