import { MM_PER_INCH, size } from '../units';
import type { Size } from '../units';
import type { FamilyId, NominalSize, StandardFamily } from './nominalSize';
import { ownSize } from './ownSize';

const isoA = [
  ['A5', 148, 210],
  ['A4', 210, 297],
  ['A3', 297, 420],
  ['A2', 420, 594],
  ['A1', 594, 841],
  ['A0', 841, 1189],
] as const;

const metric = [
  [13, 18],
  [18, 24],
  [24, 30],
  [30, 40],
  [40, 50],
  [50, 70],
  [60, 80],
  [70, 100],
  [100, 140],
] as const;

const inch = [
  [5, 7],
  [8, 10],
  [11, 14],
  [12, 16],
  [16, 20],
  [18, 24],
  [20, 24],
  [24, 30],
  [24, 36],
  [30, 40],
  [40, 50],
] as const;

const twoByThree = [4, 6, 8, 10, 12, 16, 20] as const;
const squaresCm = [10, 15, 20, 25, 30, 40, 50, 60, 80, 100] as const;
const squaresInch = [8, 10, 12, 16, 20, 24, 30] as const;

const inCm = (family: StandardFamily, w: number, h: number): NominalSize => ({
  key: `${family}-${w}x${h}`,
  family,
  label: `${w} × ${h} cm`,
  ...size(w * 10, h * 10),
});
const inInches = (family: StandardFamily, w: number, h: number): NominalSize => ({
  key: `${family}-${w}x${h}${family === 'squares' ? 'in' : ''}`,
  family,
  label: `${w} × ${h} in`,
  ...size(w * MM_PER_INCH, h * MM_PER_INCH),
});

const inchFrames = inch.map(([w, h]) => inInches('inchFrames', w, h));

/** The standard sheet sizes that paper, frames and mats are sold in (ISO 216 and trade custom). */
export const FAMILIES: Record<StandardFamily, NominalSize[]> = {
  isoA: isoA.map(([label, w, h]) => ({
    key: `isoA-${label}`,
    family: 'isoA',
    label,
    ...size(w, h),
  })),
  metricFrames: metric.map(([w, h]) => inCm('metricFrames', w, h)),
  inchFrames,
  // The largest is an inch frame size, and stays that one.
  twoByThree: [
    ...twoByThree.map((w) => inInches('twoByThree', w, w * 1.5)),
    ...inchFrames.filter((s) => s.label === '24 × 36 in'),
  ],
  squares: [
    ...squaresCm.map((edge) => inCm('squares', edge, edge)),
    ...squaresInch.map((edge) => inInches('squares', edge, edge)),
  ].sort((a, b) => a.width - b.width),
};

export const FAMILY_IDS: StandardFamily[] = [
  'metricFrames',
  'isoA',
  'inchFrames',
  'twoByThree',
  'squares',
];

/** Every standard size once, by the first family that has it. */
export const STANDARD_SIZES: NominalSize[] = [
  ...new Map(FAMILY_IDS.flatMap((id) => FAMILIES[id]).map((s) => [s.key, s])).values(),
];
const byKey = new Map(STANDARD_SIZES.map((s) => [s.key, s]));

/**
 * The nominal size of that key, standard or own; undefined when it says none.
 * @example nominalSize('isoA-A3') // { label: 'A3', width: 297, height: 420 }
 */
export const nominalSize = (key: string): NominalSize | undefined =>
  byKey.get(key) ?? ownSize(key);

/** The sizes of some families and own ones, each once, smallest area first. */
export function sizesOf(
  families: readonly FamilyId[],
  own: readonly string[] = [],
): NominalSize[] {
  const found = families.flatMap((id) =>
    id === 'own' ? own.flatMap((key) => nominalSize(key) ?? []) : FAMILIES[id],
  );
  return [...new Map(found.map((s) => [s.key, s])).values()].sort(
    (a, b) => a.width * a.height - b.width * b.height,
  );
}

/** A label lying the way the sheet lies: `50 × 70 cm` becomes `70 × 50 cm` in landscape. */
export function lyingLabel(nominal: NominalSize, sheet: Size): string {
  const parts = /^(\S+) × (\S+) (mm|cm|in)$/.exec(nominal.label);
  return parts && sheet.width > sheet.height
    ? `${parts[2]} × ${parts[1]} ${parts[3]}`
    : nominal.label;
}
