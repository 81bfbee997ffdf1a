import type { Millimetres } from '../../units';
import type { Contents } from '../contents';
import type { Part } from '../parts';
import type { PackRules } from '../rules';
import type { PackingMaterial } from '../stock';

export type WayId = 'flat' | 'rolled';

/** What is lacking to pack in a way: a kind of material, or the thing itself does not go that way. */
export type Lacking =
  | PackingMaterial['kind']
  | 'tooLarge'
  | 'tooThick'
  | 'tooMany'
  | 'goodsDoNotRoll'
  | 'nothingToRoll';

/** One way of packing: how it is chosen, what it is made of, and how large it is outside. */
export interface Way<Packing> {
  way: WayId;
  /** The smallest material at hand that takes the contents; else all that is lacking. */
  choose(
    contents: Contents,
    materials: readonly PackingMaterial[],
    rules: PackRules,
  ): { packing: Packing } | { lacking: Lacking[] };
  /** The pieces it takes, apart from the contents. */
  wraps(packing: Packing, contents: Contents): Part[];
  /** Outside dimensions, mm. */
  outside(
    packing: Packing,
    contents: Contents,
  ): { width: Millimetres; height: Millimetres; depth: Millimetres };
  /** Numbers of the materials it takes from the shelf, once for each piece. */
  takes(packing: Packing): number[];
}
