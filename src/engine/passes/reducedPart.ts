import { lightOfEncoded } from '@/core/colour';
import type { Box } from '@/core/image';
import type { PixelSource } from '../decode/pixelSource';

/** Pixels of the master along each side of one that is shown, at most: evenly spread in it. */
const MOST_TAKEN = 4;
const LEVELS = 65536;
/** Values taken for light, where nothing tells what light is. */
const PLAIN = Float32Array.from({ length: LEVELS }, (_, v) => v / (LEVELS - 1));

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

const known = new WeakMap<Float32Array, ReturnType<typeof doorOf>>();
function doorFor(axis: Float32Array) {
  const door = known.get(axis) ?? doorOf(axis);
  known.set(axis, door);
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
  const places = Array.from({ length: taken }, (_, k) => Math.floor((k + 0.5) * step));
  const doors = axes?.map(doorFor);
  /** What is summed of each channel: its light, or its values as they are. */
  const light = Array.from({ length: channels }, (_, c) => doors?.[c]?.light ?? PLAIN);
  const [red, green = red, blue = red] = light as [
    Float32Array,
    Float32Array?,
    Float32Array?,
  ];
  const columns = span.right - span.left;
  const sums = new Float64Array(wide * channels);
  const counts = new Float64Array(wide);
  for (let y = 0; y < high; y += 1) {
    sums.fill(0);
    counts.fill(0);
    for (const [k, down] of places.entries()) {
      const from = (top + y) * by + down;
      // The last row of an odd picture is what there is of it.
      if (from >= height && k > 0) break;
      const row = source.part(Math.min(height - 1, from), 1, span);
      for (let x = 0; x < wide; x += 1)
        for (let n = 0; n < taken; n += 1) {
          const at = x * by + places[n]!;
          if (at >= columns && n > 0) break;
          const place = (at < columns ? at : columns - 1) * channels;
          const sum = x * channels;
          counts[x]! += 1;
          sums[sum]! += red[row[place]!]!;
          if (channels === 3) {
            sums[sum + 1]! += green[row[place + 1]!]!;
            sums[sum + 2]! += blue[row[place + 2]!]!;
          }
        }
    }
    for (let i = 0; i < sums.length; i += 1) {
      const mean = sums[i]! / counts[(i / channels) | 0]!;
      const door = doors?.[i % channels];
      out[y * wide * channels + i] = door
        ? door.level[Math.round(Math.sqrt(Math.min(1, mean)) * (LEVELS - 1))]!
        : Math.round(mean * (LEVELS - 1));
    }
  }
  return out;
}
