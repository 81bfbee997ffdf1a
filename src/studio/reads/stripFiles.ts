import { readFile } from 'node:fs/promises';
import { basename } from 'node:path';
import {
  STRIP_LIMITS,
  compareStrips,
  isCgatsFault,
  isReadingFault,
  parseCgats,
  readingsOf,
} from '@/core/proof';
import type { MeanShift, PatchReading, StripDrift, StripLimits } from '@/core/proof';
import { shiftWords, stripFaultWords } from '../words/stripWords';

/** A sentence instead of an answer. */
export class NotCompared extends Error {}

/** Reads the patches of a CGATS file. Throws NotCompared, in words. */
export async function stripOf(path: string): Promise<PatchReading[]> {
  const name = basename(path);
  const bytes = await readFile(path).catch(() => null);
  if (!bytes)
    throw new NotCompared(`${path}: there is no such file, or it cannot be read.`);
  const patches = patchesIn(bytes.toString('utf8'), name);
  if (typeof patches === 'string') throw new NotCompared(patches);
  return patches;
}

/** The patches in a CGATS text; a sentence where it holds none. */
export function patchesIn(text: string, name: string): PatchReading[] | string {
  const file = parseCgats(text);
  if (isCgatsFault(file)) return stripFaultWords(name, file);
  const readings = readingsOf(file);
  return isReadingFault(readings) ? stripFaultWords(name, readings) : readings.patches;
}

const rounded = (v: number): number => Number(v.toFixed(3));

const shifted = (shift: MeanShift | null) =>
  shift && {
    patches: shift.patches,
    mean: rounded(shift.difference),
    dL: rounded(shift.lightness),
    da: rounded(shift.red),
    db: rounded(shift.yellow),
    dC: rounded(shift.chroma),
    words: shiftWords(shift),
  };

const each = <K extends string>(of: Record<K, MeanShift | null>) =>
  Object.fromEntries(Object.entries<MeanShift | null>(of).map(([k, v]) => [k, shifted(v)]));

/** Shifts by tone and hue, as the command line says them. */
export const groupReport = (drift: Pick<StripDrift, 'byTone' | 'byHue'>) => ({
  byTone: each(drift.byTone),
  byHue: each(drift.byHue),
});

/** What the command line says of two strips. The keys are documented and stay as they are. */
export function stripReport(drift: StripDrift, limits: StripLimits) {
  const patchOf = (p: StripDrift['worst']) => ({
    name: p.name,
    difference: rounded(p.difference),
    dL: rounded(p.lightness),
    da: rounded(p.red),
    db: rounded(p.yellow),
    dC: rounded(p.chroma),
    reading: p.reading.map(rounded),
    reference: p.reference.map(rounded),
  });
  return {
    passes: drift.passes,
    limits,
    mean: rounded(drift.mean),
    p95: rounded(drift.p95),
    max: rounded(drift.worst.difference),
    worst: drift.worst.name,
    ...groupReport(drift),
    patches: drift.patches.map(patchOf),
  };
}

/** Holds one file of readings against another. Throws NotCompared, in words. */
export async function compareStripFiles(
  reading: string,
  reference: string,
  limits: StripLimits = STRIP_LIMITS,
): Promise<ReturnType<typeof stripReport>> {
  const [read, approved] = [await stripOf(reading), await stripOf(reference)];
  const drift = compareStrips(read, approved, limits);
  if ('code' in drift) throw new NotCompared(stripFaultWords(basename(reading), drift));
  return stripReport(drift, limits);
}
