import { scaleLinear } from 'd3';
import { daysAfter, daysUntil } from '@/core/days';

/** Size of the drawings of a year, and what stands beside them. */
export const YEAR = { width: 860, left: 112, right: 848 } as const;

/** Days before and after today that are drawn. */
const BEFORE = 364;
const AFTER = 182;

/** Places of days along a year and a half, today among them; beyond it, at its ends. */
export function yearScale(today: string) {
  const scale = scaleLinear()
    .domain([-BEFORE, AFTER])
    .range([YEAR.left, YEAR.right])
    .clamp(true);
  const from = daysAfter(today, -BEFORE);
  const to = daysAfter(today, AFTER);
  return { x: (day: string) => scale(daysUntil(day.slice(0, 10), today)), from, to };
}

/** The first of every second month that is drawn. */
export function monthsDrawn(today: string): string[] {
  const { from, to } = yearScale(today);
  const days: string[] = [];
  let [year, month] = [Number(from.slice(0, 4)), Number(from.slice(5, 7))];
  for (;;) {
    month += 1;
    if (month > 12) [year, month] = [year + 1, 1];
    const day = `${year}-${String(month).padStart(2, '0')}-01`;
    if (day > to) return days;
    if (month % 2 === 1) days.push(day);
  }
}
