import type { BoughtKind } from '../paper';

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
  /** Something that was ordered and was to be here `days` ago. */
  | { what: 'overdue'; name: string; supplier: string; days: number }
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
  /** Prints on consignment that are to be fetched back in `days`, or were to be. */
  | { what: 'fetch'; number: string; name: string; prints: number; days: number }
  /** An edition that sold past a step of its ladder since its price was kept; `by` 0.. */
  | {
      what: 'stepped';
      workId: number;
      work: string;
      sizeKey: string;
      sold: number;
      of: number;
      by: number;
    }
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
  /** What was ordered and did not come yet: it is not to be ordered again. */
  onItsWay: {
    kind: BoughtKind;
    ref: number;
    name: string;
    supplier: string;
    /** The day on which it was said to come; null where nobody said. */
    comesOn: string | null;
  }[];
  editions: { workId: number; work: string; size: string; left: number; of: number }[];
  fetches: { number: string; name: string; fetchOn: string; prints: number }[];
  stepped: {
    workId: number;
    work: string;
    sizeKey: string;
    sold: number;
    of: number;
    by: number;
  }[];
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
  /** What is out on consignment stands there when it is to be fetched back within so many days. */
  fetchWithinDays: number;
  /** Days that the calibration of a screen lasts. */
  calibrationDays: number;
}
