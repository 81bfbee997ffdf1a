import { daysAfter } from '../days';
import { holderTakes } from '../paper';
import { ROLES, coverages, meanStats } from './demand';
import type { InkPapers, InkRole, InkStats } from './demand';
import { fitInks } from './fit';
import type { InkFit } from './fit';
import { gaugeVerdict, gaugeWarnings } from './gauge';
import type { GaugeVerdict, GaugeWarning } from './gauge';
import { inkLasts } from './lasts';
import type { InkLasts } from './lasts';
import { usedCartridges } from './load';
import { INK_RULES } from './types';
import type { InkFacts, InkRules } from './types';

/** What paper a printer takes. */
export const PRINTER_TAKES = ['sheets', 'rolls', 'both'] as const;
export type PrinterTakes = (typeof PRINTER_TAKES)[number];

/**
 * Whether a printer takes a paper: sheets by their shorter side, rolls by their width and by what
 * they are wound on, mm.
 * @example printerTakes({ widest: 610, takes: 'rolls' }, { kind: 'sheet', width: 420, height: 594 }) // false
 */
export function printerTakes(
  {
    widest,
    takes,
    coreFrom = null,
    coreTo = null,
  }: {
    widest: number;
    takes: PrinterTakes;
    coreFrom?: number | null;
    coreTo?: number | null;
  },
  paper: {
    kind: 'sheet' | 'roll';
    width: number;
    height: number;
    core?: number | null;
  },
): boolean {
  const { kind, width, height, core = null } = paper;
  if (takes !== 'both' && takes !== `${kind}s`) return false;
  if (kind === 'roll' && !holderTakes({ coreFrom, coreTo }, core)) return false;
  return (kind === 'roll' ? width : Math.min(width, height)) <= widest;
}

/** One ink of a printer, or the box for what cleaning wastes. */
export interface PrinterInk {
  id: number;
  role: InkRole;
  papers: InkPapers;
  /** What a cartridge of it holds as it is sold, ml; what the box takes. */
  ml: number;
}

/** Prints of one picture on a day. `stats` null: nobody has estimated what it takes yet. */
export interface PrintedHere {
  at: string;
  /** m2 of all of them. */
  area: number;
  stats: InkStats | null;
  /** Null: it is not known on what. */
  glossy: boolean | null;
  /** What each ink covers of them, 0..1, where that is known itself. */
  covers?: readonly number[];
}

/** What somebody noted of an ink; of a cleaning, which is of all inks, `inkId` is null. */
export type InkEvent = { inkId: number | null; day: string } & (
  | { kind: 'changed'; ml: number; wasLeft: number | null; firstFill: boolean }
  | { kind: 'gauge'; share: number }
  | { kind: 'cleaned'; times: number }
  | { kind: 'bought'; pieces: number }
);

export interface PrinterFacts {
  inks: readonly PrinterInk[];
  printed: readonly PrintedHere[];
  /** By day. */
  events: readonly InkEvent[];
  /** Days from ordering inks to their delivery; null: nobody said. */
  deliveryDays: number | null;
}

/** An ink as it stands today. */
export interface InkNow {
  id: number;
  facts: InkFacts;
  fit: InkFit;
  /** Cartridges that lie ready. */
  spares: number;
  /** When the one in the printer is empty, and when all of them are; null where that cannot be told. */
  lasts: InkLasts | null;
  allLast: InkLasts | null;
  /** The last day on which an ordered one comes in time, by the early end of the band. */
  orderBy: string | null;
  verdict: GaugeVerdict | null;
  warnings: GaugeWarning[];
}

/** A rule of thumb for pictures of which nothing is known: about a quarter of each colour. */
const amount = (mean: number, dark: number) => ({ mean, dark });
export const USUAL_STATS: InkStats = {
  part: {
    cyan: amount(0.25, 0.04),
    magenta: amount(0.25, 0.04),
    yellow: amount(0.25, 0.04),
    black: amount(0.12, 0.04),
    red: amount(0.15, 0.02),
    green: amount(0.14, 0.02),
    blue: amount(0.13, 0.01),
  },
  full: {
    cyan: amount(0.1, 0.02),
    magenta: amount(0.1, 0.02),
    yellow: amount(0.1, 0.02),
    black: amount(0.3, 0.08),
    red: amount(0.05, 0.01),
    green: amount(0.04, 0.01),
    blue: amount(0.03, 0.01),
  },
};

/** Days to spare before the last ink. */
const SPARE_DAYS = 3;

