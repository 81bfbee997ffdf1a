/** Days before and after these are no days that a studio writes: they are slips of the hand. */
export const FIRST_DAY = '1900-01-01';
export const LAST_DAY = '2199-12-31';

/**
 * Whether a text is a day of the calendar, `YYYY-MM-DD`: 30 February is none.
 * @example isDay('2026-02-30') // false
 */
export function isDay(text: string): boolean {
  if (!/^\d{4}-\d{2}-\d{2}$/.test(text)) return false;
  const time = Date.parse(`${text}T00:00:00Z`);
  return !Number.isNaN(time) && new Date(time).toISOString().slice(0, 10) === text;
}
