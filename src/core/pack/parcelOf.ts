import { area, grams, sum } from '../units';
import type { Grams, Millimetres } from '../units';
import type { Contents } from './contents';
import type { Part } from './parts';
import { wayOf } from './ways';
import type { Packing } from './ways';

/** A parcel as reckoned: its parts with their masses, and its outside dimensions, mm. */
export interface Parcel {
  parts: Part[];
  total: Grams;
  width: Millimetres;
  height: Millimetres;
  depth: Millimetres;
}

/** Folder with a certificate, and a handwritten note: weighed once, kept here. Rule of thumb. */
export const CERTIFICATE_FOLDER = grams(30);
export const NOTE = grams(6);

/** What is in a parcel apart from its wrapping: prints, goods, certificates, extras, a note. */
function contentParts({ prints, goods, extras }: Contents): Part[] {
  return [
    ...prints.map(({ line, copies, width, height, weight }): Part => ({
      key: `print:${line}`,
      part: 'print',
      line,
      copies,
      name: null,
      mass: grams(copies * area(width, height) * weight),
      size: { width, height },
    })),
    ...goods.map(({ line, copies, name, mass }): Part => ({
      key: `goods:${line}`,
      part: 'goods',
      line,
      copies,
      name,
      mass: grams(copies * mass),
      size: null,
    })),
  ].concat(
    prints
      .filter((p) => p.certificate)
      .map(({ line, copies }): Part => ({
        key: `certificate:${line}`,
        part: 'certificate',
        line,
        copies,
        name: null,
        mass: grams(copies * CERTIFICATE_FOLDER),
        size: null,
      })),
    extras.map(({ name, mass }, i): Part => ({
      key: `extra:${i}:${name}`,
      part: 'extra',
      line: null,
      copies: 1,
      name,
      mass,
      size: null,
    })),
    [
      {
        key: 'note',
        part: 'note',
        line: null,
        copies: 1,
        name: null,
        mass: NOTE,
        size: null,
      },
    ],
  );
}

/**
 * A parcel, part by part. Weight = paper area x g/m2 + sleeve + board + mailer (or tube) +
 * certificate + note + extras.
 * @example one 400 x 500 mm print of 308 g/m2 counts 0.4 x 0.5 x 308 = 61.6 g
 */
export function parcelOf(contents: Contents, packing: Packing): Parcel {
  const way = wayOf(packing.way);
  const parts = contentParts(contents);
  // Wrapping stands behind what it wraps, in the order in which one takes it in hand.
  const first = parts.filter((p) => p.part === 'print' || p.part === 'goods');
  const rest = parts.filter((p) => p.part !== 'print' && p.part !== 'goods');
  const all = [...first, ...way.wraps(packing, contents), ...rest];
  const total = sum(grams(0), ...all.map((p) => p.mass));
  return { parts: all, total, ...way.outside(packing, contents) };
}

/**
 * What a carrier charges for: max(weight, L x W x H / divisor), grams.
 * @example billableWeight({ total: grams(600), width: mm(450), height: mm(550), depth: mm(90) }, 5000) // 4455
 */
export const billableWeight = (
  parcel: Pick<Parcel, 'total' | 'width' | 'height' | 'depth'>,
  divisor: number,
): Grams =>
  grams(Math.max(parcel.total, (parcel.width * parcel.height * parcel.depth) / divisor));