/** What prints take whose picture was not looked at yet: as those that were. */
export function usualStats(printed: readonly PrintedHere[]): InkStats {
  const known = printed.flatMap(({ stats, area }) =>
    stats && area > 0 ? [{ stats, weight: area }] : [],
  );
  return known.length === 0 ? USUAL_STATS : meanStats(known);
}

const byTime = (a: { at: string }, b: { at: string }) =>
  a.at < b.at ? -1 : a.at > b.at ? 1 : 0;

/** What was printed, ink by ink. */
function printedByInk({ inks, printed }: PrinterFacts): InkFacts['printed'][] {
  const usual = usualStats(printed);
  const sorted = [...printed].sort(byTime);
  const each = sorted.map(
    ({ stats, glossy, covers }) => covers ?? coverages(inks, stats ?? usual, glossy),
  );
  return inks.map((_, i) =>
    sorted.map(({ at, area }, p) => ({ at, area, coverage: each[p]![i]! })),
  );
}

/** All that is known of each ink of a printer, in their order. */
export function inkFactsOf(facts: PrinterFacts): InkFacts[] {
  const printed = printedByInk(facts);
  const cleanings = facts.events.flatMap((e) =>
    e.kind === 'cleaned' ? [{ at: e.day, times: e.times }] : [],
  );
  return facts.inks.map(({ id }, i) => {
    const own = facts.events.filter((e) => e.inkId === id);
    return {
      printed: printed[i]!,
      cleanings,
      changes: own.flatMap((e) =>
        e.kind === 'changed'
          ? [
              {
                at: e.day,
                ml: e.ml,
                firstFill: e.firstFill,
                ...(e.wasLeft === null ? {} : { wasLeft: e.wasLeft }),
              },
            ]
          : [],
      ),
      readings: own.flatMap((e) =>
        e.kind === 'gauge' ? [{ at: e.day, share: e.share }] : [],
      ),
    };
  });
}

/** Of one day, what was bought comes before what was put in. */
const bySpares = (a: InkEvent, b: InkEvent) =>
  a.day === b.day
    ? Number(b.kind === 'bought') - Number(a.kind === 'bought')
    : a.day < b.day
      ? -1
      : 1;

/** Cartridges of an ink that were bought and are not in the printer yet. */
export function sparesOf(events: readonly InkEvent[], inkId: number): number {
  let spares = 0;
  for (const e of events.filter((v) => v.inkId === inkId).sort(bySpares)) {
    if (e.kind === 'bought') spares += e.pieces;
    if (e.kind === 'changed') spares = Math.max(0, spares - 1);
  }
  return spares;
}

/** Fits inks of one printer together, and its waste box, which takes the cleanings of all, by itself. */
function fitsOf(inks: readonly PrinterInk[], facts: readonly InkFacts[], rules: InkRules) {
  const isBox = (i: number) => ROLES[inks[i]!.role].of === 'waste';
  const places = inks.map((_, i) => i);
  const real = places.filter((i) => !isBox(i));
  const fits = fitInks(
    real.map((i) => usedCartridges(facts[i]!)),
    rules,
  );
  const boxRules = {
    ...rules,
    perCleaning: rules.perCleaning * Math.max(1, real.length),
    perDay: rules.perDay * Math.max(1, real.length),
  };
  return places.map((i) =>
    isBox(i) ? fitInks([usedCartridges(facts[i]!)], boxRules)[0]! : fits[real.indexOf(i)]!,
  );
}

/**
 * How the inks of a printer stand: what each is used by, how long it lasts and by when to buy
 * the next, what its gauge is worth. `today`: an ISO day. Money is not in it.
 */
export function inksNow(
  facts: PrinterFacts,
  today: string,
  rules: InkRules = INK_RULES,
): InkNow[] {
  const all = inkFactsOf(facts);
  const fits = fitsOf(facts.inks, all, rules);
  return facts.inks.map(({ id, ml }, i) => {
    const [own, fit] = [all[i]!, fits[i]!];
    const spares = sparesOf(facts.events, id);
    const lasts = inkLasts(own, fit, today, [], rules);
    const ready = Array.from({ length: spares }, () => ml);
    const allLast = spares === 0 ? lasts : inkLasts(own, fit, today, ready, rules);
    const { deliveryDays } = facts;
    return {
      id,
      facts: own,
      fit,
      spares,
      lasts,
      allLast,
      orderBy:
        allLast === null || deliveryDays === null
          ? null
          : daysAfter(allLast.early, -deliveryDays - SPARE_DAYS),
      verdict: gaugeVerdict(own, fit, rules),
      warnings: gaugeWarnings(own, rules),
    };
  });
}
