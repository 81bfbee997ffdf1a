import type { Lasting } from '@/core/paper';

/** Parts of sheets are said to a tenth. */
export const sheetsSaid = (n: number): string => {
  const figure = Number(n.toFixed(1));
  return `${figure} ${figure === 1 ? 'sheet' : 'sheets'}`;
};

/** At what pace a paper or packing goes, and by which day it is to be ordered; empty where nothing tells. */
export function lastsSentence(
  lasting: Lasting | null,
  deliveryDays: number | null,
  day: (at: string) => string,
): string {
  if (lasting === null) return '';
  const { weeks, perWeek, coming, orderBy } = lasting;
  const promised = coming >= 0.05 ? `, ${sheetsSaid(coming)} promised` : '';
  const figure = perWeek >= 10 ? Math.round(perWeek) : Number(perWeek.toFixed(1));
  const pace = `About ${weeks < 2 ? `${Math.floor(weeks * 7)} days` : `${Math.floor(weeks)} weeks`} at ${figure} a week${promised}`;
  return orderBy === null
    ? `${pace}; say how long a delivery takes, and the day to order is told.`
    : `${pace}; a delivery takes ${deliveryDays} ${deliveryDays === 1 ? 'day' : 'days'}: order by ${day(orderBy)}.`;
}
