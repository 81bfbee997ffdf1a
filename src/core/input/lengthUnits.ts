import { MM_PER_INCH, mm } from '../units';
import type { Millimetres, SizeUnit } from '../units';

/** Millimetres in one of each unit, by what people call it. */
export const FACTORS: Record<string, number> = {
  mm: 1,
  cm: 10,
  m: 1000,
  in: MM_PER_INCH,
  inch: MM_PER_INCH,
  inches: MM_PER_INCH,
  '"': MM_PER_INCH,
  '″': MM_PER_INCH,
  ft: 12 * MM_PER_INCH,
  mil: MM_PER_INCH / 1000,
};

/** The unit that a size typed in each of them is called by. */
export const SIZE_UNITS: Record<string, SizeUnit> = {
  mm: 'mm',
  cm: 'cm',
  m: 'cm',
  in: 'in',
  inch: 'in',
  inches: 'in',
  '"': 'in',
  '″': 'in',
  ft: 'in',
  mil: 'in',
};

/** A figure and the unit behind it, if there is one. */
export const UNIT_AT_END = /^(.*?[\p{Nd}.,])\s*(mm|cm|mil|m|in|inch|inches|ft|"|″)?$/iu;

/** To a millionth of a millimetre: 12 in are 304.8 mm, whatever binary fractions make of it. */
export function inMillimetres(value: number, factor: number): Millimetres {
  const length = value * factor;
  return mm(Math.abs(length) < 1e9 ? Math.round(length * 1e6) / 1e6 : length);
}
