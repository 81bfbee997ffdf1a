import Holidays from 'date-holidays';
import { dayIn, daysAfter, isClosed } from '@/core/days';
import type { WorkingDays } from '@/core/days';
import type { BenchSettings } from '@/data';
import { now } from './studio';

/** The day that it is where the studio is. */
export const todayOf = ({ timeZone }: Pick<BenchSettings, 'timeZone'>): string =>
  dayIn(now(), timeZone);

const holidays = new Map<string, ReadonlySet<string>>();

/** The public holidays of a country in a year, as days; none of a country that is not known. */
function holidaysOf(country: string, year: number): ReadonlySet<string> {
  const key = `${country} ${year}`;
  const known = holidays.get(key);
  if (known) return known;
  const days = new Set<string>();
  if (country !== '')
    for (const { type, date, start, end } of new Holidays(country, {
      types: ['public'],
    }).getHolidays(year)) {
      const first = date.slice(0, 10);
      // Some last for days: each of them is one.
      const length = Math.max(
        1,
        Math.round((end.getTime() - start.getTime()) / 86_400_000),
      );
      if (type === 'public')
        for (let i = 0; i < length; i += 1) days.add(daysAfter(first, i));
    }
  holidays.set(key, days);
  return days;
}

/** When the studio works: not on weekends and public holidays of its country, nor when it is closed. */
export const weekOf = ({
  country,
  closedDays,
}: Pick<BenchSettings, 'country' | 'closedDays'>): WorkingDays => ({
  country,
  closed: (day) =>
    isClosed(day, closedDays) || holidaysOf(country, Number(day.slice(0, 4))).has(day),
});
