import { MM_PER_INCH } from './length';
import { parseNumber } from './parseNumber';
import { mm } from './quantity';
import type { Millimetres } from './quantity';

export type UnitMode = 'metric' | 'inch';

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
  return value === null || factor === undefined ? null : mm(value * factor);
}
