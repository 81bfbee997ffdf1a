import { defineVersioned, numbersIn } from '../../facts';
import { LADDER_RULES } from './rules';
import type { LadderTerms } from './priceLadder';

const isPart = (v: unknown): v is Record<string, unknown> =>
  typeof v === 'object' && v !== null && !Array.isArray(v);

/** How the prices of a work were made, as it is stored. */
export const PRICE_LADDER = defineVersioned<LadderTerms>({
  name: 'price ladder',
  // Version 0 knew neither papers nor what a frame costs.
  upgrades: [(old) => ({ ...old, framedTimes: 0, papers: [] })],
  holds: (v) =>
    isPart(v.rule) &&
    LADDER_RULES.some((by) => isPart(v.rule) && v.rule.by === by) &&
    numbersIn(v, 'limitedTimes', 'framedMore', 'framedTimes') &&
    Array.isArray(v.papers) &&
    v.papers.every(
      (p) => isPart(p) && typeof p.paper === 'string' && numbersIn(p, 'times'),
    ) &&
    (v.steps === null || numbersIn(v.steps, 'every', 'by')) &&
    numbersIn(v.rounding, 'step', 'less') &&
    (v.ceiling === null || numbersIn(v, 'ceiling')) &&
    numbersIn(v.near, 'size', 'price'),
});
