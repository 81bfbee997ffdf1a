import { basename } from 'node:path';
import { readPicture } from '@/core/capture/reading';
import type { DetailReading } from '@/core/capture/detail';
import { enlarged, middleOf, throughEight } from './enlarge';
import type { Kernel } from './enlarge';
import type { Samples } from '../demo/capture/dust';
import { median, picturesIn, share } from './folder';
import { chance } from '../demo/capture/dust';

const SIDE = 1600;
const FACTORS = [1, 1.25, 1.5, 2, 3];
const KERNELS: Kernel[] = ['linear', 'bicubic', 'lanczos3'];
const QUALITIES = [null, 95, 85];
/** Noise laid over an enlarged picture, standard deviation of 255, that hides the answer. */
const HIDING = 6;

interface Told {
  factor: number;
  kernel: string;
  quality: number | null;
  detail: DetailReading;
}

const detailOf = (picture: Samples): DetailReading =>
  readPicture({ ...picture, channels: 3 }).detail;

function noisy(picture: Samples, deviation: number): Samples {
  const random = chance(5);
  const data = picture.data.slice();
  for (let i = 0; i < data.length; i += 1) {
    const g = Math.sqrt(-2 * Math.log(random() + 1e-12)) * Math.cos(6.283 * random());
    data[i] = Math.min(65535, Math.max(0, data[i]! + g * deviation * 257));
  }
  return { ...picture, data };
}

async function tellAll(path: string): Promise<{ told: Told[]; hidden: DetailReading }> {
  const told: Told[] = [];
  let last: Samples | null = null;
  for (const factor of FACTORS) {
    const base = await middleOf(path, Math.round(SIDE / factor));
    for (const kernel of factor === 1 ? (['as it is'] as const) : KERNELS) {
      const made = kernel === 'as it is' ? base : enlarged(base, factor, kernel);
      if (factor === 2) last = made;
      for (const quality of QUALITIES) {
        const seen = await throughEight(made, quality);
        told.push({ factor, kernel, quality, detail: detailOf(seen) });
      }
    }
  }
  return { told, hidden: detailOf(noisy(last!, HIDING)) };
}

const errorOf = ({ factor, detail }: Told): number =>
  Math.abs((detail.fraction ?? NaN) * factor - 1);

function line(name: string, told: Told[]): void {
  const spoken = told.filter((t) => t.detail.fraction !== null);
  const errors = spoken.map(errorOf);
  const native = told.filter((t) => t.factor === 1);
  const accused = native.filter((t) => (t.detail.fraction ?? 1) < 0.9);
  const per = (v: number) => `${(100 * v).toFixed(0)} %`.padStart(5);
  console.log(
    `${name.padEnd(26)} median error ${per(median(errors))}   within 20 %: ${per(share(errors.map((e) => e <= 0.2)))}` +
      `   cannot tell ${per(1 - spoken.length / told.length)}` +
      (native.length > 0 ? `   accused ${per(accused.length / native.length)}` : ''),
  );
}

/** `npm run bench -- detail FOLDER`: pictures of a folder, enlarged in all ways, and what is told of them. */
export async function measureDetail(folder: string): Promise<void> {
  console.log('\nDetail fraction of enlarged pictures');
  const all: Told[] = [];
  const hidden: DetailReading[] = [];
  for (const path of picturesIn(folder)) {
    const { told, hidden: under } = await tellAll(path);
    line(basename(path).slice(0, 24), told);
    all.push(...told);
    hidden.push(under);
  }
  console.log('');
  for (const factor of FACTORS)
    line(
      `enlarged ${factor} x`,
      all.filter((t) => t.factor === factor),
    );
  for (const kernel of KERNELS)
    line(
      kernel,
      all.filter((t) => t.kernel === kernel),
    );
  for (const quality of QUALITIES)
    line(
      quality === null ? 'not compressed' : `JPEG ${quality}`,
      all.filter((t) => t.quality === quality),
    );
  line('all', all);
  const quiet = share(hidden.map((d) => d.fraction === null));
  console.log(
    `2 x under noise of ${HIDING}: says that it cannot tell in ${(100 * quiet).toFixed(0)} %`,
  );
}
