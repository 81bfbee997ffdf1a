import FFT from 'fft.js';
import { chain, intoSixteenBits, resample, wholeOf } from '@/core/image';
import type { KernelId } from '@/core/image';
import type { Samples } from '../demo/capture/dust';

const SIDE = 256;
/** Of all that a picture can hold: cycles per pixel up to 1/2. */
const BANDS = 8;

/** Light of the green channel in rows of `SIDE`, Hann windowed, as spectra. */
function rowSpectra({ width, height, data }: Samples): number[][] {
  const fft = new FFT(SIDE);
  const out: number[][] = [];
  for (let y = 8; y < height - 8; y += 2)
    for (let x = 8; x + SIDE < width - 8; x += SIDE / 2) {
      const row = new Array<number>(SIDE);
      let mean = 0;
      for (let i = 0; i < SIDE; i += 1) mean += data[(y * width + x + i) * 3 + 1]! / SIDE;
      for (let i = 0; i < SIDE; i += 1) {
        const hann = 0.5 - 0.5 * Math.cos((2 * Math.PI * (i + 0.5)) / SIDE);
        row[i] = hann * (data[(y * width + x + i) * 3 + 1]! - mean);
      }
      const spectrum = fft.createComplexArray();
      fft.realTransform(spectrum, row);
      out.push(spectrum as number[]);
    }
  return out;
}

/**
 * How much of a picture's true detail another one of the same size holds, by bands of
 * frequency from coarse to fine: the part of its spectrum that goes with the true one, over
 * the true one. 1: all of it; invented detail does not count.
 */
export function heldDetail(truth: Samples, other: Samples): number[] {
  const [a, b] = [rowSpectra(truth), rowSpectra(other)];
  const cross = new Float64Array(BANDS);
  const power = new Float64Array(BANDS);
  a.forEach((one, k) => {
    const two = b[k]!;
    for (let f = 1; f < SIDE / 2; f += 1) {
      const band = Math.floor((f / (SIDE / 2)) * BANDS);
      const [re, im] = [one[2 * f]!, one[2 * f + 1]!];
      cross[band]! += re * two[2 * f]! + im * two[2 * f + 1]!;
      power[band]! += re * re + im * im;
    }
  });
  return Array.from(cross, (v, i) => v / power[i]!);
}

/** A picture at another size, by the very step of the print file. */
export function resized(
  { width, height, data }: Samples,
  to: { width: number; height: number },
  kernel: KernelId,
): Samples {
  const shape = { width, height, channels: 3 };
  const part = { left: 0, top: 0, width, height };
  const step = resample(shape, { kernel, part, ...to });
  const made = new Uint16Array(to.width * to.height * 3);
  let at = 0;
  const { take } = chain([step], wholeOf(to), (row) => {
    intoSixteenBits(row, made, at);
    at += row.length;
  });
  for (let y = 0; y < height; y += 1)
    take(new Float32Array(data.subarray(y * width * 3, (y + 1) * width * 3)));
  return { ...to, data: made };
}
