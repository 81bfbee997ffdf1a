/** Something printed: its area, m2, and how much of it an ink covers, 0..1 (its demand). */
export interface InkPrinted {
  /** ISO 8601 instant, or a day. */
  at: string;
  area: number;
  coverage: number;
}

/** A cartridge that was put in. */
export interface InkChange {
  at: string;
  /** What it holds, ml. */
  ml: number;
  /** How much was left in the one that was taken out, 0..1 of it, where somebody could tell; else it was empty. */
  wasLeft?: number;
  /** It filled the tubes of a printer that had none before. */
  firstFill?: boolean;
}

export interface InkCleaning {
  at: string;
  /** Of a usual one; a strong one counts several. */
  times: number;
}

/** What the printer's gauge said, 0..1 of a full cartridge. */
export interface GaugeReading {
  at: string;
  share: number;
}

/** All that is known of one ink of one printer, each list by time. */
export interface InkFacts {
  changes: readonly InkChange[];
  printed: readonly InkPrinted[];
  cleanings: readonly InkCleaning[];
  readings: readonly GaugeReading[];
}

/** What takes ink within some time. */
export interface InkLoad {
  /** m2 that it covers wholly. */
  covered: number;
  cleanings: number;
  days: number;
}

export interface InkRules {
  /** ml to a m2 that is covered wholly; ml to a usual cleaning; ml to an idle day. Rules of thumb. */
  perCovered: number;
  perCleaning: number;
  perDay: number;
  /** How far real cartridges scatter about what is reckoned, a share. */
  scatter: number;
  /** A gauge at or under this share has warned. */
  warns: number;
  /** What the tubes leave in a cartridge of the first set, a share of it, and how far off that may be. */
  firstLeft: number;
  firstOff: number;
}

/** Rules of thumb to begin with; what is fitted takes their place cartridge by cartridge. */
export const INK_RULES: InkRules = {
  perCovered: 9,
  perCleaning: 1.5,
  perDay: 0.04,
  scatter: 0.05,
  warns: 0.2,
  firstLeft: 0.35,
  firstOff: 0.1,
};

/** What a cartridge holds for printing, ml, and how far off that may be: the first fills the tubes. */
export const heldBy = (
  { ml, firstFill }: Pick<InkChange, 'ml' | 'firstFill'>,
  rules: InkRules,
): { ml: number; off: number } =>
  firstFill ? { ml: rules.firstLeft * ml, off: rules.firstOff * ml } : { ml, off: 0 };
