import type { LedgerFact, Series } from './types';

export type ImpressionState = 'numbered' | 'spoiled' | 'ordered' | 'sold';

/** One impression as the ledger tells it. */
export interface Impression {
  series: Series;
  number: number;
  state: ImpressionState;
  /** 1 for the first print of this number, 2 after one was spoiled, and so on. */
  printing: number;
  /** Number of the order it is reserved for or went out with. */
  order: string | null;
}

export const impressionKey = (series: Series, number: number) => `${series}:${number}`;

const NEXT_STATE: Partial<Record<LedgerFact['kind'], ImpressionState>> = {
  assigned: 'numbered',
  spoiled: 'spoiled',
  ordered: 'ordered',
  released: 'numbered',
  shipped: 'sold',
};

/** Derives the impressions of one edition from its ledger, in order of numbering. */
export function impressionsOf(facts: Iterable<LedgerFact>): Impression[] {
  const found = new Map<string, Impression>();
  for (const fact of facts) {
    const state = NEXT_STATE[fact.kind];
    if (!state || fact.series === null || fact.number === null) continue;
    const key = impressionKey(fact.series, fact.number);
    const before = found.get(key);
    found.set(key, {
      series: fact.series,
      number: fact.number,
      state,
      printing: (before?.printing ?? 0) + (fact.kind === 'assigned' ? 1 : 0),
      order:
        state === 'ordered' || state === 'sold' ? String(fact.payload.order ?? '') : null,
    });
  }
  return [...found.values()].sort((a, b) =>
    a.series === b.series ? a.number - b.number : a.series === 'number' ? -1 : 1,
  );
}
