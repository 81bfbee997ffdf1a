import type { SheetKind } from './kind';

/** Several prints on one sheet, to be cut apart. */
export interface GangSheet {
  kind: 'gang';
  /** The plan that it is of, and how its pieces lie: as one text, held against the plan of now. */
  planId: number;
  layout: string;
  /** mm. */
  sheet: { width: number; height: number };
  pieces: { title: string; size: string }[];
  strip?: null;
}

export const gang: SheetKind<GangSheet> = {
  kind: 'gang',
  fileWord: 'sheet',
  entry: 'gangSheet',
  held: ({ pieces }) => ({
    pieces: pieces.length,
    sizes: [...new Set(pieces.map((p) => p.size))],
  }),
  tried: () => ({ sizeKey: '', recipe: null, recipeName: '', factor: null }),
};
