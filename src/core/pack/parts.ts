import type { Grams, Size } from '../units';

/** What a parcel is made of. */
export type PartKind =
  | 'print'
  | 'goods'
  | 'extra'
  | 'sleeve'
  | 'board'
  | 'mailer'
  | 'tube'
  | 'tissue'
  | 'certificate'
  | 'note';

/** One thing that lies in a parcel. `key` names it for its ticks, whatever else changes. */
export interface Part {
  key: string;
  part: PartKind;
  /** The order line it belongs to; null: to the parcel. */
  line: number | null;
  copies: number;
  /** Name of a material, of goods, of an extra; null where the kind says it all. */
  name: string | null;
  /** Of all copies. */
  mass: Grams;
  /** As it lies, mm; a tube by its outside, lying. Null where that is not known. */
  size: Size | null;
}
