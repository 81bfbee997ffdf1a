import { denoise } from '../../image';
import type { Denoising, Sharpening } from '../../image';
import { sharpened } from './sharpened';
import { done } from './step';
import type { StepDefinition } from './step';

export type CaptureStep = { kind: 'capture'; on: boolean } & Sharpening & Denoising;

/** What the capture lost is brought back: noise taken out, then sharpened, at the master's own pixels. */
export const capture: StepDefinition<CaptureStep> = {
  kind: 'capture',
  numbers: ['amount', 'radius', 'threshold', 'noise', 'grain'],
  usual: () => ({
    kind: 'capture',
    on: false,
    amount: 50,
    radius: 0.7,
    threshold: 3,
    noise: 0,
    grain: 2,
  }),
  rows(step, place) {
    const { shape } = place;
    const { noise, grain } = step;
    const cleaned =
      noise > 0 && grain > 0
        ? [done(denoise(shape, { noise, grain }), 'denoise', noise, grain)]
        : [];
    return [...cleaned, ...sharpened(place, step)];
  },
};
