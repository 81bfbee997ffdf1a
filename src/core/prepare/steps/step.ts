import type { ColourBasis, RowStep, Shape } from '../../image';
import type { PrintPlan } from '../printPlan';

/** One thing that a step does to the rows of a picture. */
export interface RecipeRows {
  rows: RowStep;
  /** What it is made of: the same for the same work on the same picture. */
  key: string;
  /** Whether, in the working space, it is done to linear light; else to encoded values. */
  light: boolean;
}

/** What a step is carried out on. */
export interface StepPlace {
  /** The rows as they come. */
  shape: Shape;
  plan: Pick<PrintPlan, 'image' | 'source'>;
  /** What their numbers mean. */
  basis: ColourBasis;
}

/** What a new recipe knows: pixels an inch, and the usual radius of sharpening, px. */
export interface Usual {
  ppi: number;
  radius: number;
}

/** A kind of step: what it holds, how it begins, what it does to the rows of a picture. */
export interface StepDefinition<S extends { kind: string; on: boolean }> {
  kind: S['kind'];
  /** Its numbers; their limits are in LIMITS. */
  numbers: readonly Exclude<keyof S, 'kind' | 'on'>[];
  /** Its rows of shifts by name, with how many each has; each is held to `LIMITS.shift`. */
  tables?: Readonly<Record<string, number>>;
  /** Its choices by name, where it has any. */
  choices?: Readonly<Record<string, readonly string[]>>;
  /** As it stands in a recipe that one begins with. */
  usual(from: Usual): S;
  /** Empty where it leaves the rows as they are. */
  rows(step: S, place: StepPlace): RecipeRows[];
}

/** Rows a step has worked on, with what its outcome depends on as a key. */
export const done = (rows: RowStep, ...of: unknown[]): RecipeRows => ({
  rows,
  key: JSON.stringify(of),
  light: false,
});
