/** Inks: how well made-up years are learned from, and how what it takes grows with what was printed. */
import { knownOn, printerYears } from '../e2e/support/inkYears';
import { fitInks, inkLasts, usedCartridges } from '@/core/ink';
import { daysAfter } from '@/core/days';

const YEARS = 200;
const INKS = 4;

/** Seconds for the fit and the forecast of all inks of a printer, so many times. */
function seconds(years: number, changes: number): number {
  const { inks } = printerYears(1, INKS, changes);
  const day = inks[0]!.changes.at(-1)!.at;
  const from = performance.now();
  for (let i = 0; i < years; i += 1) {
    const fits = fitInks(inks.map(usedCartridges));
    fits.forEach((fit, k) => inkLasts(inks[k]!, fit, daysAfter(day, 3)));
  }
  return (performance.now() - from) / 1000;
}

export function measureInk(): void {
  console.log('\nInks of made-up printers');
  for (const changes of [1, 3, 6]) {
    const offs: number[] = [];
    let [inside, all] = [0, 0];
    for (let seed = 1; seed <= YEARS; seed += 1) {
      const { uses, inks } = printerYears(seed, INKS, changes + 2);
      inks.forEach((ink, i) => {
        const day = daysAfter(ink.changes[changes]!.at, 3);
        const known = inks.map((f) => knownOn(f, day));
        const fit = fitInks(known.map(usedCartridges))[i]!;
        offs.push(Math.abs(fit.perCovered / uses[i]!.perCovered - 1));
        const lasts = inkLasts(known[i]!, fit, day);
        const to = ink.changes[changes + 1]!.at;
        if (!lasts) return;
        all += 1;
        if (to >= lasts.early && to <= lasts.late) inside += 1;
      });
    }
    offs.sort((a, b) => a - b);
    const within = offs.filter((o) => o < 0.1).length / offs.length;
    const percent = (share: number) => `${(100 * share).toFixed(1)} %`;
    console.log(
      `  after ${changes} changes: use per covered m2 within 10 % in ${percent(within)}, median off ${percent(offs[offs.length >> 1]!)}; the 80 % band held the day in ${percent(inside / all)}`,
    );
  }
  const [few, many] = [seconds(20, 4), seconds(20, 40)];
  console.log(`  ten times the facts take ${(many / few).toFixed(1)} x as long`);
}
