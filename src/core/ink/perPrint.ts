import { minor } from '../units';
import type { Minor } from '../units';
import { usedBy } from './fit';
import type { InkFit } from './fit';
import type { InkLoad } from './types';

/** One ink of a print: how much of the print it covers, what its cartridge holds and costs. */
export interface InkOfPrint {
  fit: InkFit;
  coverage: number;
  ml: number;
  price: Minor;
  /** What was printed, cleaned and left idle in the time that a print's share of the rest is taken from. */
  lately: InkLoad;
}

export interface PrintInk {
  /** ml laid on paper, of each ink. */
  laid: number[];
  /** ml of cleaning and idle days that this print carries, of each ink: by what it covers. */
  beside: number[];
  /** Minor units for all of it. */
  cost: Minor;
}

/**
 * What one print takes of each ink, and what that costs: what is laid on paper, and its share
 * of what cleaning and idle days took lately. `area` in m2.
 * @example inkOfPrint(0.5, []).cost // 0
 */
export function inkOfPrint(area: number, inks: readonly InkOfPrint[]): PrintInk {
  const laid = inks.map(({ fit, coverage }) => fit.perCovered * coverage * area);
  const beside = inks.map(({ fit, coverage, lately }) => {
    if (lately.covered <= 0) return 0;
    const rest = usedBy(fit, { ...lately, covered: 0 }).ml;
    return (rest * coverage * area) / lately.covered;
  });
  const cost = inks.reduce(
    (sum, { ml, price }, i) => sum + ((laid[i]! + beside[i]!) * price) / ml,
    0,
  );
  return { laid, beside, cost: minor(Math.round(cost)) };
}
