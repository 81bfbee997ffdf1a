/**
 * The day by which an order leaves: so many working days (Monday to Friday) after it came
 * in. Dates are ISO calendar days, `YYYY-MM-DD`.
 * @example promisedDay('2026-11-20', 3) // '2026-11-25'
 */
export function promisedDay(placed: string, workingDays: number): string {
  const day = new Date(`${placed.slice(0, 10)}T12:00:00Z`);
  let left = workingDays;
  while (left > 0) {
    day.setUTCDate(day.getUTCDate() + 1);
    const weekday = day.getUTCDay();
    if (weekday !== 0 && weekday !== 6) left -= 1;
  }
  return day.toISOString().slice(0, 10);
}

/**
 * Calendar days from `today` until `due`; negative when late.
 * @example daysUntil('2026-11-25', '2026-11-28') // -3
 */
export const daysUntil = (due: string, today: string): number =>
  Math.round((Date.parse(due.slice(0, 10)) - Date.parse(today.slice(0, 10))) / 86_400_000);
