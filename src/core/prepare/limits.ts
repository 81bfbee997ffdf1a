import type { Recipe, RecipeStep } from './recipe';

/** Least and most of each number of a recipe. */
export const LIMITS = {
  amount: [0, 500],
  radius: [0.3, 10],
  threshold: [0, 50],
  noise: [0, 100],
  grain: [0, 30],
  lightness: [-100, 100],
  contrast: [-100, 100],
  warmth: [-100, 100],
  saturation: [-100, 100],
  shift: [-20, 20],
  ppi: [72, 720],
  quality: [1, 100],
} as const satisfies Record<string, readonly [number, number]>;

export type LimitedField = keyof typeof LIMITS;

/** A number of a recipe that cannot be worked with, by its step (null: of the file). */
export interface OutOfLimits {
  step: number | null;
  field: LimitedField;
  value: number;
  limits: readonly [number, number];
}

const fieldsOf = (step: RecipeStep): [LimitedField, number][] =>
  Object.entries(step).flatMap(([name, value]: [string, unknown]) =>
    Array.isArray(value)
      ? value.map((v): [LimitedField, number] => ['shift', v as number])
      : name in LIMITS
        ? [[name as LimitedField, value as number] satisfies [LimitedField, number]]
        : [],
  );

/** All numbers of a recipe that are out of their limits, or no numbers. */
export function outOfLimits(recipe: Recipe): OutOfLimits[] {
  const found: OutOfLimits[] = [];
  const look = (step: number | null, field: LimitedField, value: number) => {
    const limits = LIMITS[field];
    if (!(value >= limits[0] && value <= limits[1]))
      found.push({ step, field, value, limits });
  };
  recipe.steps.forEach((step, i) =>
    fieldsOf(step).forEach(([field, value]) => look(i, field, value)),
  );
  look(null, 'quality', recipe.file.quality);
  return found;
}
