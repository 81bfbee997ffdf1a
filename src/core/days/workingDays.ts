import { isWeekend, parseDate } from '@internationalized/date';

/** When a studio works. */
export interface WorkingDays {
  /** ISO 3166 code of its country, which says which days are the weekend; empty: Saturday, Sunday. */
  country: string;
  /** Whether it is closed on a day (`YYYY-MM-DD`): a holiday, or one of its own. */
  closed: (day: string) => boolean;
}

/** Monday to Friday, without a holiday. */
export const PLAIN_WEEK: WorkingDays = { country: '', closed: () => false };

/** Days looked through at most: who is closed longer than a year works never. */
const MOST_DAYS = 400;

/**
 * Whether somebody works on a day.
 * @example worksOn('2026-11-28', PLAIN_WEEK) // false
 */
export const worksOn = (day: string, { country, closed }: WorkingDays): boolean =>
  !isWeekend(parseDate(day), `en-${country || 'GB'}`) && !closed(day);

/**
 * The day by which an order leaves: so many working days after the day it came in. All days
 * `YYYY-MM-DD`. Throws RangeError where there is no such day within reach.
 * @example promisedDay('2026-11-20', 3, PLAIN_WEEK) // '2026-11-25'
 */
export function promisedDay(
  placedOn: string,
  workingDays: number,
  week: WorkingDays,
): string {
  let day = parseDate(placedOn);
  let left = workingDays;
  let idle = 0;
  while (left > 0) {
    day = day.add({ days: 1 });
    const works = worksOn(day.toString(), week);
    if (works) left -= 1;
    idle = works ? 0 : idle + 1;
    if (idle > MOST_DAYS) throw new RangeError('no working day within a year');
  }
  return day.toString();
}
