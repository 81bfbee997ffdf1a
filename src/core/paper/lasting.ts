import { daysAfter, daysUntil } from '../days';

/** What was taken of a paper on a day: sheets of its usual size, and parts of them. */
export interface PaperUse {
  /** ISO 8601 instant, or a day. */
  at: string;
  sheets: number;
}

export interface LastingRules {
  /** Weeks that are looked back on at most. */
  weeks: number;
  /** Days to spare before the last sheet. */
  spareDays: number;
}

/** Rules of thumb. */
export const LASTING_RULES: LastingRules = { weeks: 26, spareDays: 3 };

/** How long what is left lasts, at the pace of late. */
export interface Lasting {
  /** Sheets a week, and over how many weeks that was. */
  perWeek: number;
  over: number;
  weeks: number;
  /** Sheets that are promised already: taken off what is left. */
  coming: number;
  emptyOn: string;
  /** The last day on which a delivery that is ordered comes in time; null where nobody said how long one takes. */
  orderBy: string | null;
  /** Sheets at which to order: what is used until a delivery is there, and a week's; null likewise. */
  reorderPoint: number | null;
}

const WEEK = 7;
/** Fewer days than these tell nothing of a pace. */
const LEAST_DAYS = 14;
/** As long as this, nobody needs a day. */
const LONGEST_WEEKS = 520;

/**
 * When what is left and not promised (`free`) runs out at a pace, and the last day on which a delivery
 * that is ordered comes in time; null where nobody said how long one takes.
 * @example runsOut({ free: 14, perWeek: 7, deliveryDays: 8 }, '2026-02-09').orderBy // '2026-02-12'
 */
export function runsOut(
  {
    free,
    perWeek,
    deliveryDays,
  }: {
    free: number;
    perWeek: number;
    deliveryDays: number | null;
  },
  today: string,
  spareDays = LASTING_RULES.spareDays,
): Pick<Lasting, 'weeks' | 'emptyOn' | 'orderBy'> {
  const weeks = Math.min(LONGEST_WEEKS, Math.max(0, free) / perWeek);
  const until = Math.floor(weeks * WEEK);
  return {
    weeks,
    emptyOn: daysAfter(today, until),
    orderBy:
      deliveryDays === null ? null : daysAfter(today, until - deliveryDays - spareDays),
  };
}

/**
 * How long a paper lasts: what is left, less what is already promised (`coming`), at what was
 * used a week over the last weeks. Null where nothing was used, or too lately to tell.
 * @example stockLasts({ left: 11, coming: 0, uses: [{ at: '2026-01-05', sheets: 15 }, { at: '2026-02-08', sheets: 5 }], deliveryDays: 8 }, '2026-02-09').weeks // 2.75
 */
export function stockLasts(
  stock: {
    left: number;
    coming: number;
    uses: readonly PaperUse[];
    deliveryDays: number | null;
  },
  today: string,
  { weeks: most, spareDays }: LastingRules = LASTING_RULES,
): Lasting | null {
  const { left, coming, uses, deliveryDays } = stock;
  const age = ({ at }: PaperUse) => -daysUntil(at.slice(0, 10), today);
  const lately = uses.filter((u) => age(u) >= 0 && age(u) < most * WEEK);
  const days = Math.min(most * WEEK, Math.max(0, ...uses.map(age)));
  const used = lately.reduce((sum, u) => sum + u.sheets, 0);
  if (days < LEAST_DAYS || used <= 0) return null;
  const perWeek = (used * WEEK) / days;
  const { weeks, emptyOn, orderBy } = runsOut(
    { free: left - coming, perWeek, deliveryDays },
    today,
    spareDays,
  );
  return {
    perWeek,
    over: days / WEEK,
    weeks,
    coming,
    emptyOn,
    orderBy,
    reorderPoint:
      deliveryDays === null
        ? null
        : Math.ceil((perWeek * (deliveryDays + spareDays + WEEK)) / WEEK),
  };
}
