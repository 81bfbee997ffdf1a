import type { Grams, GramsPerSquareMetre, Millimetres, Size } from '../units';

/** A print that goes into a parcel; `copies` of it lie together in one sleeve each. */
export interface PrintToPack extends Size {
  /** Number of its order line. */
  line: number;
  copies: number;
  weight: GramsPerSquareMetre;
  thickness: Millimetres;
  /** The least inside diameter that its paper is rolled to, where that is known. */
  leastRoll?: Millimetres | null;
  /** Numbered prints travel with their certificate. */
  certificate: boolean;
}

/** Plain goods: cards, a book. They lie flat and are never rolled. */
export interface GoodsToPack {
  line: number;
  name: string;
  copies: number;
  /** Of one of them. */
  mass: Grams;
  thickness: Millimetres;
}

/** What is put in on top, and is in no line of the order. */
export interface Extra {
  name: string;
  mass: Grams;
}

/** What a parcel is to hold. */
export interface Contents {
  prints: PrintToPack[];
  goods: GoodsToPack[];
  extras: Extra[];
}

export const NOTHING: Contents = { prints: [], goods: [], extras: [] };
