import type { PixelRect } from '../printPlan';
import type { Recipe } from '../recipe';

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
}

export const SETTING_AXES = [
  'lightness',
  'contrast',
  'warmth',
  'saturation',
  'sharpening',
  'intent',
  'media',
] as const;
export type SettingAxis = (typeof SETTING_AXES)[number];

/** One cell of a settings sheet. */
export interface SettingCell {
  /** What is set, as it is printed under the cell. */
  label: string;
  recipe: Recipe;
  place: PixelRect;
}

/** One picture, or a piece of it, in many settings. */
export interface SettingsSheet {
  kind: 'settings';
  sheet: { width: number; height: number };
  sizeKey: string;
  sizeLabel: string;
  /** Linear enlargement of what the cells show, and what they vary; sheets of before do not say it. */
  factor?: number;
  recipe?: Recipe;
  axes: SettingAxis[];
  /** The printer's media setting that the sheet is to be printed with; empty: not said. */
  media: string;
  columns: number;
  cells: SettingCell[];
}

export type SheetContent = ResolutionSheet | SettingsSheet;
