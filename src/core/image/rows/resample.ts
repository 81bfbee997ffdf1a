import { axisWeights } from '../kernels';
import type { AxisWeights, KernelId } from '../kernels';
import { acrossThree, weighedSum } from './simd';
import type { Box, RowStep, Shape, TakeRow } from './rowStep';

/** Part of a picture (may be fractional) that becomes a picture of its own. */
export interface Resampling {
  kernel: KernelId;
  part: { left: number; top: number; width: number; height: number };
  width: number;
  height: number;
}

/** Source pixels that weights reach. */
function reached({ first, taps }: AxisWeights): { from: number; to: number } {
  return { from: first[0] ?? 0, to: (first.at(-1) ?? 0) + taps };
}

/** The part of an axis that lies under some of its output pixels, as whole source pixels. */
export function resample(shape: Shape, plan: Resampling): RowStep {
  const { kernel, part, width, height } = plan;
  const { channels } = shape;
  const across = {
    kernel,
    source: shape.width,
    from: part.left,
    span: part.width,
    out: width,
  };
  const down = {
    kernel,
    source: shape.height,
    from: part.top,
    span: part.height,
    out: height,
  };
  const weightsOf = (box: Box) => ({
    h: axisWeights(across, box.left, box.right),
    v: axisWeights(down, box.top, box.bottom),
  });
  const under = (box: Box): Box => {
    const { h, v } = weightsOf(box);
    const x = reached(h);
    const y = reached(v);
    return { left: x.from, right: x.to, top: y.from, bottom: y.to };
  };
  return {
    out: { width, height, channels },
    under,
    run(box: Box, emit: TakeRow): TakeRow {
      const { h, v } = weightsOf(box);
      const fed = under(box);
      const places = h.first.map((f) => f - fed.left);
      const axis = { ...h, first: places };
      const ring = Array.from(
        { length: v.taps },
        () => new Float32Array(places.length * channels),
      );
      const rows = ring.slice();
      const out = new Float32Array(places.length * channels);
      let next = fed.top;
      let made = 0;
      return (row) => {
        resampleAcross(row, channels, axis, ring[next % v.taps]!);
        next += 1;
        while (made < v.first.length && v.first[made]! + v.taps <= next) {
          const from = v.first[made]!;
          for (let k = 0; k < v.taps; k += 1) rows[k] = ring[(from + k) % v.taps]!;
          weighedSum(rows, v.weights, made * v.taps, out);
          emit(out);
          made += 1;
        }
      };
    },
  };
}

/** One row of samples of one or three channels, resampled across. */
function resampleAcross(
  row: Float32Array,
  channels: number,
  axis: AxisWeights,
  out: Float32Array,
): void {
  if (channels === 3) return acrossThree(row, axis, out);
  const { taps, first, weights } = axis;
  for (let i = 0; i < first.length; i += 1) {
    let v = 0;
    for (let k = 0; k < taps; k += 1) v += weights[i * taps + k]! * row[first[i]! + k]!;
    out[i] = v;
  }
}
