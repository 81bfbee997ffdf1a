import sharp from 'sharp';
import { KERNELS } from '@/core/image';
import type { KernelId } from '@/core/image';
import type { Samples } from '../demo/capture/dust';

const { ceil, max, min, round } = Math;

export type Kernel = KernelId;

/** Every value through a function; plain loops, since `from` with a function is slow. */
function mapped<T extends { length: number; [i: number]: number }>(
  source: ArrayLike<number>,
  made: T,
  of: (v: number) => number,
): T {
  for (let i = 0; i < source.length; i += 1) made[i] = of(source[i]!);
  return made;
}

/** Enlarges one axis, the one whose neighbours lie `lines` pixels apart. Edges repeat. */
function axis(
  source: Float32Array,
  length: number,
  lines: number,
  out: number,
  kernel: Kernel,
): Float32Array {
  const { reach, weight } = KERNELS[kernel];
  const made = new Float32Array(out * lines * 3);
  for (let o = 0; o < out; o += 1) {
    const centre = ((o + 0.5) * length) / out - 0.5;
    const from = ceil(centre - reach);
    const taps: [number, number][] = [];
    let total = 0;
    for (let j = from; j <= centre + reach; j += 1) {
      const w = weight(j - centre);
      taps.push([max(0, min(length - 1, j)), w]);
      total += w;
    }
    for (const [j, w] of taps) {
      const share = w / total;
      const a = j * lines * 3;
      const b = o * lines * 3;
      for (let k = 0; k < lines * 3; k += 1) made[b + k]! += share * source[a + k]!;
    }
  }
  return made;
}

/** Columns become rows. */
function turned(source: Float32Array, rows: number, columns: number): Float32Array {
  const made = new Float32Array(source.length);
  for (let y = 0; y < rows; y += 1)
    for (let x = 0; x < columns; x += 1)
      for (let c = 0; c < 3; c += 1)
        made[(x * rows + y) * 3 + c] = source[(y * columns + x) * 3 + c]!;
  return made;
}

/** Enlarged by a factor with a kernel, pixel centres kept in line. */
export function enlarged(
  { width, height, data }: Samples,
  factor: number,
  kernel: Kernel,
): Samples {
  const w = round(width * factor);
  const h = round(height * factor);
  const down = axis(new Float32Array(data), height, width, h, kernel);
  const across = axis(turned(down, h, width), width, h, w, kernel);
  const upright = turned(across, w, h);
  return {
    width: w,
    height: h,
    data: mapped(upright, new Uint16Array(upright.length), (v) =>
      v <= 0 ? 0 : v >= 65535 ? 65535 : v + 0.5,
    ),
  };
}

const widened = (bytes: Uint8Array): Uint16Array =>
  mapped(bytes, new Uint16Array(bytes.length), (v) => v * 257);

/** As an 8-bit file would give it back, and through JPEG when a quality is given. */
export async function throughEight(
  { width, height, data }: Samples,
  quality: number | null,
): Promise<Samples> {
  const eight = mapped(data, new Uint8Array(data.length), (v) => round(v / 257));
  const raw = { width, height, channels: 3 } as const;
  const back =
    quality === null
      ? eight
      : await sharp(await sharp(eight, { raw }).jpeg({ quality }).toBuffer())
          .raw()
          .toBuffer();
  return { width, height, data: widened(back) };
}

/** Reads a picture as RGB, its middle at most so many pixels a side. */
export async function middleOf(path: string, most: number): Promise<Samples> {
  const open = sharp(path, { limitInputPixels: false }).removeAlpha().toColourspace('srgb');
  const { width, height } = await open.metadata();
  const w = min(most, width);
  const h = min(most, height);
  const left = (width - w) >> 1;
  const top = (height - h) >> 1;
  const data = await open.extract({ left, top, width: w, height: h }).raw().toBuffer();
  return { width: w, height: h, data: widened(data) };
}
