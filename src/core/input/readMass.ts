import { GRAMS_PER_OUNCE, GRAMS_PER_POUND } from '../units';
import type { UnitMode } from '../units';
import { numberReadings } from './numberReadings';
import { plainFigures } from './plainFigures';
import { settle } from './undecided';
import type { Undecided } from './undecided';

/** Grams in one of each unit, by what people call it. */
const GRAMS: Record<string, number> = {
  g: 1,
  kg: 1000,
  oz: GRAMS_PER_OUNCE,
  lb: GRAMS_PER_POUND,
  lbs: GRAMS_PER_POUND,
};

const ONE = /^(.*?[\p{Nd}.,])\s*(g|kg|oz|lbs|lb)?$/iu;
/** Between pounds and the ounces that follow. */
const AFTER_POUNDS = /lbs?\b/i;

/** To a millionth of a gram, whatever binary fractions make of an ounce. */
const inGrams = (value: number, factor: number): number =>
  Math.round(value * factor * 1e6) / 1e6;

interface Readings {
  own: number[];
  elsewhere: number[];
}

function readingsOf(typed: string, bare: string, locale: string): Readings {
  const match = ONE.exec(typed);
  const factor = GRAMS[match?.[2]?.toLowerCase() ?? bare];
  if (!match || factor === undefined) return { own: [], elsewhere: [] };
  const { own, elsewhere } = numberReadings(match[1] ?? '', locale);
  return {
    own: own.map((r) => inGrams(r.value, factor)),
    elsewhere: elsewhere.map((r) => inGrams(r.value, factor)),
  };
}

/**
 * Reads a mass as typed: `350`, `1.2 kg`, `12 oz`, `2 lb 3 oz`. Without a unit the mode decides:
 * grams or ounces. Grams; what it may mean where it is written as elsewhere; null when it is no
 * mass.
 * @example readMass('2 lb 3 oz', 'inch', 'en-US') // 992.233309
 */
export function readMass(
  typed: string,
  mode: UnitMode,
  locale: string,
): number | Undecided<number> | null {
  const plain = plainFigures(typed);
  const [first = '', then = ''] = plain.split(AFTER_POUNDS).map((part) => part.trim());
  if (/oz$/i.test(then)) {
    const [pounds] = readingsOf(first, 'lb', locale).own;
    const [ounces] = readingsOf(then, 'oz', locale).own;
    return pounds === undefined || ounces === undefined
      ? null
      : inGrams(pounds + ounces, 1);
  }
  const { own, elsewhere } = readingsOf(plain, mode === 'metric' ? 'g' : 'oz', locale);
  return settle(own, elsewhere);
}
