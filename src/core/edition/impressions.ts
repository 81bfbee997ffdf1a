import type { LedgerFact, Series } from './types';

/**
 * `numbered`: here and free. `damaged`: here, but not for sale; it is destroyed before its
 * number is printed again. `lost`: out for good, its number is never printed again.
 */
export type ImpressionState =
  'numbered' | 'spoiled' | 'ordered' | 'sold' | 'damaged' | 'lost';

/** One impression as the ledger tells it. */
export interface Impression {
  series: Series;
  number: number;
  state: ImpressionState;
  /** 1 for the first print of this number, 2 after one was spoiled, and so on. */
  printing: number;
  /** Number of the order it is reserved for or went out with. */
  order: string | null;
  /** The size it was printed at, as its number was given; empty where that was not said. */
  sizeKey: string;
}

/**
 * Names an impression within its edition.
 * @example impressionKey('ap', 2) // 'ap:2'
 */
export const impressionKey = (series: Series, number: number) => `${series}:${number}`;

const NEXT_STATE: Partial<Record<LedgerFact['kind'], ImpressionState>> = {
  assigned: 'numbered',
  spoiled: 'spoiled',
  ordered: 'ordered',
  released: 'numbered',
  shipped: 'sold',
  lost: 'lost',
};

const nextState = ({ kind, payload }: LedgerFact): ImpressionState | undefined =>
  kind === 'returned'
    ? payload.condition === 'damaged'
      ? 'damaged'
      : 'numbered'
    : NEXT_STATE[kind];

/**
 * Derives the impressions of one edition from its ledger, in order of numbering.
 * @example impressionsOf([{ editionId: 1, kind: 'assigned', series: 'number', number: 1, at: '2026-11-02', payload: { printing: 1, sizeKey: 'isoA-A3' } }]) // [{ series: 'number', number: 1, state: 'numbered' }]
 */
export function impressionsOf(facts: Iterable<LedgerFact>): Impression[] {
  const found = new Map<string, Impression>();
  for (const fact of facts) {
    const state = nextState(fact);
    if (!state || fact.series === null || fact.number === null) continue;
    const key = impressionKey(fact.series, fact.number);
    const before = found.get(key);
    found.set(key, {
      series: fact.series,
      number: fact.number,
      state,
      printing: (before?.printing ?? 0) + (fact.kind === 'assigned' ? 1 : 0),
      order:
        state === 'ordered' || state === 'sold' || state === 'lost'
          ? String(fact.payload.order ?? '')
          : null,
      sizeKey:
        fact.kind === 'assigned'
          ? String(fact.payload.sizeKey ?? '')
          : (before?.sizeKey ?? ''),
    });
  }
  return [...found.values()].sort((a, b) =>
    a.series === b.series ? a.number - b.number : a.series === 'number' ? -1 : 1,
  );
}
