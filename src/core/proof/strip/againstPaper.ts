import { D50, labOf, xyzOfLab } from '../../colour';
import type { Vector } from '../../colour';
import type { PatchReading } from '../cgats';

const scaled = (lab: Readonly<Vector>, by: (v: number, c: number) => number): Vector =>
  labOf(xyzOfLab(lab).map(by) as Vector);

/** A colour that was measured, as it is beside the white of its paper: XYZ over that of the paper. */
export const overPaper = (lab: Readonly<Vector>, paper: Readonly<Vector>): Vector => {
  const white = xyzOfLab(paper);
  return scaled(lab, (v, c) => (v / white[c as 0]) * D50[c as 0]);
};

/** A colour relative to the white of a paper, as an instrument measures it. */
export const asMeasured = (lab: Readonly<Vector>, paper: Readonly<Vector>): Vector => {
  const white = xyzOfLab(paper);
  return scaled(lab, (v, c) => (v * white[c as 0]) / D50[c as 0]);
};

/** Share of the patches that must have been read; of fewer nothing is said. */
export const LEAST_READ = 0.75;
/** L* below which what was read as paper cannot be paper. */
const LEAST_WHITE = 60;

/** Why a reading is not one of a strip. */
export type StripReadingFault =
  | { code: 'few'; found: number; wanted: number; first: string }
  | { code: 'noPaper' }
  | { code: 'darkPaper'; lightness: number };

/** A reading of a strip over the white of its paper, and the patches that are not in it. */
export interface ReadStrip {
  patches: PatchReading[];
  paper: Vector;
  missing: string[];
}

/** Patches by the names of the strip: without regard to case, spaces and strokes. What is of no patch is left out. */
export function namedAsStrip(
  strip: readonly { name: string }[],
  reading: readonly PatchReading[],
): PatchReading[] {
  const plain = (name: string) => name.toLowerCase().replaceAll(/[\s_-]/g, '');
  const read = new Map(reading.map((p) => [plain(p.name), p.lab]));
  return strip.flatMap(({ name }) => {
    const lab = read.get(plain(name));
    return lab ? [{ name, lab }] : [];
  });
}

/**
 * A reading of a strip, patch by patch of its names, over the white of the paper that is on it. Names
 * are compared as `namedAsStrip` does.
 */
export function readAgainstPaper(
  strip: readonly { name: string }[],
  reading: readonly PatchReading[],
): ReadStrip | StripReadingFault {
  const named = namedAsStrip(strip, reading);
  const read = new Map(named.map((p) => [p.name, p.lab]));
  const missing = strip.filter((p) => !read.has(p.name)).map((p) => p.name);
  const found = named.length;
  if (strip.length === 0 || found < LEAST_READ * strip.length)
    return { code: 'few', found, wanted: strip.length, first: missing[0] ?? '' };
  const paper = read.get('paper');
  if (!paper) return { code: 'noPaper' };
  if (paper[0] < LEAST_WHITE) return { code: 'darkPaper', lightness: paper[0] };
  return {
    paper,
    missing,
    patches: named.map(({ name, lab }) => ({ name, lab: overPaper(lab, paper) })),
  };
}
