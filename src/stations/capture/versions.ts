import { derivedSize } from '@/core/capture/derivation';
import type { MasterReading } from '@/core/capture/reading';
import { SHOWN_FROM, samePlace, scaleBetween } from '@/core/capture/specks';
import { masterReading } from '@/data';
import type { Master, Reading } from '@/data';

/** One file that is or was the master, in figures that can be held against another's. */
export interface Version {
  sha256: string;
  name: string;
  at: string;
  pixels: { width: number; height: number };
  bits: number;
  profile: string | null;
  cropped: boolean;
  detail: number | null;
  read: boolean;
  specks: number;
  /** Of the specks seen in the version before, how many are not in this one. */
  mended: number | null;
  black: number | null;
  white: number | null;
  clipped: number | null;
  noise: number | null;
}

const shownOf = (reading: MasterReading | undefined) =>
  reading?.specks.found.filter((s) => s.confidence >= SHOWN_FROM) ?? [];

/** Specks of an earlier reading that have no match in a later one; null when the sizes do not agree. */
export function mendedSince(
  earlier: MasterReading | undefined,
  later: MasterReading | undefined,
): number | null {
  if (!earlier || !later) return null;
  const scale = scaleBetween(earlier, later);
  if (scale === null) return null;
  const now = later.specks.found;
  return shownOf(earlier).filter((s) => !now.some((n) => samePlace(n, s, scale))).length;
}

/** Every file that a work has or had as its master, newest first. */
export async function loadVersions(db: Reading, masters: Master[]): Promise<Version[]> {
  const files = masters.filter(
    (m, i) => masters.findIndex((other) => other.sha256 === m.sha256) === i,
  );
  const readings = await Promise.all(files.map((m) => masterReading(db, m.sha256)));
  return files.map((m, i) => {
    const reading = readings[i];
    const first = masters.filter((other) => other.sha256 === m.sha256).at(-1)!;
    return {
      sha256: m.sha256,
      name: m.name,
      at: first.at,
      pixels: derivedSize(m.file, { corners: m.derivation?.corners ?? null }),
      bits: m.file.bitsPerChannel,
      profile: m.file.iccDescription,
      cropped: Boolean(m.derivation?.corners),
      detail: reading?.detail.fraction ?? null,
      read: reading !== undefined,
      specks: shownOf(reading).length,
      mended: mendedSince(readings[i + 1], reading),
      black: reading ? Math.min(...reading.tone.black) : null,
      white: reading ? Math.max(...reading.tone.white) : null,
      clipped: reading ? Math.max(...reading.tone.clipped.high) : null,
      noise: reading?.noise.overall ?? null,
    };
  });
}
