import type { InkFacts } from '@/core/ink';
import { chance } from '@/core/image/chance';
import { daysAfter } from '@/core/days';

/** What an ink is really used by, in a year that is made up. */
export interface TrueUse {
  perCovered: number;
  perCleaning: number;
  perDay: number;
  ml: number;
}

export interface PrinterYears {
  uses: TrueUse[];
  /** Everything until the last ink was changed so many times, ink by ink. */
  inks: InkFacts[];
}

const START = '2024-01-01';

interface Kept {
  changes: InkFacts['changes'][number][];
  printed: InkFacts['printed'][number][];
  cleanings: InkFacts['cleanings'][number][];
  readings: InkFacts['readings'][number][];
}

/**
 * Years of printing from a seed: weeks with much to print and with none, pictures that take
 * more of one ink than of another, cleanings now and then (a spree among them), cartridges that
 * hold a little more or less than they say, a gauge that is off.
 */
export function printerYears(seed: number, inks: number, changes: number): PrinterYears {
  const r = chance(seed);
  const between = (a: number, b: number) => a + (b - a) * r();
  const normal = () => Math.sqrt(-2 * Math.log(1 - r())) * Math.cos(2 * Math.PI * r());
  const shared = { perCleaning: between(0.7, 2.5), perDay: between(0.01, 0.06) };
  const ml = r() < 0.5 ? 80 : 200;
  const uses = Array.from({ length: inks }, (): TrueUse => ({
    perCovered: between(5, 14),
    perCleaning: shared.perCleaning * between(0.9, 1.1),
    perDay: shared.perDay * between(0.9, 1.1),
    ml,
  }));
  const taste = uses.map(() => between(0.15, 0.5));
  const busy = between(1.5, 5);
  const area = between(0.12, 0.5);
  const lies = between(-0.15, 0.05);
  const held = () => ml * (1 + 0.03 * normal());
  const kept = uses.map((): Kept => ({
    changes: [{ at: START, ml, firstFill: true }],
    printed: [],
    cleanings: [],
    readings: [],
  }));
  // The tubes take most of the first.
  const left = uses.map(() => held() * between(0.25, 0.45));
  let day = START;
  let weekly = busy;
  const clean = (times: number) => {
    uses.forEach((use, i) => {
      kept[i]!.cleanings.push({ at: day, times });
      left[i]! -= times * use.perCleaning;
    });
  };
  for (let n = 0; kept.some((k) => k.changes.length <= changes) && n < 40_000; n += 1) {
    if (n % 7 === 0) weekly = Math.max(0, busy * (1 + 0.5 * normal()));
    day = daysAfter(day, 1);
    uses.forEach((use, i) => (left[i]! -= use.perDay));
    const prints = r() < weekly / 5 ? 1 + Math.floor(r() * 2.2) : 0;
    for (let p = 0; p < prints; p += 1) {
      const size = area * between(0.3, 2);
      uses.forEach((use, i) => {
        const coverage = Math.min(1, taste[i]! * between(0.3, 1.7));
        kept[i]!.printed.push({ at: day, area: size, coverage });
        left[i]! -= size * coverage * use.perCovered * (1 + 0.05 * normal());
      });
    }
    if (r() < 0.03) clean(r() < 0.15 ? 3 : 1);
    if (n === 300) for (let k = 0; k < 4; k += 1) clean(1);
    if (r() < 0.1)
      kept.forEach((k, i) => {
        const share = Math.min(1, Math.max(0, left[i]! / ml + lies + 0.05 * normal()));
        k.readings.push({ at: day, share });
      });
    kept.forEach((k, i) => {
      if (left[i]! > 0) return;
      k.changes.push({ at: daysAfter(day, 1), ml });
      left[i]! += held();
    });
  }
  return { uses, inks: kept };
}

/** What was known on a day. */
export const knownOn = (facts: InkFacts, day: string): InkFacts => ({
  changes: facts.changes.filter((c) => c.at <= day),
  printed: facts.printed.filter((p) => p.at < day),
  cleanings: facts.cleanings.filter((c) => c.at < day),
  readings: facts.readings.filter((c) => c.at < day),
});
