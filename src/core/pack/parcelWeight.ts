import { area, grams, mm, sum } from '../units';
import type { Grams, Millimetres } from '../units';
import type { Packing, PrintToPack } from './choosePacking';
import type { PackRules } from './rules';

export type ParcelPart =
  'print' | 'sleeve' | 'board' | 'mailer' | 'tube' | 'certificate' | 'note';

export interface Parcel {
  parts: { part: ParcelPart; name: string; mass: Grams }[];
  total: Grams;
  /** Outside dimensions. */
  width: Millimetres;
  height: Millimetres;
  depth: Millimetres;
}

/** Folder with the certificate, and a handwritten note: weighed once, kept here. */
export const CERTIFICATE_FOLDER = grams(30);
export const NOTE = grams(6);

/** Weight = paper area x g/m2 + board + sleeve + mailer (or tube) + certificate + note. */
export function parcelWeight(print: PrintToPack, packing: Packing): Parcel {
  const paper = grams(area(print.width, print.height) * print.weight);
  const extras = [
    {
      part: 'certificate' as const,
      name: 'certificate in its folder',
      mass: CERTIFICATE_FOLDER,
    },
    { part: 'note' as const, name: 'note, handwritten', mass: NOTE },
  ];
  const wrap =
    packing.way === 'flat'
      ? [packing.sleeve, packing.board, packing.mailer]
      : [packing.tube];
  const parts: Parcel['parts'] = [
    { part: 'print', name: 'print', mass: paper },
    ...wrap.map((m) => ({ part: m.kind, name: m.name, mass: m.mass })),
    ...extras,
  ];
  const total = sum(grams(0), ...parts.map((p) => p.mass));
  if (packing.way === 'rolled') {
    const across = mm(packing.tube.diameter + 2 * packing.tube.wall);
    return { parts, total, width: packing.tube.length, height: across, depth: across };
  }
  const { mailer, board, sleeve } = packing;
  return {
    parts,
    total,
    width: mm(mailer.width + 2 * mailer.thickness),
    height: mm(mailer.height + 2 * mailer.thickness),
    depth: mm(2 * mailer.thickness + board.thickness + sleeve.thickness + print.thickness),
  };
}

export interface ScaleCheck {
  agrees: boolean;
  /** Scales minus computation: negative when something is missing. */
  difference: Grams;
  tolerance: Grams;
  /** Parts whose own mass explains the difference, nearest first. */
  suspects: ParcelPart[];
}

/** Holds what the scales say against the computed weight. */
export function checkScales(parcel: Parcel, weighed: Grams, rules: PackRules): ScaleCheck {
  const difference = grams(weighed - parcel.total);
  const tolerance = grams(rules.scaleTolerance);
  const off = (mass: number) => Math.abs(mass + difference);
  return {
    agrees: Math.abs(difference) <= tolerance,
    difference,
    tolerance,
    suspects: parcel.parts
      .filter((p) => difference < 0 && off(p.mass) <= tolerance)
      .sort((a, b) => off(a.mass) - off(b.mass))
      .map((p) => p.part),
  };
}

/** What a carrier charges for: max(weight, L x W x H / divisor). */
export const billableWeight = (parcel: Parcel, divisor: number): Grams =>
  grams(Math.max(parcel.total, (parcel.width * parcel.height * parcel.depth) / divisor));
