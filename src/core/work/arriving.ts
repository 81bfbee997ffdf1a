import { mmOf } from '../units';
import type { Size } from '../units';

/**
 * A title for the work in a file, from its name: without its ending, marks as spaces.
 * @example titleOfFile('salt-pans_evening.tif') // 'Salt pans evening'
 */
export function titleOfFile(name: string): string {
  const words = name
    .replace(/\.[a-z]{2,4}$/i, '')
    .split(/[\s_.-]+/)
    .filter(Boolean)
    .join(' ')
    .slice(0, 120);
  return words === '' ? 'Without a title' : words[0]!.toUpperCase() + words.slice(1);
}

/** What programs write where nothing was measured. */
const NOT_MEASURED = new Set([1, 72, 96]);
/** Originals are from a stamp to a wall. */
const LEAST_MM = 10;
const MOST_MM = 20_000;

/**
 * The size of an original by the resolution its scan says it was made at, mm; null where that
 * says nothing: none is written, it is what programs write by themselves, or no original is so
 * small or so large.
 * @example sizeOfScan({ width: 3000, height: 4000, ppiTag: 300 }) // { width: 254, height: 338.67 }
 */
export function sizeOfScan(file: {
  width: number;
  height: number;
  ppiTag: number | null;
}): Size | null {
  const { ppiTag } = file;
  if (ppiTag === null || NOT_MEASURED.has(Math.round(ppiTag))) return null;
  const [width, height] = [mmOf(file.width, ppiTag), mmOf(file.height, ppiTag)];
  const fits = [width, height].every((edge) => edge >= LEAST_MM && edge <= MOST_MM);
  return fits ? { width, height } : null;
}
