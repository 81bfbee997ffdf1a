import { cumulativeStdNormalProbability } from 'simple-statistics';
import { daysAfter } from '../days';
import { usedBy } from './fit';
import type { InkFit } from './fit';
import { daysBetween, loadBetween } from './load';
import { INK_RULES, heldBy } from './types';
import type { InkFacts, InkLoad, InkRules } from './types';

/** When a cartridge will be empty: with one chance in ten before `early`, and one in ten after `late`. */
export interface InkLasts {
  /** ml in it now, and how far off that may be. */
  left: number;
  off: number;
  /** ml a week, as printed lately. */
  perWeek: number;
  early: string;
  likely: string;
  late: string;
}

const WEEK = 7;
/** Weeks looked back on at most. */
const BACK = 52;
const FAR = 3650;
const EARLY = 0.1;
const LATE = 0.9;

/** What was printed in each of the last weeks, the last of them first. */
export function weeklyLoads(facts: InkFacts, today: string, since: string): InkLoad[] {
  const weeks = Math.min(BACK, Math.floor(daysBetween(since, today) / WEEK));
  return Array.from({ length: weeks }, (_, i) =>
    loadBetween(facts, daysAfter(today, -WEEK * (i + 1)), daysAfter(today, -WEEK * i)),
  );
}

const mean = (all: readonly number[]) => all.reduce((s, v) => s + v, 0) / all.length;

/**
 * When the cartridge that is in now will be empty, from what it was used for since it was put
 * in, what the fit says of that, and the weeks before: their mean and how they scatter. `spares`:
 * ml of each cartridge that lies ready, to be used up as well. Null where no cartridge is in, or
 * fewer than two weeks are known.
 */
export function inkLasts(
  facts: InkFacts,
  fit: InkFit,
  today: string,
  spares: readonly number[] = [],
  rules: InkRules = INK_RULES,
): InkLasts | null {
  const now = facts.changes.at(-1);
  const first = [facts.changes[0]?.at, facts.printed[0]?.at].filter((d) => d !== undefined);
  if (!now || first.length === 0) return null;
  const since = first.sort()[0]!.slice(0, 10);
  const weeks = weeklyLoads(facts, today, since);
  if (weeks.length < 2) return null;
  const load = loadBetween(facts, now.at, today);
  const { ml: used, off: usedOff } = usedBy(fit, load);
  const perWeek = weeks.map((w) => usedBy(fit, w).ml);
  const rate = mean(perWeek);
  const spread = perWeek.reduce((s, v) => s + (v - rate) ** 2, 0) / (perWeek.length - 1);
  const usual: InkLoad = {
    covered: mean(weeks.map((w) => w.covered)),
    cleanings: mean(weeks.map((w) => w.cleanings)),
    days: WEEK,
  };
  const held = heldBy(now, rules);
  const there = held.ml + spares.reduce((sum, ml) => sum + ml, 0);
  const scatter = Math.hypot(
    held.off,
    ...[held.ml, ...spares].map((ml) => fit.scatter * ml),
  );
  /** Chance that it is empty after so many weeks. */
  const emptyBy = (w: number) => {
    const all: InkLoad = {
      covered: load.covered + w * usual.covered,
      cleanings: load.cleanings + w * usual.cleanings,
      days: load.days + w * WEEK,
    };
    const { ml, off } = usedBy(fit, all);
    const further = w * spread + (w * w * spread) / perWeek.length;
    return cumulativeStdNormalProbability(
      (ml - there) / Math.sqrt(off ** 2 + scatter ** 2 + further),
    );
  };
  // It is not empty yet: chances are of what remains.
  const already = emptyBy(0);
  const when = (share: number): string => {
    const chance = already + share * (1 - already);
    let [low, high] = [0, FAR / WEEK];
    if (emptyBy(high) < chance) return daysAfter(today, FAR);
    for (let i = 0; i < 40; i += 1) {
      const mid = (low + high) / 2;
      if (emptyBy(mid) < chance) low = mid;
      else high = mid;
    }
    return daysAfter(today, Math.round(high * WEEK));
  };
  return {
    left: Math.max(0, there - used),
    off: Math.hypot(usedOff, scatter),
    perWeek: rate,
    early: when(EARLY),
    likely: when(0.5),
    late: when(LATE),
  };
}
