import { defineVersioned } from '../facts';
import type { Grams, Millimetres, Minor, Size } from '../units';
import type { Part } from './parts';
import type { Lacking, WayId } from './ways';

/** What a carrier asked for a parcel, when it was asked. */
export interface AskedQuote {
  carrier: string;
  service: string;
  /** Working days, as promised. */
  days: string;
  billable: Grams;
  cost: Minor;
  refused: string | null;
}

/** A line of the order as it was sealed. */
export interface SealedLine {
  line: number;
  /** Title of the work, or name of the goods. */
  title: string;
  /** The pencilled number; null where there is none. */
  label: string | null;
  sizeKey: string | null;
  sheet: Size | null;
  paper: string | null;
  copies: number;
  price: Minor;
  currency: string;
}

/** A parcel as it was when it was sealed: never reckoned anew. */
export interface SealedParcel {
  /** `inHand`: nothing was packed, it was given into a hand. */
  way: WayId | 'inHand';
  notFlat: Lacking[];
  spare: Millimetres | null;
  /** Null where parts were not written down at that time. */
  parts: Part[] | null;
  /** Computed mass of all parts; null like them. */
  total: Grams | null;
  outside: { width: Millimetres; height: Millimetres; depth: Millimetres } | null;
  /** What the scales may differ by, g. */
  tolerance: Grams | null;
  lines: SealedLine[];
  to: { name: string; street: string; town: string; country: string };
  quotes: AskedQuote[];
  note: string;
}

/**
 * A parcel that is none: what is given in hand, nothing packed, weighed or booked.
 * @example givenInHand({ lines: [], to: { name: 'A. Wend', street: '', town: '', country: '' }, note: '' }).way // 'inHand'
 */
export const givenInHand = (
  given: Pick<SealedParcel, 'lines' | 'to' | 'note'>,
): SealedParcel => ({
  way: 'inHand',
  notFlat: [],
  spare: null,
  parts: [],
  total: null,
  outside: null,
  tolerance: null,
  quotes: [],
  ...given,
});

const isList = (value: unknown) => Array.isArray(value);

/** A sealed parcel as it is stored. */
export const SEALED_PARCEL = defineVersioned<SealedParcel>({
  name: 'sealed parcel',
  // Version 0: of parcels that were sealed before their parts were written down.
  upgrades: [
    (old) => ({
      parts: null,
      total: null,
      outside: null,
      tolerance: null,
      note: '',
      ...old,
    }),
  ],
  holds: (v) =>
    (v.way === 'flat' || v.way === 'rolled' || v.way === 'inHand') &&
    isList(v.lines) &&
    isList(v.quotes) &&
    (v.parts === null || isList(v.parts)) &&
    typeof v.to === 'object' &&
    v.to !== null,
});
