import { lightOfEncoded } from '@/core/colour';
import type { Box } from '@/core/image';
import type { PixelSource } from '../decode/pixelSource';

/** Pixels of the master along each side of one that is shown, at most: evenly spread in it. */
const MOST_TAKEN = 4;
const LEVELS = 65536;

/** From levels to light, and back by its square root, which rounds no dark tone away. */
function doorOf(axis: Float32Array): { light: Float32Array; level: Uint16Array } {
  const light = Float32Array.from(axis, (l) => lightOfEncoded(l * (LEVELS - 1)));
  const level = new Uint16Array(LEVELS);
  for (let i = 0, v = 0; i < LEVELS; i += 1) {
    const wanted = (i / (LEVELS - 1)) ** 2;
    while (v < LEVELS - 1 && light[v]! < wanted) v += 1;
    level[i] = v;
  }
  return { light, level };
}

const doors = new WeakMap<Float32Array, ReturnType<typeof doorOf>>();
function doorFor(axis: Float32Array) {
  const door = doors.get(axis) ?? doorOf(axis);
  doors.set(axis, door);
  return door;
}

/**
 * A part of a picture, `by` times reduced, 16 bit, in its own encoded values: each pixel the mean of
 * up to 4 x 4 of the master's, evenly spread under it, mixed as light where `axes` (lightness of
 * each level) tell what light is. Only the rows that are taken are read.
 */
export function reducedPart(
  source: PixelSource,
  by: number,
  { left, top, right, bottom }: Box,
  axes?: readonly Float32Array[],
): Uint16Array {
  const { channels, width, height } = source;
  const [wide, high] = [right - left, bottom - top];
  const out = new Uint16Array(wide * high * channels);
  const span = { left: left * by, right: Math.min(width, right * by) };
  if (by === 1) {
    out.set(source.part(top, high, span).subarray(0, out.length));
    return out;
  }
  const taken = Math.min(by, MOST_TAKEN);
  const step = by / taken;
  const lights = axes?.map(doorFor);
  const sums = new Float64Array(wide * channels);
  const counts = new Float64Array(wide);
  for (let y = 0; y < high; y += 1) {
    sums.fill(0);
    counts.fill(0);
    for (let k = 0; k < taken; k += 1) {
      const from = (top + y) * by + Math.floor((k + 0.5) * step);
      // The last row of an odd picture is what there is of it.
      if (from >= height && k > 0) break;
      const row = source.part(Math.min(height - 1, from), 1, span);
      for (let x = 0; x < wide; x += 1)
        for (let n = 0; n < taken; n += 1) {
          const at = x * by + Math.floor((n + 0.5) * step);
          if (at >= span.right - span.left && n > 0) break;
          const place = Math.min(span.right - span.left - 1, at) * channels;
          counts[x]! += 1;
          for (let c = 0; c < channels; c += 1) {
            const v = row[place + c]!;
            sums[x * channels + c]! += lights ? lights[c]!.light[v]! : v;
          }
        }
    }
    for (let i = 0; i < sums.length; i += 1) {
      const mean = sums[i]! / counts[(i / channels) | 0]!;
      out[y * wide * channels + i] = lights
        ? lights[i % channels]!.level[
            Math.round(Math.sqrt(Math.min(1, mean)) * (LEVELS - 1))
          ]!
        : Math.round(mean);
    }
  }
  return out;
}
