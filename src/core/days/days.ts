import {
  parseAbsolute,
  parseDate,
  toCalendarDate,
  toCalendarDateTime,
  Time,
  toZoned,
} from '@internationalized/date';

/**
 * The calendar day of an instant (ISO 8601) where the studio is; of a day that day. `zone` is an
 * IANA time zone.
 * @example dayIn('2026-11-24T02:00:00.000Z', 'America/Los_Angeles') // '2026-11-23'
 */
export const dayIn = (instant: string, zone: string): string =>
  instant.length === 10 ? instant : toCalendarDate(parseAbsolute(instant, zone)).toString();

/**
 * An instant as names of files carry it: day and clock of a time zone, which sort by time.
 * @example stampIn('2026-11-24T09:08:07.000Z', 'America/New_York') // '2026-11-24-040807'
 */
export function stampIn(instant: string, zone: string): string {
  const at = parseAbsolute(instant, zone);
  const two = (n: number) => String(n).padStart(2, '0');
  return `${dayIn(instant, zone)}-${two(at.hour)}${two(at.minute)}${two(at.second)}`;
}

/**
 * Noon of a calendar day where the studio is, as an ISO instant (UTC).
 * @example noonOf('2026-11-23', 'America/Los_Angeles') // '2026-11-23T20:00:00.000Z'
 */
export const noonOf = (day: string, zone: string): string =>
  toZoned(toCalendarDateTime(parseDate(day), new Time(12)), zone).toAbsoluteString();

/**
 * So many days after a calendar day; before it, where it is negative.
 * @example daysAfter('2026-02-27', 3) // '2026-03-02'
 */
export const daysAfter = (day: string, days: number): string =>
  parseDate(day).add({ days }).toString();

/**
 * Calendar days from `today` until `due`; negative when late. Both `YYYY-MM-DD`.
 * @example daysUntil('2026-11-25', '2026-11-28') // -3
 */
export const daysUntil = (due: string, today: string): number =>
  parseDate(due).compare(parseDate(today));

/**
 * Whether a time zone is known here (IANA).
 * @example isZone('Europe/Nowhere') // false
 */
export function isZone(zone: string): boolean {
  try {
    return (
      new Intl.DateTimeFormat('en', { timeZone: zone }).resolvedOptions().timeZone !== ''
    );
  } catch {
    return false;
  }
}
