import { createHash } from 'node:crypto';
import type { LedgerFact } from '@/core/edition';

export const FIRST = [
  'Salt',
  'Low',
  'Grey',
  'Tide',
  'Reed',
  'Stone',
  'Kelp',
  'Winter',
  'Ferry',
  'Marsh',
];
export const LAST = [
  'Pans',
  'Sun',
  'Jugs',
  'Causeway',
  'Lines',
  'Harbour',
  'Sluice',
  'Weir',
  'Flats',
  'Gate',
];
export const NAMES = [
  'Orla',
  'Ivo',
  'Brede',
  'Tamsin',
  'Kasimir',
  'Noor',
  'Ansel',
  'Wilna',
  'Piet',
  'Edda',
];
export const TOWNS = [
  'Saltreach',
  'Overmere',
  'Hale Point',
  'Dunmoor',
  'Brackwell',
  'Low Ferry',
  'Tarn',
];
export const SIZES = ['isoA-A2', 'isoA-A3', 'isoA-A1', 'metricFrames-50x70'];
export const sha256 = (text: string) => createHash('sha256').update(text).digest('hex');
export const pick = <T>(list: T[], i: number): T => list[i % list.length]!;
export const day = (n: number) =>
  new Date(Date.UTC(2025, 0, 1) + n * 86_400_000).toISOString();

/** The ledger of one edition: all numbers given out, some ordered, most of those shipped. */
export function ledgerFacts(
  editionId: number,
  impressionsEach: number,
  ordersEach: number,
  sizeKey: string,
): LedgerFact[] {
  const fact = (
    kind: LedgerFact['kind'],
    number: number | null,
    payload: LedgerFact['payload'],
  ) => ({
    editionId,
    kind,
    series: number === null ? null : ('number' as const),
    number,
    at: day(editionId % 300),
    payload,
  });
  const order = (k: number) =>
    String(400 + (editionId - 1) * ordersEach + k + 1).padStart(4, '0');
  return [
    fact('declared', null, {
      kind: 'limited',
      scope: 'perSize',
      size: impressionsEach + (editionId % 3),
      artistsProofs: 2,
    }),
    ...Array.from({ length: impressionsEach }, (_, k) =>
      fact('assigned', k + 1, { printing: 1, sizeKey: sizeKey }),
    ),
    ...Array.from({ length: ordersEach }, (_, k) =>
      fact('ordered', k + 1, { order: order(k) }),
    ),
    ...Array.from(
      { length: Math.max(0, ordersEach - (editionId % 4 === 0 ? 1 : 0)) },
      (_, k) => fact('shipped', k + 1, { order: order(k) }),
    ),
  ];
}
