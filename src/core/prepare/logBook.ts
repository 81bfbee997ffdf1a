import { KERNELS } from '../image';
import { NO_ADJUSTMENT, ppiOf, resampling, stepIn, withStep } from './recipe';
import type { Recipe } from './recipe';

/** Aspects of a print that are judged apart, each on a scale of its own; 0 is right. */
export const ASPECTS = {
  /** Too soft to too hard. */
  sharpness: [-2, 2],
  /** None, fine, seen, coarse. */
  grain: [0, 3],
  /** None, faint, seen, strong. */
  halos: [0, 3],
  /** Too dark to too light. */
  tone: [-2, 2],
  /** Too dull to too loud. */
  colour: [-2, 2],
} as const satisfies Record<string, readonly [number, number]>;

export type Aspect = keyof typeof ASPECTS;
export const ASPECT_NAMES = Object.keys(ASPECTS) as Aspect[];
export type Opinion = Record<Aspect, number | null>;

/** What a print was made of, as far as the question goes. */
export interface PrintCase {
  /** Linear enlargement of the master's pixels. */
  factor: number;
  /** What the master came from: `film`, `flatbed`, `camera`, `digital`, or what the original is. */
  source: string | null;
  /** Measured detail fraction of the master; null when it cannot be told. */
  detail: number | null;
  paperId: number | null;
  base: string | null;
  surface: string | null;
}

/** A print that is remembered, with what was thought of it. */
export interface RememberedPrint extends PrintCase {
  id: number;
  recipe: Recipe;
  opinion: Opinion | null;
}

export interface NearPrint<P extends RememberedPrint> {
  print: P;
  /** 0: the same case. One doubling, another kind of source, another paper count 1 each. */
  distance: number;
  because: { factor: number; source: number; detail: number; paper: number };
}

function paperDistance(a: PrintCase, b: PrintCase): number {
  if (a.paperId === null && a.surface === null) return 0;
  if (a.paperId !== null && a.paperId === b.paperId) return 0;
  if (b.surface === null) return 1;
  const surface = a.surface === b.surface ? 0 : 0.6;
  return 0.2 + surface + (a.base === b.base ? 0 : 0.2);
}

/**
 * The remembered prints nearest to a case, nearest first: by how far the enlargements are
 * apart (in doublings), the kind of source, the detail fraction, and the paper. What is not
 * asked (null) does not count. Of those as near, the judged ones and the newer ones come first.
 */
export function nearestPrints<P extends RememberedPrint>(
  asked: PrintCase,
  prints: readonly P[],
  most: number,
): NearPrint<P>[] {
  return prints
    .map((print) => {
      const because = {
        factor: Math.abs(Math.log2(print.factor / asked.factor)),
        source: asked.source === null || asked.source === print.source ? 0 : 1,
        detail:
          asked.detail === null || print.detail === null
            ? 0
            : 2 * Math.abs(asked.detail - print.detail),
        paper: paperDistance(asked, print),
      };
      const distance = because.factor + because.source + because.detail + because.paper;
      return { print, distance, because };
    })
    .sort(
      (a, b) =>
        a.distance - b.distance ||
        Number(b.print.opinion !== null) - Number(a.print.opinion !== null) ||
        b.print.id - a.print.id,
    )
    .slice(0, most);
}

/** How far a print was from right: 0 for one that was right in everything that was judged. */
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

/** A recipe in one line, as the log book says it. */
export function recipeLine(recipe: Recipe): string {
  const capture = stepIn(recipe, 'capture');
  const output = stepIn(recipe, 'output');
  return [
    `${KERNELS[resampling(recipe).kernel].name} at ${ppiOf(recipe)} ppi`,
    ...(capture && capture.amount > 0
      ? [`capture ${capture.amount} % ${capture.radius} px`]
      : []),
    ...(capture && capture.noise > 0 ? [`noise ${capture.noise} %`] : []),
    output ? `sharpened ${output.amount} % ${output.radius} px` : 'not sharpened',
  ].join(', ');
}
