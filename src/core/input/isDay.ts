/**
 * Whether a text is a day of the calendar, `YYYY-MM-DD`: 30 February is none.
 * @example isDay('2026-02-30') // false
 */
export function isDay(text: string): boolean {
  if (!/^\d{4}-\d{2}-\d{2}$/.test(text)) return false;
  const time = Date.parse(`${text}T00:00:00Z`);
  return !Number.isNaN(time) && new Date(time).toISOString().slice(0, 10) === text;
}
