import { defineVersioned, numbersIn } from '../../facts';
import { LADDER_RULES } from './rules';
import type { LadderTerms } from './priceLadder';

const isPart = (v: unknown): v is Record<string, unknown> =>
  typeof v === 'object' && v !== null && !Array.isArray(v);

/** How the prices of a work were made, as it is stored. */
export const PRICE_LADDER = defineVersioned<LadderTerms>({
  name: 'price ladder',
  upgrades: [],
  holds: (v) =>
    isPart(v.rule) &&
    LADDER_RULES.some((by) => isPart(v.rule) && v.rule.by === by) &&
    numbersIn(v, 'limitedTimes', 'framedMore') &&
    (v.steps === null || numbersIn(v.steps, 'every', 'by')) &&
    numbersIn(v.rounding, 'step', 'less') &&
    (v.ceiling === null || numbersIn(v, 'ceiling')) &&
    numbersIn(v.near, 'size', 'price'),
});
