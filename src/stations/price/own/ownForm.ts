import { choice, decimal, defineForm, hinted, money, percent } from '@/core/input';

import type { PayBackFigure, PayBackFigures } from '@/core/price';
import type { ValueOf } from '@/core/input';

const MOST = 1e10;
const paid = (title: string) => money(title, { min: 0, max: MOST });
const off = (title: string) => percent(title, { min: 0, max: 100 });

/** What could be had of one's own. */
export const OWN_KINDS = ['printer', 'capture'] as const;

/** What is weighed: one's own against what others ask. */
export const ownForm = defineForm({
  kind: choice('Of one’s own', OWN_KINDS),
  bought: paid('It costs'),
  firstInks: paid('First inks, stands, lights'),
  calibration: paid('Calibration, training'),
  perMonth: hinted(paid('By the month'), 'service plan, room, lease'),
  elsewhere: paid('Each, elsewhere'),
  own: paid('Each, with one’s own'),
  pace: decimal('A month, now', { min: 0, max: 100_000 }),
  growth: percent('More each year', { min: -90, max: 500 }),
  offPace: off('may be off by'),
  offElsewhere: off('may be off by'),
  offOwn: off('may be off by'),
});

export type OwnAsked = ValueOf<(typeof ownForm)['fields']>;

/** What is typed, as it is reckoned with. */
export const figuresOf = (v: OwnAsked): PayBackFigures => ({
  first: v.bought + v.firstInks + v.calibration,
  perMonth: v.perMonth,
  elsewhere: v.elsewhere,
  own: v.own,
  pace: v.pace,
  growth: v.growth,
});

/** By what share each figure may be off. */
export const offOf = (v: OwnAsked): Partial<Record<PayBackFigure, number>> => ({
  pace: v.offPace,
  elsewhere: v.offElsewhere,
  own: v.offOwn,
});

/** What the figures are called, in the order in which they are typed. */
export const FIGURE_WORDS: Record<PayBackFigure, string> = {
  first: 'paid first',
  perMonth: 'by the month',
  elsewhere: 'each, elsewhere',
  own: 'each, one’s own',
  pace: 'how many a month',
  growth: 'more each year',
};
