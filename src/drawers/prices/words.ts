import { sameThing } from '@/core/price';
import type { ListFault, ListedPrice } from '@/core/price';

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

/** The lines of a list, those of one size and paper together, by how many. */
export function listedThings<L extends ListedPrice>(rows: readonly L[]): L[][] {
  const things: L[][] = [];
  for (const row of rows) {
    const known = things.find(([first]) => sameThing(first!, row));
    if (known) known.push(row);
    else things.push([row]);
  }
  return things.map((t) => t.sort((a, b) => a.from - b.from));
}

/** What each costs from how many on: `24.00, from 10 17.00`. */
export const breaksWords = (
  rows: readonly ListedPrice[],
  amount: (minor: number) => string,
): string =>
  rows
    .map(({ from, to, each }) => {
      const last = to === null ? '' : ` (to ${to})`;
      return `${from === 1 ? '' : `from\u00a0${from}: `}${amount(each)}${last}`;
    })
    .join(', ');
