import { dayIn, daysUntil } from '../days';
import { LIGHT_RULES } from '../proof';
import { shelfLines } from './shelf';
import type { TodayFacts, TodayLine, TodayRules, Urgency } from './types';

export const TODAY_RULES: TodayRules = {
  dueWithinDays: 2,
  nearlyClosedShare: 0.1,
  orderWithinDays: 7,
  backupAfterDays: 7,
  fetchWithinDays: 7,
  calibrationDays: LIGHT_RULES.calibrationDays,
};

/** Clocks of one house may differ by so much. */
const CLOCK_MS = 10 * 60_000;

/** A warning when the clock was set back: days and orders would be reckoned wrongly. */
function clockLine({ kept: { last }, now }: TodayFacts): TodayLine[] {
  if (last === null || Date.parse(last) - Date.parse(now) <= CLOCK_MS) return [];
  return [{ what: 'clock', urgency: 'due', last }];
}

/** A reminder when the screen is to be calibrated again. */
function calibrationLine(
  { calibratedOn }: TodayFacts,
  today: string,
  { calibrationDays }: TodayRules,
): TodayLine[] {
  if (calibratedOn === null) return [];
  const days = -daysUntil(calibratedOn, today);
  return days > calibrationDays ? [{ what: 'calibration', urgency: 'low', days }] : [];
}

/** A reminder when what was written since the last backup has waited too long. */
function backupLine(
  { kept: { backup, first, last }, zone }: TodayFacts,
  today: string,
  { backupAfterDays }: TodayRules,
): TodayLine[] {
  const unsaved = backup === null ? first : last !== null && last > backup ? backup : null;
  if (unsaved === null) return [];
  const days = -daysUntil(dayIn(unsaved, zone), today);
  if (days < backupAfterDays) return [];
  return [{ what: 'backup', urgency: 'low', days: backup === null ? null : days }];
}

/** What hangs elsewhere and is to be fetched back within so many days, or was to be. */
const fetchLines = (
  { fetches }: TodayFacts,
  today: string,
  { fetchWithinDays }: TodayRules,
): TodayLine[] =>
  fetches.flatMap(({ fetchOn, ...of }) => {
    const days = daysUntil(fetchOn, today);
    return days > fetchWithinDays
      ? []
      : [{ what: 'fetch', urgency: days < 0 ? 'late' : 'due', days, ...of }];
  });

const RANK: Record<Urgency, number> = { late: 0, due: 1, low: 2, waiting: 3 };

/** What is due, waiting, low, late: most urgent first. `today` is an ISO day. */
export function todayLines(
  facts: TodayFacts,
  today: string,
  rules: TodayRules,
): TodayLine[] {
  const lines: TodayLine[] = [
    ...facts.orders.map(({ number, due, what, ...rest }): TodayLine => {
      const days = daysUntil(due, today);
      const urgency = days < 0 ? 'late' : days <= rules.dueWithinDays ? 'due' : 'waiting';
      return { what: 'order', urgency, order: number, ordered: what, days, ...rest };
    }),
    ...facts.fallsShort.map((f): TodayLine => ({
      what: 'fallsShort',
      urgency: 'due',
      ...f,
    })),
    ...facts.references.map((r): TodayLine => ({
      what: 'reference',
      urgency: 'due',
      ...r,
    })),
    ...fetchLines(facts, today, rules),
    ...facts.stepped.map((s): TodayLine => ({ what: 'stepped', urgency: 'due', ...s })),
    ...facts.voided.map((v): TodayLine => ({ what: 'voided', urgency: 'due', ...v })),
    ...shelfLines(facts, today, rules),
    ...clockLine(facts),
    ...backupLine(facts, today, rules),
    ...calibrationLine(facts, today, rules),
    ...facts.editions
      .filter((e) => e.left <= e.of * rules.nearlyClosedShare)
      .map((e): TodayLine => ({ what: 'edition', urgency: 'low', ...e })),
    ...facts.proofsOut.map(({ sentAt, ...rest }): TodayLine => ({
      what: 'proof',
      urgency: 'waiting',
      days: -daysUntil(dayIn(sentAt, facts.zone), today),
      ...rest,
    })),
    ...facts.untagged.map((u): TodayLine => ({
      what: 'untagged',
      urgency: 'waiting',
      ...u,
    })),
    ...facts.noMaster.map((u): TodayLine => ({
      what: 'noMaster',
      urgency: 'waiting',
      ...u,
    })),
    ...facts.noSizes.map((u): TodayLine => ({ what: 'noSizes', urgency: 'waiting', ...u })),
  ];
  const days = (line: TodayLine) => (line.what === 'order' ? line.days : 0);
  return lines.sort((a, b) => RANK[a.urgency] - RANK[b.urgency] || days(a) - days(b));
}
