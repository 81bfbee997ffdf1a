import type { LadderTerms, PriceValues } from '@/core/price';
import type { ValueOf } from '@/core/input';
import type { Minor } from '@/core/units';
import type { KnownChannel } from '../channels/channelsShown';
import type { ladderForm } from './ladderForm';

export type LadderAsked = ValueOf<(typeof ladderForm)['fields']>;

/** A size on offer as the ladder has it. */
export interface LadderSize {
  key: string;
  label: string;
  /** Of the sheet, mm. */
  width: number;
  height: number;
  edition: number | null;
  sold: number;
  /** Of one impression, minor units. */
  cost: number;
  /** Whether its paper is known, or a price was kept: without it the cost is too low. */
  costKnown: boolean;
  /** What that is reckoned from. */
  values: PriceValues;
  /** What mat and frame of one cost, with the time they take; null: not said at Finish. */
  framing: number | null;
  /** The price that is kept, in the currency of the bench; null where none is. */
  kept: Minor | null;
}

/** A paper as its usual sheet is bought. Minor units, mm. */
export interface OtherPaper {
  name: string;
  price: number;
  sheetWidth: number;
  sheetHeight: number;
}

/** What a ladder is made over. */
export interface LadderKnown {
  sizes: readonly LadderSize[];
  channels: readonly KnownChannel[];
  /** Edges of the original, mm. */
  original: { width: number; height: number };
  currency: string;
  /** What an hour is worth, for the day at a fair. */
  hour: Minor;
  /** What is sold through a channel a month. */
  pace: readonly { channel: string; perMonth: number }[];
  /** Papers that it could be printed on as well, in the currency of the bench. */
  papers: readonly OtherPaper[];
  /** The paper that costs are of; null where it is not known. */
  paper: OtherPaper | null;
  /** By which rule the prices were kept last; null where by none. */
  kept: LadderTerms | null;
}
