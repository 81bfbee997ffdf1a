import { NO_ADJUSTMENT, stepIn, withStep } from '../prepare';
import type { Recipe } from '../prepare';
import type { NearPrint, RememberedPrint } from './nearest';
import type { Aspect, Opinion } from './opinion';

/**
 * How far a print was from right: 0 for one that was right in everything that was judged.
 * @example offBy({ sharpness: 0, grain: 0, halos: 0, tone: 0, colour: 0 }) // 0
 */
export const offBy = (opinion: Opinion): number =>
  Math.abs(opinion.sharpness ?? 0) +
  Math.max(0, (opinion.grain ?? 0) - 1) +
  (opinion.halos ?? 0) +
  Math.abs(opinion.tone ?? 0) +
  Math.abs(opinion.colour ?? 0);

export interface ProposedRecipe {
  recipe: Recipe;
  /** The print that it comes from. */
  from: number;
  /** What of its opinion was answered, and how. */
  changes: {
    aspect: Aspect;
    field: 'amount' | 'radius' | 'noise' | 'lightness' | 'saturation';
    was: number;
    now: number;
  }[];
}

const round = (v: number, to: number) => Number((Math.round(v / to) * to).toFixed(2));
/** A print that is this much further away must have been this much nearer to right. */
const NEARNESS = 2;

/**
 * A recipe out of what worked: that of the judged print which was nearest to right, the
 * nearer ones first; and then changed by what was still found wrong with it (rules of thumb:
 * a fifth of the amount for each step of sharpness, a seventh of the radius for each of
 * halos, 4 of lightness, 5 of saturation). Null when none of them was judged.
 */
export function proposedRecipe<P extends RememberedPrint>(
  near: readonly NearPrint<P>[],
): ProposedRecipe | null {
  const judged = near.flatMap((n) =>
    n.print.opinion ? [{ ...n, off: offBy(n.print.opinion) }] : [],
  );
  const best = judged.sort(
    (a, b) => a.off + NEARNESS * a.distance - (b.off + NEARNESS * b.distance),
  )[0];
  if (!best?.print.opinion) return null;
  const { opinion } = best.print;
  const changes: ProposedRecipe['changes'] = [];
  let { recipe } = best.print;
  const output = stepIn(recipe, 'output');
  const at = output ? recipe.steps.indexOf(output) : -1;
  if (output) {
    let next = output;
    if (opinion.sharpness) {
      const amount = round(Math.max(0, output.amount * (1 - 0.2 * opinion.sharpness)), 5);
      changes.push({
        aspect: 'sharpness',
        field: 'amount',
        was: output.amount,
        now: amount,
      });
      next = { ...next, amount };
    }
    if (opinion.halos) {
      const radius = round(Math.max(0.3, output.radius * (1 - opinion.halos / 7)), 0.1);
      changes.push({ aspect: 'halos', field: 'radius', was: output.radius, now: radius });
      next = { ...next, radius };
    }
    recipe = withStep(recipe, at, next);
  }
  const capture = recipe.steps.findIndex((s) => s.kind === 'capture');
  const first = recipe.steps[capture];
  if (first?.kind === 'capture' && (opinion.grain ?? 0) > 1) {
    const was = first.on ? first.noise : 0;
    const now = Math.min(100, was + 20 * (opinion.grain! - 1));
    changes.push({ aspect: 'grain', field: 'noise', was, now });
    const amount = first.on ? first.amount : 0;
    recipe = withStep(recipe, capture, { ...first, on: true, amount, noise: now });
  }
  const place = recipe.steps.findIndex((s) => s.kind === 'adjust');
  const step = recipe.steps[place];
  if (step?.kind === 'adjust' && (opinion.tone || opinion.colour)) {
    const bare = step.on ? step : { ...step, ...NO_ADJUSTMENT };
    const next = { ...bare, on: true };
    for (const [aspect, field, by] of [
      ['tone', 'lightness', 4],
      ['colour', 'saturation', 5],
    ] as const) {
      const said = opinion[aspect];
      if (!said) continue;
      next[field] = Math.max(-100, Math.min(100, bare[field] - by * said));
      changes.push({ aspect, field, was: bare[field], now: next[field] });
    }
    recipe = withStep(recipe, place, next);
  }
  return { recipe, from: best.print.id, changes };
}
