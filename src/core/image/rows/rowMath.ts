import { RGB_SPACES, decoded, encodedLight } from '../../colour';
import type { Shares } from './basis';

/** The inner loops over rows of samples. They stand alone so that the compiler optimises each for itself. */

/** Adds `share` of the difference between light and blur to every channel, where it exceeds `floor`. */
export function addDifference(
  samples: Float32Array,
  light: Float32Array,
  blur: Float32Array,
  channels: number,
  share: number,
  floor: number,
): void {
  if (channels === 1) {
    for (let x = 0; x < light.length; x += 1) {
      const difference = light[x]! - blur[x]!;
      if (difference > floor || difference < -floor) samples[x]! += share * difference;
    }
    return;
  }
  for (let x = 0, i = 0; x < light.length; x += 1, i += 3) {
    const difference = light[x]! - blur[x]!;
    if (difference > floor || difference < -floor) {
      const change = share * difference;
      samples[i]! += change;
      samples[i + 1]! += change;
      samples[i + 2]! += change;
    }
  }
}

/** Float samples, overshoot and all, rounded into 16 bits. */
export function intoSixteenBits(row: Float32Array, out: Uint16Array, at: number): void {
  for (let i = 0; i < row.length; i += 1) {
    const v = row[i]!;
    out[at + i] = v <= 0 ? 0 : v >= 65535 ? 65535 : v + 0.5;
  }
}

/** 16-bit samples from `from` on, v x 255 / 65535 rounded to the nearest, put at `at`. */
export function intoEightBits(
  deep: Uint16Array,
  from: number,
  count: number,
  out: Uint8Array,
  at: number,
): void {
  for (let i = 0; i < count; i += 1) out[at + i] = (deep[from + i]! * 255 + 32895) >> 16;
}

/** Linear light, 0..65535, of every value of 8-bit sRGB. */
const LIGHT = Uint16Array.from({ length: 256 }, (_, v) =>
  Math.round(65535 * decoded(RGB_SPACES.srgb.curve, v / 255)),
);
/** The value of 8-bit sRGB that is nearest to the sum of four lights, by its upper 14 bits. */
const OF_FOUR = Uint8Array.from({ length: 1 << 14 }, (_, v) =>
  Math.round(255 * encodedLight(RGB_SPACES.srgb.curve, (v + 0.5) / (1 << 14))),
);

/** Half the size by the mean light of 2 x 2; an odd edge counts twice. Both 8-bit sRGB. */
export function halve(source: Uint8Array, width: number, height: number): Uint8Array {
  const w = Math.ceil(width / 2);
  const h = Math.ceil(height / 2);
  const out = new Uint8Array(w * h * 3);
  const inner = width >> 1;
  // The tables at hand: loads of a module's constants are not hoisted.
  const light = LIGHT;
  const ofFour = OF_FOUR;
  for (let y = 0, o = 0; y < h; y += 1) {
    let a = 2 * y * width * 3;
    let b = Math.min(2 * y + 1, height - 1) * width * 3;
    for (let x = 0; x < inner; x += 1, a += 6, b += 6, o += 3) {
      const red =
        light[source[a]!]! +
        light[source[a + 3]!]! +
        light[source[b]!]! +
        light[source[b + 3]!]!;
      const green =
        light[source[a + 1]!]! +
        light[source[a + 4]!]! +
        light[source[b + 1]!]! +
        light[source[b + 4]!]!;
      const blue =
        light[source[a + 2]!]! +
        light[source[a + 5]!]! +
        light[source[b + 2]!]! +
        light[source[b + 5]!]!;
      out[o] = ofFour[red >> 4]!;
      out[o + 1] = ofFour[green >> 4]!;
      out[o + 2] = ofFour[blue >> 4]!;
    }
    if (w > inner)
      for (let c = 0; c < 3; c += 1, o += 1)
        out[o] = ofFour[(light[source[a + c]!]! + light[source[b + c]!]!) >> 3]!;
  }
  return out;
}

/** Light of each pixel of a row, by the shares of its channels. */
export function lightOf(
  samples: Float32Array,
  channels: number,
  [r, g, b]: Shares,
  out: Float32Array,
): void {
  if (channels === 1) {
    out.set(samples);
    return;
  }
  for (let i = 0, s = 0; i < out.length; i += 1, s += 3)
    out[i] = r * samples[s]! + g * samples[s + 1]! + b * samples[s + 2]!;
}

/** Sums of samples, and of their squares, over `reach` pixels on each side; the ends repeat. */
export function sumsAcross(
  row: Float32Array,
  channels: number,
  reach: number,
  sums: Float64Array,
  squares: Float64Array,
): void {
  const last = row.length / channels - 1;
  // Each sum anew, so that it does not depend on where the row begins.
  for (let x = 0; x <= last; x += 1)
    for (let c = 0; c < channels; c += 1) {
      let sum = 0;
      let square = 0;
      for (let k = x - reach; k <= x + reach; k += 1) {
        const v = row[(k < 0 ? 0 : k > last ? last : k) * channels + c]!;
        sum += v;
        square += v * v;
      }
      sums[x * channels + c] = sum;
      squares[x * channels + c] = square;
    }
}
