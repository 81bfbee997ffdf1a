import { adjust as adjustRows } from '../../image';
import type { Adjustment } from '../../image';
import { done } from './step';
import type { StepDefinition } from './step';

export type AdjustStep = { kind: 'adjust'; on: boolean } & Adjustment;

export const NO_ADJUSTMENT: Adjustment = {
  lightness: 0,
  contrast: 0,
  warmth: 0,
  saturation: 0,
};

export const ADJUSTED = ['lightness', 'contrast', 'warmth', 'saturation'] as const;

/** Light and colour by eye. */
export const adjust: StepDefinition<AdjustStep> = {
  kind: 'adjust',
  numbers: ADJUSTED,
  usual: () => ({ kind: 'adjust', on: false, ...NO_ADJUSTMENT }),
  rows(step, { shape, basis }) {
    const of = ADJUSTED.map((field) => step[field]);
    return of.some((v) => v !== 0)
      ? [done(adjustRows(shape, step, basis), 'adjust', ...of)]
      : [];
  },
};
