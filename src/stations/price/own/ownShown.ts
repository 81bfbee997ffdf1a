import { payBack, payBackBand, payBackSwings, savedAfter } from '@/core/price';
import type { PayBack, PayBackBand, PayBackFigures, Swing } from '@/core/price';
import { figuresOf, offOf } from './ownForm';
import type { OwnAsked } from './ownForm';

export interface OwnShown {
  figures: PayBackFigures;
  back: PayBack;
  band: PayBackBand;
  swings: Swing[];
  /** What is saved and not yet paid back at the end of each month, from 0; minor units. */
  saved: number[];
}

/** Months that are drawn at least, and at most. */
const LEAST = 12;
const MOST = 240;

/** When one's own has paid for itself, how sure that is, and what matters most. */
export function ownShown(asked: OwnAsked): OwnShown {
  const figures = figuresOf(asked);
  const back = payBack(figures);
  const band = payBackBand(figures, offOf(asked));
  const end = Math.min(
    MOST,
    Math.max(LEAST, Math.ceil(1.3 * Math.max(back.months ?? MOST, band.high ?? 0))),
  );
  return {
    figures,
    back,
    band,
    swings: payBackSwings(figures),
    saved: savedAfter(figures, end),
  };
}
