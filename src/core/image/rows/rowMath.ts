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

/** Half the size by the mean of 2 x 2; an odd edge counts twice. Both 8-bit RGB. */
export function halve(source: Uint8Array, width: number, height: number): Uint8Array {
  const w = Math.ceil(width / 2);
  const h = Math.ceil(height / 2);
  const out = new Uint8Array(w * h * 3);
  const inner = width >> 1;
  for (let y = 0, o = 0; y < h; y += 1) {
    let a = 2 * y * width * 3;
    let b = Math.min(2 * y + 1, height - 1) * width * 3;
    for (let x = 0; x < inner; x += 1, a += 6, b += 6, o += 3) {
      out[o] = (source[a]! + source[a + 3]! + source[b]! + source[b + 3]! + 2) >> 2;
      out[o + 1] =
        (source[a + 1]! + source[a + 4]! + source[b + 1]! + source[b + 4]! + 2) >> 2;
      out[o + 2] =
        (source[a + 2]! + source[a + 5]! + source[b + 2]! + source[b + 5]! + 2) >> 2;
    }
    if (w > inner) {
      out[o] = (source[a]! + source[b]! + 1) >> 1;
      out[o + 1] = (source[a + 1]! + source[b + 1]! + 1) >> 1;
      out[o + 2] = (source[a + 2]! + source[b + 2]! + 1) >> 1;
      o += 3;
    }
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
