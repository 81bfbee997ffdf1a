import type { Sharpening } from '../../image';
import { sharpened } from './sharpened';
import type { StepDefinition } from './step';

export type OutputStep = { kind: 'output'; on: boolean } & Sharpening;

/** Sharpening for the paper, at the pixels of the print. */
export const output: StepDefinition<OutputStep> = {
  kind: 'output',
  numbers: ['amount', 'radius', 'threshold'],
  usual: ({ radius }) => ({ kind: 'output', on: true, amount: 60, radius, threshold: 2 }),
  rows: (step, place) => sharpened(place, step),
};
