import { daysUntil } from '../days';
import type { InkFacts, InkLoad } from './types';

const dayOf = (at: string) => at.slice(0, 10);

/** Days from one instant to another, parts of days left out. */
export const daysBetween = (from: string, to: string): number =>
  daysUntil(dayOf(to), dayOf(from));

/**
 * What took ink from one instant (with it) to another (without it).
 * @example loadBetween({ changes: [], printed: [{ at: '2026-03-02', area: 0.5, coverage: 0.4 }], cleanings: [], readings: [] }, '2026-03-01', '2026-03-08') // { covered: 0.2, cleanings: 0, days: 7 }
 */
export function loadBetween(facts: InkFacts, from: string, to: string): InkLoad {
  const within = ({ at }: { at: string }) => at >= from && at < to;
  return {
    covered: facts.printed.filter(within).reduce((sum, p) => sum + p.area * p.coverage, 0),
    cleanings: facts.cleanings.filter(within).reduce((sum, c) => sum + c.times, 0),
    days: Math.max(0, daysBetween(from, to)),
  };
}

/** A cartridge that was used up: what it was used for, and what went out of it, ml. */
export interface UsedCartridge {
  from: string;
  to: string;
  load: InkLoad;
  ml: number;
  /** What was left in it, 0..1, where somebody said that it was not empty. */
  wasLeft: number;
  /** Most of it went into the tubes: it says nothing of use. */
  firstFill: boolean;
}

/** Every cartridge that was changed for another, by time. */
export const usedCartridges = (facts: InkFacts): UsedCartridge[] =>
  facts.changes.slice(0, -1).map((c, i) => {
    const next = facts.changes[i + 1]!;
    const left = next.wasLeft ?? 0;
    return {
      from: c.at,
      to: next.at,
      load: loadBetween(facts, c.at, next.at),
      ml: c.ml * (1 - left),
      wasLeft: left,
      firstFill: c.firstFill === true,
    };
  });
