import { BALANCE_LENGTHS, BALANCE_PARTS, noBalance } from '../../colour';
import type { Balance } from '../../colour';
import { balance as balanceRows } from '../../image';
import { done } from './step';
import type { StepDefinition } from './step';

export type BalanceStep = { kind: 'balance'; on: boolean } & Balance;

/** Whether a step moves colours away from or towards grey: a grey picture becomes one of colours. */
export const tints = ({ tones }: Balance): boolean =>
  tones.some((v, i) => i % 3 !== 0 && v !== 0);

/** Colours moved by their tone and their hue, in CIELAB: what a proof was found to need. */
export const balance: StepDefinition<BalanceStep> = {
  kind: 'balance',
  numbers: [],
  tables: BALANCE_LENGTHS,
  usual: () => ({ kind: 'balance', on: false, ...noBalance() }),
  rows(step, { shape }) {
    const of = BALANCE_PARTS.map((part) => step[part]);
    return of.some((values) => values.some((v) => v !== 0))
      ? [done(balanceRows(shape, step), 'balance', ...of)]
      : [];
  },
};
