import { CHANNELS } from './stats';
import type { InkStats, Split } from './stats';

const none = (): Split =>
  Object.fromEntries(CHANNELS.map((c) => [c, { mean: 0, dark: 0 }])) as Split;

/** Adds one place of a picture, as its four inks, 0..1, to a sum. */
function add(sum: Split, c: number, m: number, y: number, k: number): void {
  const put = (channel: keyof Split, v: number) => {
    sum[channel].mean += v;
    if (v > 0.5) sum[channel].dark += 2 * v - 1;
  };
  put('cyan', c);
  put('magenta', m);
  put('yellow', y);
  put('black', k);
  put('red', Math.min(m, y));
  put('green', Math.min(c, y));
  put('blue', Math.min(c, m));
}

const divided = (sum: Split, n: number): Split =>
  Object.fromEntries(
    CHANNELS.map((c) => [c, { mean: sum[c].mean / n, dark: sum[c].dark / n }]),
  ) as Split;

/**
 * What a picture takes of each ink, from its values on the printer: `samples` of 3 (RGB) or 4
 * (CMYK) channels a pixel, 0..65535. Of RGB, where only the driver knows what it makes of it, by a
 * model: cyan, magenta and yellow are what is missing of red, green and blue; the grey that the
 * three share is black by its square (`part`), or wholly (`full`). Throws RangeError where there is
 * no pixel.
 * @example inkStats([Uint16Array.of(0, 65535, 65535)], 3).part.cyan.mean // 1
 */
export function inkStats(bands: Iterable<Uint16Array>, channels: 3 | 4): InkStats {
  const [part, full] = [none(), none()];
  let pixels = 0;
  for (const samples of bands) {
    pixels += samples.length / channels;
    for (let i = 0; i < samples.length; i += channels) {
      const [a, b, c] = [
        samples[i]! / 65535,
        samples[i + 1]! / 65535,
        samples[i + 2]! / 65535,
      ];
      if (channels === 4) {
        const k = samples[i + 3]! / 65535;
        add(part, a, b, c, k);
        add(full, a, b, c, k);
        continue;
      }
      const grey = 1 - Math.max(a, b, c);
      const black = grey * grey;
      add(part, 1 - a - black, 1 - b - black, 1 - c - black, black);
      add(full, 1 - a - grey, 1 - b - grey, 1 - c - grey, grey);
    }
  }
  if (pixels === 0) throw new RangeError('there is no pixel to take ink');
  return { part: divided(part, pixels), full: divided(full, pixels) };
}

/**
 * What several pictures take together, each by its weight (an area). Throws RangeError where they
 * weigh nothing.
 */
export function meanStats(all: readonly { stats: InkStats; weight: number }[]): InkStats {
  const weight = all.reduce((sum, a) => sum + a.weight, 0);
  if (!(weight > 0)) throw new RangeError('no picture to take a mean of');
  const mean = (of: 'part' | 'full'): Split => {
    const sum = none();
    for (const { stats, weight: w } of all)
      for (const c of CHANNELS) {
        sum[c].mean += (w * stats[of][c].mean) / weight;
        sum[c].dark += (w * stats[of][c].dark) / weight;
      }
    return sum;
  };
  return { part: mean('part'), full: mean('full') };
}
