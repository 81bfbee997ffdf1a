import { minor } from '../units';
import type { Minor } from '../units';
import type { MatPlan } from './mat';

/** What a mat and frame are made of costs, in minor units of one currency. */
export interface FinishPrices {
  currency: string;
  /** A metre of moulding. */
  moulding: number;
  /** A square metre of glazing, of mat board, of backing. */
  glazing: number;
  board: number;
  backing: number;
  /** Hangers, wire, tape, points: of each frame. */
  hardware: number;
  /** Hours of work at each. */
  hours: number;
  /** Whether every print of the size is sold so, or only where it is asked for. */
  every: boolean;
}

export const FINISH_PRICES = [
  'moulding',
  'glazing',
  'board',
  'backing',
  'hardware',
] as const;
export type FinishPart = (typeof FINISH_PRICES)[number];

export interface FinishCost {
  parts: { part: FinishPart; amount: Minor }[];
  /** Materials, without the hours. */
  total: Minor;
}

const area = ({ width, height }: { width: number; height: number }) =>
  (width * height) / 1e6;

/**
 * What a mat and its frame cost in material: moulding by its length, with mitres and saw; glazing
 * and backing by the rabbet size, the mat by its outside. Offcuts are not in it.
 */
export function finishCost(
  { frame, outside, mouldingLength }: Pick<MatPlan, 'frame' | 'outside' | 'mouldingLength'>,
  prices: Omit<FinishPrices, 'hours' | 'currency' | 'every'>,
): FinishCost {
  const amounts: Record<FinishPart, number> = {
    moulding: (prices.moulding * mouldingLength) / 1000,
    glazing: prices.glazing * area(frame),
    board: prices.board * area(outside),
    backing: prices.backing * area(frame),
    hardware: prices.hardware,
  };
  const parts = FINISH_PRICES.map((part) => ({
    part,
    amount: minor(Math.round(amounts[part])),
  }));
  return { parts, total: minor(parts.reduce((sum, p) => sum + p.amount, 0)) };
}
