import type { SpaceId } from '../colour';
import { STEPS } from './steps';
import type { RecipeStep } from './steps';

export { ADJUSTED, DEFAULT_KERNEL, NO_ADJUSTMENT, STEPS, reduces, tints } from './steps';
export type { RecipeStep } from './steps';

export type StepKind = RecipeStep['kind'];
export type StepOf<K extends StepKind> = Extract<RecipeStep, { kind: K }>;

export type Intent = 'perceptual' | 'relative' | 'saturation' | 'absolute';
export const INTENTS: Intent[] = ['relative', 'perceptual', 'saturation', 'absolute'];

/** A space of our own, or a stored profile by its hash. */
export type TargetId = SpaceId | `icc:${string}`;

export type FileFormat = 'tiff' | 'png' | 'jpeg';
export const FORMATS: FileFormat[] = ['tiff', 'png', 'jpeg'];
export type Compression = 'none' | 'lzw' | 'deflate';
export const COMPRESSIONS: Compression[] = ['none', 'lzw', 'deflate'];

/** What a picture is converted to at the end. */
export interface Conversion {
  target: TargetId;
  intent: Intent;
  blackPoint: boolean;
}

export interface FileWish {
  bits: 8 | 16;
  /** Whether 8 bits are dithered where a tone lies between two of their levels. */
  dither: boolean;
  format: FileFormat;
  /** Of a TIFF. */
  compression: Compression;
  /** Of a JPEG, 1..100. */
  quality: number;
  /** Pattern of its name, see `fileName`. */
  name: string;
}

/**
 * How the numbers of a recipe are meant. 1: in the encoded values of the picture's own profile,
 * as was done at first. 2: in the working space, reductions in linear light, paper white kept.
 */
export type RecipeRule = 1 | 2;
/** The rule of new recipes. */
export const RECIPE_RULE = 2;

/** A recipe of before there were rules says none. */
export const ruleOf = (recipe: { rule?: RecipeRule }): RecipeRule => recipe.rule ?? 1;

/**
 * What is done to the picture of a master on its way to a file. Crop, turn and flat field come
 * with the master, the border and the bleed with the size; the printer's colours, the bits and
 * the file come last.
 */
export interface Recipe {
  /** How its numbers are meant. */
  rule: RecipeRule;
  steps: RecipeStep[];
  /** Trim marks around the paper. */
  marks: boolean;
  convert: Conversion;
  file: FileWish;
}

/** What a recipe does to pixels: its steps, and how they are meant. */
export type RecipeSteps = Pick<Recipe, 'rule' | 'steps'>;

/** The one resampling step. Throws when there is none. */
export function resampling(recipe: Pick<Recipe, 'steps'>): StepOf<'resample'> {
  const step = recipe.steps.find((s) => s.kind === 'resample');
  if (step?.kind !== 'resample') throw new RangeError('a recipe needs a resampling step');
  return step;
}

/**
 * The resolution that a recipe resizes to, pixels an inch.
 * @example ppiOf(plainRecipe(300, 0.8)) // 300
 */
export const ppiOf = (recipe: Pick<Recipe, 'steps'>): number => resampling(recipe).ppi;

/** The first step of a kind that is carried out; null when none is. */
export function stepIn<K extends StepKind>(
  { steps }: Pick<Recipe, 'steps'>,
  kind: K,
): StepOf<K> | null {
  return (steps.find((s) => s.kind === kind && s.on) as StepOf<K> | undefined) ?? null;
}

/** The recipe with one of its steps replaced. */
export const withStep = (recipe: Recipe, at: number, step: RecipeStep): Recipe => ({
  ...recipe,
  steps: recipe.steps.map((s, i) => (i === at ? step : s)),
});

/** Steps that change colours, pixel by pixel, and nothing else. */
export const COLOUR_STEPS: readonly StepKind[] = ['adjust', 'balance'];

/** The steps of a recipe that change colours and are carried out. */
export const colourSteps = ({ steps }: Pick<Recipe, 'steps'>): RecipeStep[] =>
  steps.filter((s) => s.on && COLOUR_STEPS.includes(s.kind));

/** The recipe with a step moved up (-1) or down (+1); the same when there is no place. */
export function movedStep(recipe: Recipe, at: number, by: -1 | 1): Recipe {
  const steps = [...recipe.steps];
  const [step] = steps.splice(at, 1);
  const place = at + by;
  if (!step || place < 0 || place > steps.length) return recipe;
  steps.splice(place, 0, step);
  return { ...recipe, steps };
}

export const DEFAULT_NAME = '{size}_{title}_{ppi}ppi_v{version}';

/** The recipe that one begins with: nothing but resizing and output sharpening. */
export const plainRecipe = (ppi: number, radius: number): Recipe => ({
  rule: RECIPE_RULE,
  steps: Object.values(STEPS).map((s) => s.usual({ ppi, radius })),
  marks: false,
  convert: { target: 'a98-rgb', intent: 'relative', blackPoint: true },
  file: {
    bits: 8,
    dither: true,
    format: 'tiff',
    compression: 'none',
    quality: 92,
    name: DEFAULT_NAME,
  },
});
