import type { Recipe } from '../recipe';
import { INTENTS, NO_ADJUSTMENT, withStep } from '../recipe';
import type { SettingAxis } from './kinds';

/** Values along one axis of a settings sheet: so many steps of a size about what the recipe has, or words. */
export interface AxisPlan {
  axis: SettingAxis;
  /** Numbers: the size of a step, and how many to each side. */
  step: number;
  sides: number;
  /** Of the printer's media settings: the words. */
  words: string[];
}

/** One place along an axis. */
export interface AxisPoint {
  axis: SettingAxis;
  value: number | string;
}

const ADJUSTED = ['lightness', 'contrast', 'warmth', 'saturation'] as const;
type Adjusted = (typeof ADJUSTED)[number];
const isAdjusted = (axis: SettingAxis): axis is Adjusted =>
  (ADJUSTED as readonly string[]).includes(axis);

/** What a recipe has along an axis of numbers. */
function valueOf(recipe: Recipe, axis: SettingAxis): number {
  if (isAdjusted(axis)) {
    const step = recipe.steps.find((s) => s.kind === 'adjust');
    return step?.kind === 'adjust' && step.on ? step[axis] : 0;
  }
  const step = recipe.steps.find((s) => s.kind === 'output');
  return step?.kind === 'output' && step.on ? step.amount : 0;
}

/** The points of an axis, from less to more. */
export function axisPoints(recipe: Recipe, plan: AxisPlan): AxisPoint[] {
  const { axis, step, sides, words } = plan;
  if (axis === 'media') return words.map((value) => ({ axis, value }));
  if (axis === 'intent') return INTENTS.slice(0, 3).map((value) => ({ axis, value }));
  const middle = valueOf(recipe, axis);
  const [low, high] = axis === 'sharpening' ? [0, 500] : [-100, 100];
  const points: AxisPoint[] = [];
  for (let i = -sides; i <= sides; i += 1) {
    const value = Math.min(high, Math.max(low, Number((middle + i * step).toFixed(2))));
    if (points.every((p) => p.value !== value)) points.push({ axis, value });
  }
  return points;
}

/** A recipe with a point of an axis set. */
export function setPoint(recipe: Recipe, { axis, value }: AxisPoint): Recipe {
  if (axis === 'media') return recipe;
  if (axis === 'intent')
    return {
      ...recipe,
      convert: { ...recipe.convert, intent: value as (typeof INTENTS)[number] },
    };
  const kind = isAdjusted(axis) ? 'adjust' : 'output';
  const at = recipe.steps.findIndex((s) => s.kind === kind);
  const step = recipe.steps[at];
  if (step?.kind === 'adjust' && isAdjusted(axis)) {
    const bare = step.on ? step : { ...step, ...NO_ADJUSTMENT };
    return withStep(recipe, at, { ...bare, on: true, [axis]: Number(value) });
  }
  return step?.kind === 'output'
    ? withStep(recipe, at, { ...step, on: true, amount: Number(value) })
    : recipe;
}

/**
 * All cells of one or two axes, row by row: the first axis runs across. A printer takes one
 * media setting for a sheet: that axis makes sheets, not cells, and is left out here.
 */
export function settingGrid(
  recipe: Recipe,
  axes: readonly AxisPlan[],
): { columns: number; cells: { points: AxisPoint[]; recipe: Recipe }[] } {
  const [across = [null], down = [null]] = axes
    .filter((plan) => plan.axis !== 'media')
    .map((plan) => axisPoints(recipe, plan)) as [
    (AxisPoint | null)[]?,
    (AxisPoint | null)[]?,
  ];
  const cells = down.flatMap((d) =>
    across.map((a) => {
      const points = [a, d].filter((p) => p !== null);
      return { points, recipe: points.reduce(setPoint, recipe) };
    }),
  );
  return { columns: across.length, cells };
}
