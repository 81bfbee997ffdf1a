import { toInches } from '../units';
import type { Millimetres, SizeUnit, UnitMode } from '../units';
import { FACTORS, SIZE_UNITS, UNIT_AT_END, inMillimetres } from './lengthUnits';
import { numberReadings } from './numberReadings';
import { plainFigures } from './plainFigures';
import { settle } from './undecided';
import type { Undecided } from './undecided';

/** Lengths that a text may mean here, and as written elsewhere, mm. */
function lengthReadings(
  typed: string,
  mode: UnitMode,
  locale: string,
  bare = mode === 'metric' ? 'mm' : 'in',
): { own: Millimetres[]; elsewhere: Millimetres[] } {
  const match = UNIT_AT_END.exec(plainFigures(typed));
  const factor = FACTORS[match?.[2]?.toLowerCase() ?? bare];
  if (!match || factor === undefined) return { own: [], elsewhere: [] };
  const { own, elsewhere } = numberReadings(match[1] ?? '', locale);
  return {
    own: own.map((r) => inMillimetres(r.value, factor)),
    elsewhere: elsewhere.map((r) => inMillimetres(r.value, factor)),
  };
}

/**
 * Reads a length as typed: `12in`, `30 cm`, `7 1/2"`, `300`. Without a unit the mode decides:
 * millimetres or inches. What it may mean where it is written as elsewhere; null when it is not
 * a length.
 * @example readLength('29,7 cm', 'metric', 'de-DE') // 297
 */
export function readLength(
  typed: string,
  mode: UnitMode,
  locale: string,
): Millimetres | Undecided<Millimetres> | null {
  const { own, elsewhere } = lengthReadings(typed, mode, locale);
  return settle(own, elsewhere);
}

/** Inches that no sheet is thick, and mils than which none is thinner: a bare figure is one or the other. */
const THICKEST_INCHES = 0.2;

/**
 * Reads how thick a sheet is: `0.38`, `0.38 mm`, `15 mil`, `0.015 in`. A bare figure is
 * millimetres, or under inches thousandths of an inch (mil), below 0.2 inches.
 * @example readThickness('15', 'inch', 'en-US') // 0.381
 */
export function readThickness(
  typed: string,
  mode: UnitMode,
  locale: string,
): Millimetres | Undecided<Millimetres> | null {
  if (mode === 'metric') return readLength(typed, mode, locale);
  const { own, elsewhere } = lengthReadings(typed, mode, locale, 'mil');
  const inches = lengthReadings(typed, mode, locale, 'in');
  const meant = (mils: Millimetres[], wide: Millimetres[]) =>
    mils.map((thin, i) => (toInches(wide[i]!) < THICKEST_INCHES ? wide[i]! : thin));
  return settle(meant(own, inches.own), meant(elsewhere, inches.elsewhere));
}

const unitOf = (text: string): string | undefined =>
  /(mm|cm|mil|m|inches|inch|in|ft|"|″)$/i.exec(text.trim())?.[1]?.toLowerCase();

export interface SizeRead {
  width: Millimetres;
  height: Millimetres;
  unit: SizeUnit;
}

/**
 * Reads a size as typed: `40 x 50 cm`, `16x20in`, `40 cm × 20 in`, `400*500`. A unit at the
 * end holds for both edges; without any, centimetres or inches by the mode. Answers the edges
 * in mm and the unit it was said in (mm where it was said in two); what it may mean where its
 * figures are written as elsewhere. Null when it is no size.
 */
export function readSize(
  typed: string,
  mode: UnitMode,
  locale: string,
): SizeRead | Undecided<SizeRead> | null {
  const parts = plainFigures(typed)
    .split(/[×*]|\bx\b|(?<=[\d\s"″a-z])x(?=[\s\d.,])/i)
    .map((part) => part.trim());
  const [first = '', second = ''] = parts;
  if (parts.length !== 2) return null;
  const last = unitOf(second) ?? (mode === 'metric' ? 'cm' : 'in');
  const own = unitOf(first) ?? last;
  const [a, b] = [SIZE_UNITS[own]!, SIZE_UNITS[last]!];
  const edge = (part: string, unit: string) =>
    lengthReadings(unitOf(part) ? part : `${part} ${unit}`, mode, locale);
  const [across, down] = [edge(first, own), edge(second, last)];
  const sizes = (widths: Millimetres[], heights: Millimetres[]): SizeRead[] =>
    widths.flatMap((width) =>
      heights.map((height) => ({ width, height, unit: a === b ? a : 'mm' })),
    );
  const any = (r: typeof across) => (r.own.length > 0 ? r.own : r.elsewhere);
  return settle(sizes(across.own, down.own), sizes(any(across), any(down)));
}
