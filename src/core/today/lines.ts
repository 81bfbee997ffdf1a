import { dayIn, daysUntil } from '../days';
import { LIGHT_RULES } from '../proof';

export type Urgency = 'late' | 'due' | 'low' | 'waiting';

/** One thing the table shows, with what it needs to be said and found. */
export type TodayLine = { urgency: Urgency } & (
  | {
      what: 'order';
      order: string;
      /** Title of its first line, and how many lines there are beside it. */
      ordered: string;
      more: number;
      customer: string;
      days: number;
    }
  | {
      /** Packing material to be ordered again. */
      what: 'material';
      materialId: number;
      material: string;
      pieces: number;
      reorderPoint: number;
      /** Days until the last one on which a delivery is ordered in time; null where that cannot be told. */
      orderIn: number | null;
    }
  /** A carrier was booked for an order, and its parcel was never written down: it was voided. */
  | { what: 'voided'; order: string; carrier: string }
  | {
      what: 'proof';
      workId: number;
      work: string;
      paper: string;
      round: number;
      days: number;
    }
  | {
      what: 'paper';
      paperId: number;
      paper: string;
      sheets: number;
      reorderPoint: number;
      discontinued: boolean;
      /** Days until the last one on which a delivery is ordered in time; null where that cannot be told. */
      orderIn: number | null;
    }
  | {
      /** An ink to be bought; `orderIn` null: its gauge warns, and nothing else is known. */
      what: 'ink';
      printerId: number;
      printer: string;
      inkId: number;
      ink: string;
      orderIn: number | null;
    }
  | {
      what: 'edition';
      workId: number;
      work: string;
      size: string;
      left: number;
      of: number;
    }
  /** A size on offer whose approved proof is no reference any more; `why` in words. */
  | { what: 'reference'; workId: number; work: string; sizeKey: string; why: string }
  | { what: 'untagged'; workId: number; work: string }
  | { what: 'noMaster'; workId: number; work: string }
  | { what: 'noSizes'; workId: number; work: string }
  | { what: 'fallsShort'; workId: number; work: string; size: string; ppi: number }
  /** Days since the screen was calibrated, by which proofs are judged. */
  | { what: 'calibration'; days: number }
  /** `days` since the last backup; null when there is none. */
  | { what: 'backup'; days: number | null }
  /** The clock is behind the last thing written down. */
  | { what: 'clock'; last: string }
);

export interface TodayFacts {
  orders: { number: string; what: string; more: number; customer: string; due: string }[];
  materials: {
    id: number;
    name: string;
    pieces: number;
    reorderPoint: number;
    /** The last day on which a delivery is ordered in time, where that can be told. */
    orderBy?: string | null;
  }[];
  voided: { order: string; carrier: string }[];
  proofsOut: {
    workId: number;
    work: string;
    paper: string;
    round: number;
    sentAt: string;
  }[];
  papers: {
    id: number;
    name: string;
    sheets: number;
    reorderPoint: number;
    discontinuedAt: string | null;
    /** The last day on which a delivery is ordered in time, where that can be told. */
    orderBy?: string | null;
  }[];
  /** Inks with the last day on which one that is ordered comes in time, where that can be told. */
  inks: {
    printerId: number;
    printer: string;
    inkId: number;
    ink: string;
    orderBy: string | null;
  }[];
  editions: { workId: number; work: string; size: string; left: number; of: number }[];
  references: { workId: number; work: string; sizeKey: string; why: string }[];
  untagged: { workId: number; work: string }[];
  noMaster: { workId: number; work: string }[];
  noSizes: { workId: number; work: string }[];
  fallsShort: { workId: number; work: string; size: string; ppi: number }[];
  /** The day on which the screen was calibrated last, where that was ever said. */
  calibratedOn: string | null;
  /** ISO instants: the last backup, and the first and last thing written down. */
  kept: { backup: string | null; first: string | null; last: string | null };
  /** This instant, ISO 8601. */
  now: string;
  /** Where the studio is: an IANA time zone. */
  zone: string;
}

export interface TodayRules {
  /** Orders that leave within so many days are due. */
  dueWithinDays: number;
  /** An edition with this share or less left is nearly closed. */
  nearlyClosedShare: number;
  /** A paper or an ink stands there when it is to be ordered within so many days. */
  orderWithinDays: number;
  /** A backup is due when something was written and the last one is so many days old. */
  backupAfterDays: number;
  /** Days that the calibration of a screen lasts. */
  calibrationDays: number;
}

export const TODAY_RULES: TodayRules = {
  dueWithinDays: 2,
  nearlyClosedShare: 0.1,
  orderWithinDays: 7,
  backupAfterDays: 7,
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

/**
 * When something on the shelf is to be ordered; null where it is enough. Where the day is known by
 * which to order, it decides; else the count does, where a reorder point was set.
 */
function toOrder(
  {
    left,
    reorderPoint,
    orderBy,
  }: { left: number; reorderPoint: number; orderBy: string | null },
  today: string,
  { orderWithinDays }: TodayRules,
): { urgency: Urgency; orderIn: number | null } | null {
  const orderIn = orderBy === null ? null : daysUntil(orderBy, today);
  const low =
    orderIn === null || left <= 0 ? left <= reorderPoint : orderIn <= orderWithinDays;
  if (!low) return null;
  return { urgency: orderIn !== null && orderIn <= 0 ? 'due' : 'low', orderIn };
}

/** A paper that is low, or is to be ordered soon. */
function paperLine(
  paper: TodayFacts['papers'][number],
  today: string,
  rules: TodayRules,
): TodayLine[] {
  const { id, name, sheets, reorderPoint, discontinuedAt, orderBy = null } = paper;
  const discontinued = discontinuedAt !== null;
  // Of what is no longer made, an empty shelf is nothing to do any more.
  if (discontinued && sheets <= 0) return [];
  const shelf = { left: sheets, reorderPoint, orderBy: discontinued ? null : orderBy };
  const order = toOrder(shelf, today, rules);
  if (!order) return [];
  const line = { paperId: id, paper: name, sheets, reorderPoint, discontinued };
  return [{ what: 'paper', ...order, ...line }];
}

/** Packing material that is low, or is to be ordered soon; without a reorder point only by its day. */
function materialLine(
  { id, name, pieces, reorderPoint, orderBy = null }: TodayFacts['materials'][number],
  today: string,
  rules: TodayRules,
): TodayLine[] {
  if (reorderPoint === 0 && orderBy === null) return [];
  const order = toOrder({ left: pieces, reorderPoint, orderBy }, today, rules);
  if (!order) return [];
  return [
    { what: 'material', ...order, materialId: id, material: name, pieces, reorderPoint },
  ];
}

/** An ink that is to be bought soon, or whose gauge alone warns. */
function inkLine(
  { orderBy, printerId, printer, inkId, ink }: TodayFacts['inks'][number],
  today: string,
  { orderWithinDays }: TodayRules,
): TodayLine[] {
  const orderIn = orderBy === null ? null : daysUntil(orderBy, today);
  if (orderIn !== null && orderIn > orderWithinDays) return [];
  const urgency = orderIn !== null && orderIn <= 0 ? 'due' : 'low';
  return [{ what: 'ink', urgency, printerId, printer, inkId, ink, orderIn }];
}

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
    ...facts.papers.flatMap((p) => paperLine(p, today, rules)),
    ...facts.inks.flatMap((i) => inkLine(i, today, rules)),
    ...facts.voided.map((v): TodayLine => ({ what: 'voided', urgency: 'due', ...v })),
    ...facts.materials.flatMap((m) => materialLine(m, today, rules)),
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
