import { MM_PER_INCH, mm } from '../units';
import type { Millimetres, SizeUnit, UnitMode } from '../units';
import { parseNumber } from './parseNumber';

const FACTORS: Record<string, number> = {
  mm: 1,
  cm: 10,
  m: 1000,
  in: MM_PER_INCH,
  inch: MM_PER_INCH,
  inches: MM_PER_INCH,
  '"': MM_PER_INCH,
  '″': MM_PER_INCH,
  ft: 12 * MM_PER_INCH,
};

/**
 * Reads a length as typed: `12in`, `30 cm`, `7 1/2"`, `300`. Without a unit the mode
 * decides: millimetres or inches. Returns null when it is not a length.
 */
export function parseLength(text: string, mode: UnitMode): Millimetres | null {
  const match = /^(.*?[\d.,])\s*(mm|cm|m|in|inch|inches|ft|"|″)?$/i.exec(text.trim());
  if (!match) return null;
  const value = parseNumber(match[1] ?? '');
  const factor = FACTORS[match[2]?.toLowerCase() ?? (mode === 'metric' ? 'mm' : 'in')];
  if (value === null || factor === undefined) return null;
  // To a millionth of a millimetre: 12 in are 304.8 mm, whatever binary fractions make of it.
  const length = value * factor;
  return mm(Math.abs(length) < 1e9 ? Math.round(length * 1e6) / 1e6 : length);
}

const SIZE_UNITS: Record<string, SizeUnit> = {
  mm: 'mm',
  cm: 'cm',
  m: 'cm',
  in: 'in',
  inch: 'in',
  inches: 'in',
  '"': 'in',
  '″': 'in',
  ft: 'in',
};

const unitOf = (text: string): string | undefined =>
  /(mm|cm|m|inches|inch|in|ft|"|″)$/i.exec(text.trim())?.[1]?.toLowerCase();

/**
 * Reads a size as typed: `40 x 50 cm`, `16x20in`, `40 cm × 20 in`, `400*500`. A unit at the
 * end holds for both edges; without any, centimetres or inches by the mode. Answers the edges
 * in mm and the unit it was said in (mm where it was said in two). Null when it is no size.
 */
export function parseSize(
  text: string,
  mode: UnitMode,
): { width: Millimetres; height: Millimetres; unit: SizeUnit } | null {
  const parts = text
    .split(/[×*]|\bx\b|(?<=[\d\s"″a-z])x(?=[\s\d.,])/i)
    .map((part) => part.trim());
  const [first = '', second = ''] = parts;
  if (parts.length !== 2) return null;
  const last = unitOf(second) ?? (mode === 'metric' ? 'cm' : 'in');
  const own = unitOf(first) ?? last;
  const withUnit = (part: string, unit: string) =>
    parseLength(unitOf(part) ? part : `${part} ${unit}`, mode);
  const width = withUnit(first, own);
  const height = withUnit(second, last);
  if (width === null || height === null) return null;
  const [a, b] = [SIZE_UNITS[own]!, SIZE_UNITS[last]!];
  return { width, height, unit: a === b ? a : 'mm' };
}
