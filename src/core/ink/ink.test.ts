import { knownOn, printerYears } from '../../../e2e/support/inkYears';
import { daysAfter } from '../days';
import { chance } from '../image/chance';
import { minor } from '../units';
import {
  INK_RULES,
  daysBetween,
  fitInks,
  gaugeErrors,
  gaugeVerdict,
  gaugeWarnings,
  inkLasts,
  inkOfPrint,
  loadBetween,
  usedBy,
  usedCartridges,
  weeklyLoads,
} from '.';
import type { InkFacts } from '.';

const facts = (more: Partial<InkFacts> = {}): InkFacts => ({
  changes: [],
  printed: [],
  cleanings: [],
  readings: [],
  ...more,
});
/** A print a week, always the same. */
const weekly = (weeks: number, area = 0.5, coverage = 0.4) =>
  Array.from({ length: weeks }, (_, i) => ({
    at: daysAfter('2025-01-01', 7 * i),
    area,
    coverage,
  }));

it('adds up what took ink, the first instant with it, the last without', () => {
  const year = facts({
    printed: weekly(3),
    cleanings: [{ at: '2025-01-08', times: 2 }],
  });
  expect(loadBetween(year, '2025-01-01', '2025-01-15')).toEqual({
    covered: 0.4,
    cleanings: 2,
    days: 14,
  });
});

describe('made-up years, of which is known what was used', () => {
  const INKS = 4;
  const years = Array.from({ length: 50 }, (_, i) => printerYears(i + 1, INKS, 8));

  it('give what each ink uses to a covered m2 within 10 % after six changes', () => {
    let within = 0;
    for (const { uses, inks } of years)
      inks.forEach((ink, i) => {
        const day = ink.changes[6]!.at;
        const fit = fitInks(inks.map((f) => usedCartridges(knownOn(f, day))))[i]!;
        const off = Math.abs(fit.perCovered / uses[i]!.perCovered - 1);
        if (off < 0.1) within += 1;
        expect(off).toBeLessThan(0.2);
      });
    expect(within / (INKS * years.length)).toBeGreaterThan(0.95);
  });

  it('end within the 80 % band of when they are said to, three to four times in five', () => {
    let [inside, early, late] = [0, 0, 0];
    years.forEach(({ inks }, seed) =>
      inks.forEach((ink, i) => {
        const r = chance(100 * seed + i);
        const [from, to] = [ink.changes[6]!.at, ink.changes[7]!.at];
        const day = daysAfter(from, Math.floor(r() * daysBetween(from, to)));
        const known = inks.map((f) => knownOn(f, day));
        const fit = fitInks(known.map(usedCartridges))[i]!;
        const lasts = inkLasts(known[i]!, fit, day)!;
        if (to < lasts.early) early += 1;
        else if (to > lasts.late) late += 1;
        else inside += 1;
      }),
    );
    const all = inside + early + late;
    expect(inside / all).toBeGreaterThan(0.75);
    expect(inside / all).toBeLessThan(0.85);
    expect(Math.max(early, late) / all).toBeLessThan(0.16);
  });

  it('are known better with every cartridge', () => {
    const [{ inks }] = years as [(typeof years)[0]];
    const off = [1, 3, 6].map((n) => {
      const day = inks[0]!.changes[n]!.at;
      const fit = fitInks(inks.map((f) => usedCartridges(knownOn(f, day))))[0]!;
      return usedBy(fit, { covered: 1, cleanings: 0, days: 0 }).off;
    });
    expect([...off].sort((a, b) => b - a)).toEqual(off);
    expect(off[2]).toBeLessThan(off[0]! / 3);
  });
});

it('leaves the first set out, and counts a cartridge that was changed too early less', () => {
  const load = { covered: 8, cleanings: 2, days: 60 };
  const real = usedBy(fitInks([[]])[0]!, load).ml;
  const even = (ml: number, firstFill = false) => ({
    from: '',
    to: '',
    load,
    ml,
    wasLeft: 0,
    firstFill,
  });
  const good = Array.from({ length: 6 }, () => even(real));
  const told = (more: ReturnType<typeof even>[]) =>
    usedBy(fitInks([[...more, ...good]])[0]!, load).ml / real;
  expect(told([even(20 * real, true)])).toBeCloseTo(1, 6);
  const early = told([even(1.5 * real)]);
  expect(early).toBeGreaterThan(1);
  // Least squares alone would be 7 % off.
  expect(early).toBeLessThan(1.05);
});

it('takes what was left in a cartridge off what it gave', () => {
  const changes = [
    { at: '2025-01-01', ml: 80 },
    { at: '2025-06-01', ml: 80, wasLeft: 0.25 },
  ];
  expect(usedCartridges(facts({ changes }))).toMatchObject([{ ml: 60, wasLeft: 0.25 }]);
});

