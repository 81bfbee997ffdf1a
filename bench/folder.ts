import { readdirSync } from 'node:fs';
import { extname, join } from 'node:path';

/** The pictures of a folder, in order. */
export const picturesIn = (folder: string): string[] =>
  readdirSync(folder)
    .filter((name) =>
      ['.jpg', '.jpeg', '.png', '.tif', '.tiff'].includes(extname(name).toLowerCase()),
    )
    .sort()
    .map((name) => join(folder, name));

export const median = (values: number[]): number =>
  [...values].sort((a, b) => a - b)[values.length >> 1] ?? NaN;

export const share = (values: boolean[]): number =>
  values.filter(Boolean).length / Math.max(1, values.length);

/** The time within which this share of the answers came. */
export const within = (times: number[], part: number): number =>
  [...times].sort((a, b) => a - b)[Math.ceil(times.length * part) - 1]!;
