import type { Consigned, ConsignmentFigures } from '@/core/consign';
import type { Format } from '@/shell/figures';

/** Refusals of rules by their names, as the room says them. */
export const WORDS: Record<string, string> = {
  notFree:
    'One of these prints is not here and free any more: it was ordered or spoiled. Choose them anew.',
  lentOut: 'One of these prints is out on consignment already. Fetch it back first.',
  notOut: 'This print is not out any more. Open Consignments anew.',
  noEdition: 'This edition is not there any more.',
  neverNumbered: 'This impression was never numbered. Number it at its edition first.',
};

export const END_WORDS: Record<NonNullable<Consigned['end']>, string> = {
  sold: 'sold',
  fetched: 'fetched back',
};

/** How many days are left until it is to be fetched, or since. */
export function fetchWords(
  { how, days }: { how: 'closed' | 'overdue' | 'out'; days: number },
  fetchOn: string,
  format: Pick<Format, 'day'>,
): string {
  if (how === 'closed') return 'nothing is out of it any more';
  const many = `${Math.abs(days)} ${Math.abs(days) === 1 ? 'day' : 'days'}`;
  if (how === 'overdue') return `to be fetched back ${many} ago, ${format.day(fetchOn)}`;
  return days === 0 ? 'to be fetched back today' : `until ${format.day(fetchOn)}, ${many}`;
}

/** The same in a line of the list. */
export const daysWords = (
  { how, days }: { how: 'closed' | 'overdue' | 'out'; days: number },
  fetchOn: string,
  format: Pick<Format, 'day'>,
): string =>
  how === 'closed'
    ? 'nothing is out'
    : `${format.day(fetchOn)}, ${how === 'overdue' ? `${-days} days ago` : `in ${days} days`}`;

/** What lies there, and what comes of it if all is sold. */
export function amountsWords(
  figures: ConsignmentFigures,
  toYou: number,
  format: Pick<Format, 'money'>,
  currency: string,
): string {
  if (figures.out === 0) return 'Nothing lies there.';
  const unknown =
    figures.costUnknown > 0
      ? ` What ${figures.costUnknown} of them cost is not known: no price was kept for that size.`
      : '';
  return `${format.money(figures.tiedUp, currency)} of yours lie there in ${figures.out} ${figures.out === 1 ? 'print' : 'prints'}. All sold, ${format.money(toYou, currency)} come to you.${unknown}`;
}
