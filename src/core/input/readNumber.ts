import { numberReadings } from './numberReadings';
import { settle } from './undecided';
import type { Undecided } from './undecided';

/**
 * A number as people of this locale write it; what it may mean where it is written as elsewhere;
 * null where it is none.
 * @example readNumber('1.234,5', 'de-DE') // 1234.5
 */
export function readNumber(
  typed: string,
  locale: string,
): number | Undecided<number> | null {
  const { own, elsewhere } = numberReadings(typed, locale);
  return settle(
    own.map((r) => r.value),
    elsewhere.map((r) => r.value),
  );
}

/** The same where only whole numbers are meant: 1.234 is none, if it can be 1234. */
export function readWhole(
  typed: string,
  locale: string,
): number | Undecided<number> | null {
  const { own, elsewhere } = numberReadings(typed, locale);
  const whole = (reads: typeof own) =>
    reads.filter((r) => Number.isInteger(r.value)).map((r) => r.value);
  return settle(whole(own), whole(elsewhere)) ?? own[0]?.value ?? null;
}
