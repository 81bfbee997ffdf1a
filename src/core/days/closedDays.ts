import { parseDate } from '@internationalized/date';
import { isDay } from '../input/isDay';

/** Days on which a studio is closed, both of them included; `every` year where the year is left out. */
export interface ClosedSpan {
  from: string;
  to: string;
}

const DAY = /^\d{4}-\d{2}-\d{2}$/;
const MONTH_DAY = /^\d{2}-\d{2}$/;

/** Whether a day or a day of every year: 29 February is one of every fourth. */
const known = (day: string) =>
  DAY.test(day) ? isDay(day) : MONTH_DAY.test(day) && isDay(`2024-${day}`);

/**
 * Reads the days on which a studio is closed: `12-24` of every year, `2027-07-01 to 2027-07-14`,
 * with commas between. Null where something in it is no day, or ends before it begins.
 * @example readClosedDays('12-24, 2027-07-01 to 2027-07-14')
 * // [{ from: '12-24', to: '12-24' }, { from: '2027-07-01', to: '2027-07-14' }]
 */
export function readClosedDays(typed: string): ClosedSpan[] | null {
  const spans: ClosedSpan[] = [];
  for (const part of typed.split(/[,;\n]/).map((p) => p.trim())) {
    if (part === '') continue;
    const [from = '', to = from, more] = part.split(' to ').map((p) => p.trim());
    if (more !== undefined || !known(from) || !known(to) || from.length !== to.length)
      return null;
    if (DAY.test(from) && to < from) return null;
    spans.push({ from, to });
  }
  return spans;
}

/**
 * The days as they are typed.
 * @example writeClosedDays([{ from: '12-24', to: '12-24' }]) // '12-24'
 */
export const writeClosedDays = (spans: readonly ClosedSpan[]): string =>
  spans.map(({ from, to }) => (from === to ? from : `${from} to ${to}`)).join(', ');

/**
 * Whether a day lies in one of the spans. One of every year may run over its end: `12-24 to 01-02`.
 * @example isClosed('2027-12-31', [{ from: '12-24', to: '01-02' }]) // true
 */
export const isClosed = (day: string, spans: readonly ClosedSpan[]): boolean => {
  const ofYear = parseDate(day).toString().slice(5);
  return spans.some(({ from, to }) => {
    if (DAY.test(from)) return from <= day && day <= to;
    return from <= to ? from <= ofYear && ofYear <= to : ofYear >= from || ofYear <= to;
  });
};
