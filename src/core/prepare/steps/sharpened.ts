import { sharpen } from '../../image';
import type { Sharpening } from '../../image';
import { done } from './step';
import type { StepPlace } from './step';

/** Sharpening by an unsharp mask: amount in %, radius in px, threshold in levels of 255. */
export const sharpened = (
  { shape, basis }: StepPlace,
  { amount, radius, threshold }: Sharpening,
) =>
  amount > 0
    ? [
        done(
          sharpen(shape, { amount, radius, threshold }, basis.light),
          'sharpen',
          amount,
          radius,
          threshold,
        ),
      ]
    : [];
