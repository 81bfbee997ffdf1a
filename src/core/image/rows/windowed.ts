import { grown } from './rowStep';
import type { Box, RowStep, Shape, TakeRow } from './rowStep';

/** What a step that looks at neighbours does with the rows around each row. */
export interface Neighbourhood<Held> {
  /** Room for what is kept of a row; made once for each row of the window. */
  room(samples: number): Held;
  /** Keeps what is needed of a row that comes in. */
  keep(row: Float32Array, held: Held): void;
  /** Makes a row from the rows around it: `around[reach]` is its own. */
  make(around: readonly Held[], out: Float32Array): void;
}

/**
 * A step whose every pixel is made of the pixels up to `reach` away. Rows beyond the edge are
 * the row at the edge; columns beyond it are up to the neighbourhood (`atEdge`).
 */
export function windowed<Held>(
  shape: Shape,
  reach: number,
  neighbourhood: Neighbourhood<Held>,
): RowStep {
  const under = (box: Box) => grown(box, reach, shape);
  return {
    out: shape,
    under,
    run(box: Box, emit: TakeRow): TakeRow {
      const fed = under(box);
      const { channels } = shape;
      const count = 2 * reach + 1;
      const samples = (fed.right - fed.left) * channels;
      const ring = Array.from({ length: count }, () => neighbourhood.room(samples));
      const around = ring.slice();
      const out = new Float32Array(samples);
      const from = (box.left - fed.left) * channels;
      const part = out.subarray(from, from + (box.right - box.left) * channels);
      let next = fed.top;
      let made = box.top;
      const last = shape.height - 1;
      return (row) => {
        neighbourhood.keep(row, ring[next % count]!);
        const came = next;
        next += 1;
        while (made < box.bottom && Math.min(last, made + reach) <= came) {
          for (let k = 0; k < count; k += 1) {
            const y = Math.min(last, Math.max(0, made - reach + k));
            around[k] = ring[y % count]!;
          }
          neighbourhood.make(around, out);
          emit(part);
          made += 1;
        }
      };
    },
  };
}
