import { chance } from '../../image/chance';
import { PAY_BACK_FIGURES, payBack } from './payBack';
import type { PayBackFigure, PayBackFigures } from './payBack';

/** What one figure alone does to the months: at so much less, and at so much more. */
export interface Swing {
  figure: PayBackFigure;
  less: number | null;
  more: number | null;
}

/** Months as they are compared: never is longer than anything. */
const long = (months: number | null): number => months ?? 1e6;

/**
 * Each figure swung by a share (a quarter) to both sides, the others as they are; the one that
 * matters most first. Figures that are 0 have nothing to swing.
 */
export function payBackSwings(f: PayBackFigures, by = 0.25): Swing[] {
  return PAY_BACK_FIGURES.filter((figure) => f[figure] !== 0)
    .map((figure): Swing => {
      const at = (times: number) => payBack({ ...f, [figure]: f[figure] * times }).months;
      return { figure, less: at(1 - by), more: at(1 + by) };
    })
    .map((s) => ({ s, wide: Math.abs(long(s.more) - long(s.less)) }))
    .sort((a, b) => b.wide - a.wide)
    .map(({ s }) => s);
}

/** Months that 1 in 10 is below, and 1 in 10 above; null: never. */
export interface PayBackBand {
  low: number | null;
  middle: number | null;
  high: number | null;
}

const DRAWS = 2000;

/**
 * The band of the months when each figure may be off by a share: all drawn at once, each from a
 * triangle round what was said (`off` its half width). The same draws every time.
 */
export function payBackBand(
  f: PayBackFigures,
  off: Partial<Record<PayBackFigure, number>>,
): PayBackBand {
  const draw = chance(1);
  const months = Array.from({ length: DRAWS }, () => {
    const drawn = { ...f };
    for (const figure of PAY_BACK_FIGURES)
      drawn[figure] *= 1 + (off[figure] ?? 0) * (draw() + draw() - 1);
    return payBack(drawn).months;
  }).sort((a, b) => long(a) - long(b));
  const at = (share: number) => months[Math.floor(share * (DRAWS - 1))]!;
  return { low: at(0.1), middle: at(0.5), high: at(0.9) };
}
