import { axisWeights } from '../kernels';
import type { AxisWeights, KernelId } from '../kernels';
import { weighedSum } from './rowMath';
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

/** One row of samples, resampled across: output length x channels. */
export function resampleAcross(
  row: Uint16Array | Float32Array,
  channels: number,
  axis: AxisWeights,
  out: Float32Array,
): void {
  const { taps, first, weights } = axis;
  if (channels === 3 && taps === 6) return sixAcross(row, axis, out);
  if (channels === 3) {
    for (let i = 0; i < first.length; i += 1) {
      let r = 0;
      let g = 0;
      let b = 0;
      let at = first[i]! * 3;
      for (let k = i * taps, end = k + taps; k < end; k += 1, at += 3) {
        const w = weights[k]!;
        r += w * row[at]!;
        g += w * row[at + 1]!;
        b += w * row[at + 2]!;
      }
      out[i * 3] = r;
      out[i * 3 + 1] = g;
      out[i * 3 + 2] = b;
    }
    return;
  }
  for (let i = 0; i < first.length; i += 1) {
    let v = 0;
    for (let k = 0; k < taps; k += 1) v += weights[i * taps + k]! * row[first[i]! + k]!;
    out[i] = v;
  }
}

/** The same for three channels and six taps, as the usual kernel has them: written out, and so faster. */
function sixAcross(
  row: Uint16Array | Float32Array,
  { first, weights }: AxisWeights,
  out: Float32Array,
): void {
  for (let i = 0, k = 0, o = 0; i < first.length; i += 1, k += 6, o += 3) {
    const at = first[i]! * 3;
    const a = weights[k]!;
    const b = weights[k + 1]!;
    const c = weights[k + 2]!;
    const d = weights[k + 3]!;
    const e = weights[k + 4]!;
    const f = weights[k + 5]!;
    out[o] =
      a * row[at]! +
      b * row[at + 3]! +
      c * row[at + 6]! +
      d * row[at + 9]! +
      e * row[at + 12]! +
      f * row[at + 15]!;
    out[o + 1] =
      a * row[at + 1]! +
      b * row[at + 4]! +
      c * row[at + 7]! +
      d * row[at + 10]! +
      e * row[at + 13]! +
      f * row[at + 16]!;
    out[o + 2] =
      a * row[at + 2]! +
      b * row[at + 5]! +
      c * row[at + 8]! +
      d * row[at + 11]! +
      e * row[at + 14]! +
      f * row[at + 17]!;
  }
}
