import { MM_PER_INCH, size } from '../units';
import type { Size } from '../units';

export type FamilyId = 'isoA' | 'metricFrames' | 'inchFrames';

/** A nominal sheet size, portrait; `key` names it for good, whatever the reader's units. */
export interface NominalSize extends Size {
  key: string;
  family: FamilyId;
  /** How the trade writes it: `A3`, `50 × 70 cm`, `16 × 20 in`. */
  label: string;
}

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
  [24, 30],
  [24, 36],
  [30, 40],
  [40, 50],
] as const;

/** The standard sheet sizes that paper, frames and mats are sold in (ISO 216 and trade custom). */
export const FAMILIES: Record<FamilyId, NominalSize[]> = {
  isoA: isoA.map(([label, w, h]) => ({
    key: `isoA-${label}`,
    family: 'isoA',
    label,
    ...size(w, h),
  })),
  metricFrames: metric.map(([w, h]) => ({
    key: `metricFrames-${w}x${h}`,
    family: 'metricFrames',
    label: `${w} × ${h} cm`,
    ...size(w * 10, h * 10),
  })),
  inchFrames: inch.map(([w, h]) => ({
    key: `inchFrames-${w}x${h}`,
    family: 'inchFrames',
    label: `${w} × ${h} in`,
    ...size(w * MM_PER_INCH, h * MM_PER_INCH),
  })),
};

export const FAMILY_IDS: FamilyId[] = ['metricFrames', 'isoA', 'inchFrames'];

/** The nominal size of that key, or undefined when no family has it. */
export const nominalSize = (key: string): NominalSize | undefined =>
  FAMILY_IDS.flatMap((id) => FAMILIES[id]).find((s) => s.key === key);

/** A label lying the way the sheet lies: `50 × 70 cm` becomes `70 × 50 cm` in landscape. */
export function lyingLabel(nominal: NominalSize, sheet: Size): string {
  const parts = /^(\S+) × (\S+) (cm|in)$/.exec(nominal.label);
  return parts && sheet.width > sheet.height
    ? `${parts[2]} × ${parts[1]} ${parts[3]}`
    : nominal.label;
}
