import type { Recipe } from '../../recipe';

/** What is tried on a sheet, as a book of prints remembers it: of several sizes the most enlarged. */
export interface Tried {
  /** Empty where it is of no one size. */
  sizeKey: string;
  recipe: Recipe | null;
  recipeName: string;
  /** Linear enlargement; null where an early sheet did not say it. */
  factor: number | null;
}

/** A kind of sheet that is made to be judged. */
export interface SheetKind<C extends { kind: string }> {
  kind: C['kind'];
  /** What its file is named with. */
  fileWord: string;
  /** What its entry in the book of prints is called. */
  entry: 'proofSheet' | 'settingsSheet' | 'gangSheet';
  /** How many pieces are on it, and of which sizes. */
  held(content: C): { pieces: number; sizes: string[] };
  tried(content: C): Tried;
}
