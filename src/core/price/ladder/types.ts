/** A print on offer: a size, on a paper, limited or open, framed or not. Lengths in mm, money in minor units. */
export interface LadderItem {
  id: string;
  width: number;
  height: number;
  /** What else tells it from others of its size; '' where nothing does. */
  paper: string;
  framed: boolean;
  /** What mat and frame of it cost, in its cost already; 0 where it is not framed. */
  framing?: number;
  /** N of its edition; null: open. */
  edition: number | null;
  /** Sold of it so far. */
  sold: number;
  /** Cost of one impression. */
  cost: number;
  /** What is asked by hand; null where nobody has set it. */
  byHand: number | null;
}
