import type { PixelRect } from '../../printPlan';
import type { Recipe } from '../../recipe';
import type { SheetKind } from './kind';
import type { StripOnSheet } from './resolution';

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
  /** Printed as the recipe that the cells vary; sheets of before have none. */
  strip?: StripOnSheet | null;
}

export const settings: SheetKind<SettingsSheet> = {
  kind: 'settings',
  fileWord: 'settings',
  entry: 'settingsSheet',
  held: ({ cells, sizeLabel }) => ({ pieces: cells.length, sizes: [sizeLabel] }),
  tried: ({ sizeKey, recipe, factor }) => ({
    sizeKey,
    recipe: recipe ?? null,
    recipeName: '',
    factor: factor ?? null,
  }),
};
