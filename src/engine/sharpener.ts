import { gaussian } from '@/core/image';
import type { Recipe } from '@/core/prepare';
import { addDifference, weighedSum } from './rowMath';

interface Held {
  samples: Float32Array;
  light: Float32Array;
  blurred: Float32Array;
}

const lightOf = (samples: Float32Array, channels: number): Float32Array => {
  if (channels === 1) return samples.slice();
  const light = new Float32Array(samples.length / 3);
  for (let i = 0; i < light.length; i += 1)
    light[i] =
      0.25 * samples[i * 3]! + 0.6 * samples[i * 3 + 1]! + 0.15 * samples[i * 3 + 2]!;
  return light;
};

function blurAcross(light: Float32Array, kernel: Float32Array): Float32Array {
  const reach = (kernel.length - 1) / 2;
  const last = light.length - 1;
  const out = new Float32Array(light.length);
  for (let x = 0; x <= last; x += 1) {
    let v = 0;
    if (x >= reach && x + reach <= last)
      for (let k = 0; k < kernel.length; k += 1) v += kernel[k]! * light[x - reach + k]!;
    else
      for (let k = 0; k < kernel.length; k += 1)
        v += kernel[k]! * light[Math.max(0, Math.min(last, x - reach + k))]!;
    out[x] = v;
  }
  return out;
}

/**
 * Unsharp masking of rows in order: sample + amount x (light - blurred light), where the
 * difference exceeds the threshold. The same difference goes to every channel, so that no
 * colour fringes arise. Rows at the edge repeat. Amount 0 passes rows through.
 */
export async function* sharpenedRows(
  rows: AsyncIterable<Float32Array>,
  channels: number,
  { amount, radius, threshold }: Recipe['outputSharpen'],
): AsyncGenerator<Float32Array> {
  if (amount === 0) {
    yield* rows;
    return;
  }
  const kernel = gaussian(radius);
  const reach = (kernel.length - 1) / 2;
  const floor = threshold * 257;
  const share = amount / 100;
  const window: Held[] = [];
  const emit = (): Float32Array => {
    const { samples, light } = window[reach]!;
    const blur = new Float32Array(light.length);
    weighedSum(
      window.map((held) => held.blurred),
      kernel,
      0,
      blur,
    );
    addDifference(samples, light, blur, channels, share, floor);
    window.shift();
    return samples;
  };
  for await (const row of rows) {
    const samples = row.slice();
    const light = lightOf(samples, channels);
    const held = { samples, light, blurred: blurAcross(light, kernel) };
    if (window.length === 0) for (let k = 0; k < reach; k += 1) window.push(held);
    window.push(held);
    if (window.length === kernel.length) yield emit();
  }
  const last = window.at(-1);
  for (let k = 0; last && k < reach; k += 1) {
    while (window.length < kernel.length) window.push(last);
    yield emit();
  }
}
