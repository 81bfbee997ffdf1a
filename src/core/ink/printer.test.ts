import { daysAfter } from '../days';
import {
  USUAL_STATS,
  cartridgeBars,
  coverages,
  inkFactsOf,
  inkWeeks,
  inksNow,
  sparesOf,
  usualStats,
} from '.';
import type { InkEvent, InkRole, PrintedHere, PrinterFacts } from '.';

const START = '2025-01-01';
const on = (days: number) => daysAfter(START, days);
const ink = (id: number, role: InkRole) => ({ id, role, papers: 'all' as const, ml: 80 });
const changed = (inkId: number, days: number, more: Partial<InkEvent> = {}): InkEvent =>
  ({
    inkId,
    day: on(days),
    kind: 'changed',
    ml: 80,
    wasLeft: null,
    firstFill: false,
    ...more,
  }) as InkEvent;
/** A print a week. */
const weekly = (weeks: number): PrintedHere[] =>
  Array.from({ length: weeks }, (_, i) => ({
    at: on(7 * i),
    area: 0.5,
    stats: null,
    glossy: false,
  }));
const facts = (more: Partial<PrinterFacts> = {}): PrinterFacts => ({
  inks: [ink(1, 'cyan'), ink(2, 'black')],
  printed: weekly(20),
  events: [changed(1, 0), changed(2, 0)],
  deliveryDays: 5,
  ...more,
});
const today = on(140);

it('gives every ink what was printed, by what it covers of each picture', () => {
  const [cyan, black] = inkFactsOf(facts());
  const [c, k] = coverages(facts().inks, USUAL_STATS, false);
  expect(cyan!.printed).toHaveLength(20);
  expect(cyan!.printed[3]).toEqual({ at: on(21), area: 0.5, coverage: c });
  expect(black!.printed[3]!.coverage).toBe(k);
});

it('takes prints that nobody looked at for as those that were', () => {
  const known = { ...USUAL_STATS, part: { ...USUAL_STATS.part } };
  known.part.cyan = { mean: 0.9, dark: 0.8 };
  const printed = weekly(2);
  printed[0]!.stats = known;
  expect(usualStats(printed).part.cyan).toEqual({ mean: 0.9, dark: 0.8 });
  expect(usualStats(weekly(2))).toBe(USUAL_STATS);
  const [cyan] = inkFactsOf(facts({ printed }));
  expect(cyan!.printed.map((p) => p.coverage)).toEqual([0.9, 0.9]);
});

it('is bought so that it is there at the early end of its band', () => {
  const [cyan] = inksNow(facts(), today);
  expect(cyan!.allLast).toEqual(cyan!.lasts);
  expect(cyan!.orderBy).toBe(daysAfter(cyan!.lasts!.early, -5 - 3));
  expect(inksNow(facts({ deliveryDays: null }), today)[0]!.orderBy).toBeNull();
  expect(inksNow(facts({ events: [] }), today)[0]).toMatchObject({
    lasts: null,
    orderBy: null,
  });
});

it('lasts longer by every cartridge that lies ready, until that one is put in', () => {
  const bought: InkEvent = { inkId: 1, day: on(100), kind: 'bought', pieces: 2 };
  const events = [changed(1, 0), changed(2, 0), bought];
  const [plain] = inksNow(facts(), today);
  const [more] = inksNow(facts({ events }), today);
  expect(more!.spares).toBe(2);
  expect(more!.lasts).toEqual(plain!.lasts);
  expect(more!.allLast!.early > plain!.lasts!.early).toBe(true);
  expect(more!.allLast!.likely > plain!.lasts!.likely).toBe(true);
  expect(more!.allLast!.left).toBeCloseTo(plain!.lasts!.left + 160, 6);
  expect(sparesOf([...events, changed(1, 120)], 1)).toBe(1);
  expect(sparesOf([changed(1, 0), bought, changed(2, 120)], 1)).toBe(2);
  // Bought and put in on one day, in whatever order that was noted.
  expect(sparesOf([changed(1, 100), bought], 1)).toBe(1);
  // One that was never noted as bought is not owed.
  expect(sparesOf([changed(1, 0), changed(1, 50), bought], 1)).toBe(2);
});

it('counts the first set apart: the tubes keep most of it', () => {
  const first = [changed(1, 0, { firstFill: true }), changed(2, 0)];
  const printed = weekly(5);
  const [tubes] = inksNow(facts({ events: first, printed }), today);
  const [whole] = inksNow(facts({ printed }), today);
  expect(tubes!.lasts!.left).toBeCloseTo(whole!.lasts!.left - 0.65 * 80, 6);
  expect(tubes!.lasts!.early < whole!.lasts!.early).toBe(true);
});

it('fills the waste box by cleanings, whatever is printed', () => {
  const clean: InkEvent[] = Array.from({ length: 8 }, (_, i) => ({
    inkId: null,
    day: on(10 * i + 5),
    kind: 'cleaned',
    times: 1,
  }));
  const inks = [ink(1, 'cyan'), ink(2, 'black'), { ...ink(3, 'wasteBox'), ml: 400 }];
  const events = [changed(1, 0), changed(2, 0), changed(3, 0, { ml: 400 }), ...clean];
  const box = (printed: PrintedHere[]) =>
    inksNow(facts({ inks, events, printed }), today)[2]!.lasts!.left;
  expect(box(weekly(20))).toBe(box(weekly(3)));
  // Two inks, 1.5 ml of each to a cleaning, and 0.04 ml a day.
  expect(box(weekly(20))).toBeCloseTo(400 - 8 * 3 - 140 * 0.08, 6);
});

it('is drawn as cartridges with what was read of each, and as weeks', () => {
  const events: InkEvent[] = [
    changed(1, 0),
    { inkId: 1, day: on(50), kind: 'gauge', share: 0.4 },
    changed(1, 90, { wasLeft: 0.25 }),
    { inkId: 1, day: on(90), kind: 'gauge', share: 1 },
  ];
  const inks = inksNow(facts({ inks: [ink(1, 'cyan')], events }), today);
  expect(cartridgeBars(inks[0]!)).toEqual([
    {
      from: START,
      to: on(90),
      ml: 80,
      firstFill: false,
      wasLeft: 0.25,
      readings: [{ at: on(50), share: 0.4 }],
    },
    {
      from: on(90),
      to: null,
      ml: 80,
      firstFill: false,
      wasLeft: 0,
      readings: [{ at: on(90), share: 1 }],
    },
  ]);
  const weeks = inkWeeks(inks, weekly(20), today, 30);
  expect(weeks).toHaveLength(30);
  expect(weeks.at(-1)!.to).toBe(today);
  expect(weeks.reduce((sum, w) => sum + w.area, 0)).toBeCloseTo(10, 9);
  // Before the first cartridge was in, nothing was used.
  expect(weeks.slice(0, 10).every((w) => w.ml[0] === 0)).toBe(true);
  const all = weeks.reduce((sum, w) => sum + w.ml[0]!, 0);
  const { fit } = inks[0]!;
  const coverage = coverages([ink(1, 'cyan')], USUAL_STATS, false)[0]!;
  expect(all).toBeCloseTo(10 * coverage * fit.perCovered + 140 * fit.perDay, 6);
});
