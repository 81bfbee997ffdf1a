import { currencyDigits } from '@/core/units';
import type { CsvCell } from '@/documents';
import { listLineForm } from './listForm';
import { loadPriceLists } from './view';

/** Heads of an empty list to be written in. */
export const pricesTemplate = (): string[][] => [Object.values(listLineForm.titles)];

/** Every price of every list that holds now. */
export async function pricesCsv(): Promise<{ heads: string[]; rows: CsvCell[][] }> {
  const { lists } = await loadPriceLists({});
  return {
    heads: ['who prints', 'prices from', 'size', 'paper', 'from', 'to', 'each', 'currency'],
    rows: lists.flatMap((l) =>
      l.rows.map((r): CsvCell[] => [
        l.name,
        l.values.from,
        r.said,
        r.paper,
        r.from,
        r.to ?? '',
        r.each / 10 ** currencyDigits(l.currency),
        l.currency,
      ]),
    ),
  };
}
