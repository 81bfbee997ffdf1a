import { sharpen } from '../../image';
import type { Shape, Sharpening } from '../../image';
import { done } from './step';

/** Sharpening by an unsharp mask: amount in %, radius in px, threshold in levels of 255. */
export const sharpened = (shape: Shape, { amount, radius, threshold }: Sharpening) =>
  amount > 0
    ? [
        done(
          sharpen(shape, { amount, radius, threshold }),
          'sharpen',
          amount,
          radius,
          threshold,
        ),
      ]
    : [];
