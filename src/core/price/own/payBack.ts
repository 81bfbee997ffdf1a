/** What two ways of making prints cost: one's own, and another's. Money in minor units. */
export interface PayBackFigures {
  /** Paid once: printer, first inks, calibration, training. Parts, added up. */
  first: number;
  /** Paid every month it is there: service plan, lease, room. */
  perMonth: number;
  /** What each print costs elsewhere, and with one's own. */
  elsewhere: number;
  own: number;
  /** Prints a month at the present pace. */
  pace: number;
  /** By how much the pace grows in a year, a share: 0.1 is a tenth more. */
  growth: number;
}

export type PayBackFigure = keyof PayBackFigures;
export const PAY_BACK_FIGURES: readonly PayBackFigure[] = [
  'first',
  'perMonth',
  'elsewhere',
  'own',
  'pace',
  'growth',
];

export interface PayBack {
  /** Prints until what was paid first is saved; null where none is saved by a print. */
  prints: number | null;
  /** Months until all of it is, with what is paid by the month; null: not within 50 years. */
  months: number | null;
}

/** Longer than this nobody plans. */
const MOST_MONTHS = 600;

/**
 * When something of one's own has paid for itself. Prints: ceil(first / (elsewhere - own)).
 * Months: each brings pace x (1 + growth)^(month / 12) prints; within the last one in proportion.
 * @example payBack({ first: 240000, perMonth: 0, elsewhere: 2400, own: 1400, pace: 20, growth: 0 }) // { prints: 240, months: 12 }
 */
export function payBack(f: PayBackFigures): PayBack {
  const saved = f.elsewhere - f.own;
  if (f.first <= 0) return { prints: 0, months: 0 };
  const prints = saved > 0 ? Math.ceil(f.first / saved) : null;
  let open = f.first;
  const grows = (1 + f.growth) ** (1 / 12);
  for (let month = 0, pace = f.pace; month < MOST_MONTHS; month++, pace *= grows) {
    const gain = pace * saved - f.perMonth;
    if (gain >= open && gain > 0) return { prints, months: month + open / gain };
    open -= gain;
  }
  return { prints, months: null };
}

/**
 * What is saved less what was paid, at the beginning and at the end of each of some months.
 * @example savedAfter({ first: 1000, perMonth: 0, elsewhere: 300, own: 200, pace: 4, growth: 0 }, 3) // [-1000, -600, -200, 200]
 */
export function savedAfter(f: PayBackFigures, months: number): number[] {
  const grows = (1 + f.growth) ** (1 / 12);
  let [saved, pace] = [-f.first, f.pace];
  const all = [saved];
  for (let month = 0; month < months; month++, pace *= grows)
    all.push((saved += pace * (f.elsewhere - f.own) - f.perMonth));
  return all;
}
