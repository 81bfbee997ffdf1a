import { basename } from 'node:path';
import { ROLES, cartridgeBars, inksNow } from '@/core/ink';
import type { InkEvent, InkNow, InkPapers, InkRole } from '@/core/ink';
import { INK_SCHEMA } from './inkSchema';
import { BadJob, readJobFile } from './jobFile';

interface OfInk {
  ink: number;
  day: string;
}

/** A job as it is written: printers' inks, what was printed, what was noted. */
interface InkJob {
  today: string;
  deliveryDays?: number;
  inks: { id: number; role: InkRole; papers?: InkPapers; ml: number; price?: number }[];
  printed?: { day: string; area: number; covers?: { ink: number; share: number }[] }[];
  changes?: (OfInk & { ml?: number; wasLeft?: number; firstFill?: boolean })[];
  gauges?: (OfInk & { share: number })[];
  cleanings?: { day: string; times?: number }[];
  bought?: (OfInk & { pieces: number })[];
}

const DOC = 'docs/paper-and-sheets.md';

function eventsOf(job: InkJob): InkEvent[] {
  const mlOf = (id: number) => job.inks.find((i) => i.id === id)!.ml;
  const events: InkEvent[] = [
    ...(job.bought ?? []).map(({ ink: inkId, day, pieces }): InkEvent => ({
      inkId,
      day,
      kind: 'bought',
      pieces,
    })),
    ...(job.changes ?? []).map((c): InkEvent => ({
      inkId: c.ink,
      day: c.day,
      kind: 'changed',
      ml: c.ml ?? mlOf(c.ink),
      wasLeft: c.wasLeft ?? null,
      firstFill: c.firstFill ?? false,
    })),
    ...(job.gauges ?? []).map(({ ink: inkId, day, share }): InkEvent => ({
      inkId,
      day,
      kind: 'gauge',
      share,
    })),
    ...(job.cleanings ?? []).map(({ day, times = 1 }): InkEvent => ({
      inkId: null,
      day,
      kind: 'cleaned',
      times,
    })),
  ];
  return events.sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0));
}

/** What cannot be: an ink that is not named, two changes on a day, something to come. */
function faultOf(job: InkJob): string | null {
  const ids = new Set(job.inks.map((i) => i.id));
  if (ids.size < job.inks.length) return 'two inks have the same id';
  const { changes = [], gauges = [], bought = [], printed = [], cleanings = [] } = job;
  const named = [
    ...changes,
    ...gauges,
    ...bought,
    ...printed.flatMap((p) => p.covers ?? []),
  ];
  const stranger = named.find((n) => !ids.has(n.ink));
  if (stranger) return `there is no ink ${stranger.ink}`;
  const late = [...changes, ...gauges, ...bought, ...printed, ...cleanings].find(
    (e) => e.day > job.today,
  );
  if (late) return `${late.day} is after today, ${job.today}`;
  const twice = changes.find((c, i) =>
    changes.some((d, k) => k > i && d.ink === c.ink && d.day === c.day),
  );
  return twice ? `ink ${twice.ink} is changed twice on ${twice.day}` : null;
}

const round = (v: number) => Number(v.toFixed(4));

/** An ink as the command line says it. The keys are documented and stay as they are. */
function inkReport(now: InkNow, role: InkRole) {
  const { fit, lasts, allLast, orderBy, verdict, warnings, spares } = now;
  return {
    ink: now.id,
    perCovered: ROLES[role].of === 'waste' ? null : round(fit.perCovered),
    perCoveredOff: round(Math.sqrt(Math.max(0, fit.covariance[0]![0]!))),
    perCleaning: round(fit.perCleaning),
    perDay: round(fit.perDay),
    cartridges: fit.cartridges,
    left: lasts && round(lasts.left),
    leftOff: lasts && round(lasts.off),
    perWeek: lasts && round(lasts.perWeek),
    empty: lasts && { early: lasts.early, likely: lasts.likely, late: lasts.late },
    spares,
    allEmpty: allLast && {
      early: allLast.early,
      likely: allLast.likely,
      late: allLast.late,
    },
    orderBy,
    gauge: verdict && {
      day: verdict.at,
      said: round(verdict.said),
      reckoned: round(verdict.reckoned),
      band: round(verdict.band),
      verdict: verdict.verdict,
      gaugeOff: verdict.gaugeOff === null ? null : round(verdict.gaugeOff),
      reckoningOff: round(verdict.reckoningOff),
    },
    warnings: warnings.map((w) => ({
      day: w.at,
      said: w.share,
      lastedWeeks: round(w.weeks),
      wasLeft: w.wasLeft,
    })),
    changed: cartridgeBars(now).length,
  };
}

/** How the inks of a printer in a file stand. Throws BadJob, in words. */
export async function inkOfFile(path: string) {
  const job = await readJobFile<InkJob>(path, INK_SCHEMA, DOC);
  const fault = faultOf(job);
  if (fault) throw new BadJob(`${basename(path)}: ${fault}.`);
  const inks = job.inks.map((i) => ({ papers: 'all' as const, ...i }));
  const printed = (job.printed ?? []).map(({ day, area, covers }) => ({
    at: day,
    area,
    stats: null,
    glossy: null,
    ...(covers
      ? {
          covers: inks.map(({ id }) => covers.find((c) => c.ink === id)?.share ?? 0),
        }
      : {}),
  }));
  const { deliveryDays = null } = job;
  const facts = { inks, printed, events: eventsOf(job), deliveryDays };
  return {
    today: job.today,
    inks: inksNow(facts, job.today).map((now, i) => inkReport(now, inks[i]!.role)),
  };
}
