import { daysAfter } from '../days';
import { usedBy } from './fit';
import { loadBetween } from './load';
import type { InkNow, PrintedHere } from './printer';

/** A week of a printer: the first day of it, and the day after its last. */
export interface InkWeek {
  from: string;
  to: string;
  /** m2 printed. */
  area: number;
  /** ml of each ink, as reckoned. */
  ml: number[];
}

/** Cartridges of an ink by time; the last is in the printer (`to` null). */
export interface CartridgeBar {
  from: string;
  to: string | null;
  ml: number;
  firstFill: boolean;
  /** What was left in it when it was taken out, 0..1. */
  wasLeft: number;
  readings: { at: string; share: number }[];
}

/** The last weeks before a day, the oldest first: what was printed, and what each ink gave for it. */
export function inkWeeks(
  inks: readonly Pick<InkNow, 'facts' | 'fit'>[],
  printed: readonly PrintedHere[],
  today: string,
  weeks: number,
): InkWeek[] {
  return Array.from({ length: weeks }, (_, i) => {
    const from = daysAfter(today, -7 * (weeks - i));
    const to = daysAfter(from, 7);
    return {
      from,
      to,
      area: printed
        .filter((p) => p.at >= from && p.at < to)
        .reduce((sum, p) => sum + p.area, 0),
      ml: inks.map(({ facts, fit }) => {
        const since = facts.changes[0]?.at;
        // Before a cartridge was in, nothing was used.
        if (since === undefined || since >= to) return 0;
        return usedBy(fit, loadBetween(facts, from > since ? from : since, to)).ml;
      }),
    };
  });
}

/** The cartridges of an ink as bars over time, with what the gauge said of each. */
export function cartridgeBars({ facts }: Pick<InkNow, 'facts'>): CartridgeBar[] {
  return facts.changes.map((change, i) => {
    const next = facts.changes[i + 1];
    const to = next?.at ?? null;
    return {
      from: change.at,
      to,
      ml: change.ml,
      firstFill: change.firstFill === true,
      wasLeft: next?.wasLeft ?? 0,
      readings: facts.readings.filter(
        (r) => r.at >= change.at && (to === null || r.at < to),
      ),
    };
  });
}
