import type { Vector } from '@/core/colour';
import type { PixelRect } from '../../printPlan';
import type { Recipe } from '../../recipe';
import type { SheetKind } from './kind';

/** What a patch of a control strip is there for. */
export type PatchKind = 'paper' | 'black' | 'grey' | 'extreme' | 'main';

/** A patch of a control strip: its name, and the colour that is printed there, CIELAB (D50) over the white of the master. */
export interface StripPatch {
  name: string;
  kind: PatchKind;
  lab: Vector;
}

/** A control strip as it lies on a sheet, in its pixels. */
export interface StripOnSheet {
  place: PixelRect;
  patches: StripPatch[];
}

/** What a piece of a picture shows of the quality of a print. */
export const PIECE_TESTS = ['tones', 'texture', 'edges', 'shadow', 'gradient'] as const;
export type PieceTest = (typeof PIECE_TESTS)[number];

/** A piece of a print as it lies on a sheet. */
export interface SheetPiece {
  /** Of its place on the picture, from 1: the same at every size. */
  number: number;
  sizeKey: string;
  sizeLabel: string;
  /** Linear enlargement at that size. */
  factor: number;
  /** The piece, in pixels of that print's picture; and where it lies on the sheet. */
  region: PixelRect;
  place: { left: number; top: number };
  tests: PieceTest | 'byHand';
  /** From where that print is looked at, mm. */
  standMm: number;
}

/** Pieces of one or more final sizes on a small sheet. */
export interface ResolutionSheet {
  kind: 'resolution';
  /** mm. */
  sheet: { width: number; height: number };
  recipe: Recipe;
  recipeName: string | null;
  pieces: SheetPiece[];
  /** Where the whole picture lies, small; null: it is not on it. */
  overview: PixelRect | null;
  /** Sheets of before have none. */
  strip?: StripOnSheet | null;
}

export const resolution: SheetKind<ResolutionSheet> = {
  kind: 'resolution',
  fileWord: 'proof',
  entry: 'proofSheet',
  held: ({ pieces }) => ({
    pieces: pieces.length,
    sizes: [...new Set(pieces.map((p) => p.sizeLabel))],
  }),
  tried: ({ pieces, recipe, recipeName }) => {
    const { sizeKey, factor } = pieces.reduce((a, b) => (a.factor >= b.factor ? a : b));
    return { sizeKey, recipe, recipeName: recipeName ?? '', factor };
  },
};
