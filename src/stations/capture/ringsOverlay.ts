import type { SpeckVerdict } from '@/core/capture/specks';
import type { Overlay } from './LightTable';
import type { Stop } from './walk';

const LEAST_RADIUS = 9;
const ROOM = 8;

/** A ring around every speck: whole when still open, dashed when decided; busy tiles as frames. */
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
      if (stop.kind === 'tile')
        pen.rect(
          x - (stop.width / 2) * scale,
          y - (stop.height / 2) * scale,
          stop.width * scale,
          stop.height * scale,
        );
      else pen.arc(x, y, reach, 0, 2 * Math.PI);
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
