import { minor, sum, times } from '../units';
import type { Minor } from '../units';

/** What one impression is made of. Costs that are paid once are spread over `expectedImpressions`. */
export interface CostInput {
  printing: Minor;
  paper: Minor;
  /** Paid once: scan or hire of a photographer. */
  capture: Minor;
  /** Paid once: all proof rounds. */
  proofs: Minor;
  expectedImpressions: number;
  /** Share of impressions that are spoiled, 0..1. */
  spoilage: number;
  finishing: Minor;
  packing: Minor;
  postage: Minor;
  /** Of printing, and of all that is not said apart. */
  hours: number;
  hourlyRate: Minor;
  /** The share of a print in what the printer wears out. */
  wear?: Minor;
  /** Given away of each print that is sold. */
  donation?: Minor;
  /** Hours of signing and numbering, of mat and frame, of packing. */
  signingHours?: number;
  finishingHours?: number;
  packingHours?: number;
}

export type CostPart =
  | 'printing'
  | 'paper'
  | 'capture'
  | 'proofs'
  | 'spoilage'
  | 'finishing'
  | 'packing'
  | 'postage'
  | 'wear'
  | 'donation'
  | 'labour'
  | 'signing'
  | 'framing'
  | 'wrapping';

export interface CostBreakdown {
  parts: { part: CostPart; amount: Minor }[];
  total: Minor;
}

/**
 * Cost of one impression, part by part. Spoilage s adds (printing + paper) x s / (1 - s).
 * @example costOfImpression({ printing: minor(900), paper: minor(100), capture: minor(6000), proofs: minor(3000), expectedImpressions: 30, spoilage: 0.2, finishing: minor(0), packing: minor(450), postage: minor(0), hours: 0.5, hourlyRate: minor(2400) }) // { total: 3200 }
 */
export function costOfImpression(input: CostInput): CostBreakdown {
  const spread = 1 / Math.max(1, input.expectedImpressions);
  const made = sum(input.printing, input.paper);
  const amounts: [CostPart, number][] = [
    ['printing', input.printing],
    ['paper', input.paper],
    ['capture', times(input.capture, spread)],
    ['proofs', times(input.proofs, spread)],
    ['spoilage', times(made, input.spoilage / (1 - input.spoilage))],
    ['finishing', input.finishing],
    ['packing', input.packing],
    ['postage', input.postage],
    ['wear', input.wear ?? 0],
    ['donation', input.donation ?? 0],
    ['labour', times(input.hourlyRate, input.hours)],
    ['signing', times(input.hourlyRate, input.signingHours ?? 0)],
    ['framing', times(input.hourlyRate, input.finishingHours ?? 0)],
    ['wrapping', times(input.hourlyRate, input.packingHours ?? 0)],
  ];
  const parts = amounts.map(([part, amount]) => ({ part, amount: minor(amount) }));
  return { parts, total: sum(minor(0), ...parts.map((p) => p.amount)) };
}

/**
 * What each impression costs when so many are sold, from 1 to `most`: what is paid once is spread
 * over them.
 * @example costOverSold({ printing: minor(900), paper: minor(100), capture: minor(6000), proofs: minor(3000), expectedImpressions: 30, spoilage: 0, finishing: minor(0), packing: minor(0), postage: minor(0), hours: 0, hourlyRate: minor(0) }, 3) // [10000, 5500, 4000]
 */
export const costOverSold = (input: CostInput, most: number): Minor[] =>
  Array.from(
    { length: most },
    (_, i) => costOfImpression({ ...input, expectedImpressions: i + 1 }).total,
  );
