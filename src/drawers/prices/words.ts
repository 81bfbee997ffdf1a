import type { ListFault, ListedPrice } from '@/core/price';
import { routeKind } from '@/core/prepare';
import type { RouteKindId } from '@/core/prepare';
import { LACK_WORDS } from '@/studio/words/routeWords';

const span = ({ from, to }: ListFault) => (from === to ? `${from}` : `${from} to ${to}`);

/** What is wrong between the lines of a list, at the field that it is in. */
export function listFaultWords(
  fault: ListFault,
  lineOf: (row: number) => string,
): { field: 'rows' | 'postage'; words: string } {
  switch (fault.what) {
    case 'noRows':
      return { field: 'rows', words: 'Prices: there is no line. Give at least one price.' };
    case 'hole':
      return {
        field: 'rows',
        words: `Prices: ${lineOf(fault.row)} has no price for ${span(fault)}. Add a line for it, or say that they print no fewer.`,
      };
    case 'overlap':
      return {
        field: 'rows',
        words: `Prices: ${lineOf(fault.row)} has two prices for ${span(fault)}. Keep one.`,
      };
    case 'postageOverlap':
      return {
        field: 'postage',
        words: `Postage of a batch: there are two for up to ${fault.from} prints. Keep one.`,
      };
    case 'postageHole':
      return {
        field: 'postage',
        words: `Postage of a batch: there is none from ${fault.from} prints on. Add a line without “Up to”, for any number.`,
      };
  }
}

/** What a line is of: `30 × 40 cm`, with its paper. */
export const lineName = ({ paper }: Pick<ListedPrice, 'paper'>, size: string): string =>
  paper === '' ? size : `${size} on ${paper}`;

/** What is lost with a route: by its kind, and in the user's words. */
export const lostWords = (kind: RouteKindId, loses: string): string[] => [
  ...routeKind(kind).cannot.map((l) => LACK_WORDS[l]),
  ...(loses === '' ? [] : [loses]),
];
