import type { AxisWeights } from '@/core/image';
import { lanczosAxis } from '@/core/image';
import type { PixelRect } from '@/core/prepare';
import type { PixelSource } from './pixelSource';
import { weighedSum } from './rowMath';

const READ_ROWS = 64;

/** Rows `from` to `to - 1`. */
export interface RowRange {
  from: number;
  to: number;
}

/** One row of samples, resampled across: output length x channels. */
export function resampleAcross(
  row: Uint16Array | Float32Array,
  channels: number,
  axis: AxisWeights,
  out: Float32Array,
): void {
  const { taps, first, weights } = axis;
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

/**
 * Resamples a part of a picture with the Lanczos kernel, row by row from top to bottom, or
 * only the given rows of the result.
 * Memory: the source rows under one output row. Yields float samples (0..65535, overshoot
 * kept); the array is reused by the next row.
 */
export async function* resampledRows(
  source: PixelSource,
  part: PixelRect,
  width: number,
  height: number,
  { from: firstRow, to: endRow }: RowRange = { from: 0, to: height },
): AsyncGenerator<Float32Array> {
  const { channels } = source;
  const horizontal = lanczosAxis(source.width, part.left, part.width, width);
  const vertical = lanczosAxis(source.height, part.top, part.height, height);
  const length = width * channels;
  const ring = Array.from({ length: vertical.taps }, () => new Float32Array(length));
  const under = ring.slice();
  const out = new Float32Array(length);
  const sourceLength = source.width * channels;
  let held: Uint16Array = new Uint16Array(0);
  let heldFrom = 0;
  let heldRows = 0;
  let next = vertical.first[firstRow] ?? 0;
  for (let y = firstRow; y < endRow; y += 1) {
    const from = vertical.first[y]!;
    const end = from + vertical.taps;
    for (next = Math.max(next, from); next < end; next += 1) {
      if (next >= heldFrom + heldRows) {
        heldFrom = next;
        heldRows = Math.min(READ_ROWS, source.height - next);
        held = await source.rows(heldFrom, heldRows);
      }
      const at = (next - heldFrom) * sourceLength;
      resampleAcross(
        held.subarray(at, at + sourceLength),
        channels,
        horizontal,
        ring[next % vertical.taps]!,
      );
    }
    for (let k = 0; k < vertical.taps; k += 1) under[k] = ring[(from + k) % vertical.taps]!;
    weighedSum(under, vertical.weights, y * vertical.taps, out);
    yield out;
  }
}
