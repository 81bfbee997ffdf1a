import { printerYears, knownOn } from '../e2e/support/inkYears';
import { fitInks, inkLasts, usedCartridges, daysBetween } from '@/core/ink';
import { chance } from '@/core/image/chance';
import { daysAfter } from '@/core/days';
for (const inks of [1, 4, 8]) {
let within = 0, n = 0, cover = 0, m = 0, early = 0, late = 0, worst = 0, width = 0, zsum = 0;
const errs: number[] = [];
for (let seed = 1; seed <= 120; seed++) {
  const { uses, inks: facts } = printerYears(seed, inks, 8);
  // the day on which every ink was changed six times
  for (let i = 0; i < inks; i++) {
    const at6 = facts[i]!.changes[6]!.at;
    const fit = fitInks(facts.map((f) => usedCartridges(knownOn(f, at6))))[i]!;
    const e = Math.abs(fit.perCovered / uses[i]!.perCovered - 1);
    errs.push(e); n++; if (e < 0.1) within++; worst = Math.max(worst, e);
    const r = chance(seed * 100 + i);
    const next = facts[i]!.changes[7]!.at;
    const day = daysAfter(at6, Math.floor(r() * daysBetween(at6, next)));
    const known = facts.map((f) => knownOn(f, day));
    const f = fitInks(known.map(usedCartridges))[i]!;
    const l = inkLasts(known[i]!, f, day);
    if (!l) continue;
    m++; if (next >= l.early && next <= l.late) cover++; else if (next < l.early) early++; else late++;
    width += daysBetween(l.early, l.late) / Math.max(1, daysBetween(day, next));
  }
}
errs.sort((a, b) => a - b);
console.log(inks, { within: within / n, median: errs[Math.floor(n / 2)], p90: errs[Math.floor(n * .9)], worst, cover: cover / m, early: early / m, late: late / m, width: width / m });
}