it('knows no date without a cartridge, or of less than two weeks', () => {
  const [fit] = fitInks([[]]);
  expect(inkLasts(facts({ printed: weekly(9) }), fit!, '2025-03-01')).toBeNull();
  const changes = [{ at: '2025-01-01', ml: 80 }];
  expect(inkLasts(facts({ changes }), fit!, '2025-01-10')).toBeNull();
});

it('lasts as long as an even use makes it, and a printer that stands still for long', () => {
  const changes = [{ at: '2025-01-01', ml: 80 }];
  const even = facts({ changes, printed: weekly(20) });
  const today = daysAfter('2025-01-01', 140);
  const [fit] = fitInks([[]]);
  const lasts = inkLasts(even, fit!, today)!;
  // 0.2 m2 covered a week at 9 ml, and idle days.
  expect(lasts.perWeek).toBeCloseTo(0.2 * 9 + 7 * 0.04, 6);
  expect(lasts.left).toBeCloseTo(80 - 20 * lasts.perWeek, 6);
  const weeks = lasts.left / lasts.perWeek;
  // The rules of thumb are unsure: nearer to the early end of their band.
  expect(Math.abs(daysBetween(today, lasts.likely) / 7 - weeks)).toBeLessThan(weeks / 3);
  expect(lasts.early < lasts.likely && lasts.likely < lasts.late).toBe(true);
  const still = inkLasts(facts({ changes, printed: [] }), fit!, today)!;
  expect(daysBetween(today, still.likely)).toBeGreaterThan(1000);
  expect(weeklyLoads(even, today, '2025-01-01')).toHaveLength(20);
});

describe('the gauge', () => {
  const used = (from: number, readings: [number, number][]): InkFacts => ({
    changes: [
      { at: '2025-01-01', ml: 80 },
      { at: daysAfter('2025-01-01', 280), ml: 80 },
    ],
    printed: weekly(from),
    cleanings: [],
    readings: readings.map(([days, share]) => ({
      at: daysAfter('2025-01-01', days),
      share,
    })),
  });
  const [rules] = fitInks([[]]);
  const fit = {
    ...rules!,
    cartridges: 4,
    covariance: rules!.covariance.map((r) => r.map(() => 0)),
  };

  it('is remembered by when it warned, and how long the cartridge then lasted', () => {
    const told = gaugeWarnings(
      used(40, [
        [100, 0.5],
        [147, 0.18],
        [200, 0.1],
      ]),
    );
    expect(told).toEqual([
      { at: '2025-05-28', share: 0.18, changedAt: '2025-10-08', weeks: 19, wasLeft: 0 },
    ]);
    expect(INK_RULES.warns).toBe(0.2);
  });

  it('is off by what it said less what was there', () => {
    // Half used after half of the weeks; it said a quarter less.
    const errors = gaugeErrors(used(40, [[140, 0.25]]), fit)!;
    expect(errors.readings).toBe(1);
    expect(errors.bias).toBeCloseTo(-0.25, 2);
    expect(gaugeErrors(used(40, []), fit)).toBeNull();
  });

  it('is believed where it was nearer before, and not where it lied', () => {
    const now = (share: number, before: [number, number][]) =>
      gaugeVerdict(used(45, [...before, [320, share]]), fit)!;
    const honest: [number, number][] = [
      [140, 0.5],
      [210, 0.25],
    ];
    const liar: [number, number][] = [
      [140, 0.2],
      [210, 0],
    ];
    expect(now(0.86, honest).verdict).toBe('agree');
    expect(now(0.4, honest).verdict).toBe('trustGauge');
    expect(now(0.4, liar).verdict).toBe('trustReckoning');
    expect(now(0.4, []).verdict).toBe('cannotTell');
    expect(gaugeVerdict(used(45, honest), fit)).toBeNull();
  });
});

it('costs a print what is laid on it and its share of cleaning and idle days', () => {
  const [rules] = fitInks([[]]);
  const lately = { covered: 2, cleanings: 4, days: 100 };
  const ink = { fit: rules!, coverage: 0.4, ml: 80, price: minor(4000), lately };
  const print = inkOfPrint(0.5, [
    ink,
    { ...ink, coverage: 0, lately: { ...lately, covered: 0 } },
  ]);
  // 0.2 m2 covered: 1.8 ml; a tenth of 4 cleanings and 100 days: 1 ml.
  expect(print.laid).toEqual([expect.closeTo(1.8, 9), 0]);
  expect(print.beside).toEqual([expect.closeTo(1, 9), 0]);
  expect(print.cost).toBe(140);
});
