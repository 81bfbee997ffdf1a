import { colourDifference, differenceParts, hueOf, toneOf } from '../../colour';
import type { Vector } from '../../colour';
import { RECIPE_RULE, coloursThrough } from '../../prepare';
import type { Recipe, RecipeStep } from '../../prepare';
import { leastSquares } from './leastSquares';
import {
  closedSteps,
  numberOf,
  numbersMoved,
  openSteps,
  placesOf,
  withNumbers,
} from './numbers';
import type { ChangePart, NumberMoved, Place } from './numbers';

/** A colour of the original, and as it came on paper; both CIELAB, the print over its paper's white. */
export interface PrintedColour {
  name: string;
  master: Vector;
  printed: Vector;
  /** How much it counts; 0: it is only told about. */
  weight: number;
}

/** Colours over the white of the paper that a soft proof foretells. */
export type Foretell = (labs: readonly Vector[]) => Vector[];

/** What of a recipe is moved together, from the simplest on. */
const TRIED: readonly (readonly ChangePart[])[] = [
  ['adjust'],
  ['curve'],
  ['tones'],
  ['hues'],
  ['tones', 'hues'],
  ['adjust', 'curve', 'tones', 'hues'],
];

export interface ChangedColour {
  name: string;
  /** CIEDE2000 to a good print on this paper: as it came, and as it is expected after the change. */
  before: number;
  left: number;
  /** CIEDE2000 from the original to the nearest colour that this paper holds. */
  outOfReach: number;
}

/** The change to try. */
export interface ProposedChange {
  /** The steps of the next recipe. */
  steps: RecipeStep[];
  parts: readonly ChangePart[];
  moved: NumberMoved[];
  /** Mean CIEDE2000, by weight, to what a good print on this paper would be: as it came, and as expected. */
  before: number;
  left: number;
  /** The same to the original itself, with what is out of reach. */
  toMaster: { before: number; left: number };
  colours: ChangedColour[];
}

/** Distance, CIEDE2000, from which a colour is said to be out of reach. */
export const OUT_OF_REACH = 2;
/** A change is enough when it leaves this part of what was wrong. */
const ENOUGH_PART = 0.32;
/** Noise of an instrument, CIELAB; how many times that of a mean a shift must be to be told from it. */
const NOISE = 0.3;
const TOLD = 3;
/** Something more complicated is only taken when it leaves less than this part of what the simpler leaves. */
const WORTH = 0.85;
/** Part of what was wrong that may be left more for a change of fewer numbers. */
const SPARED = 0.03;
/** What a change as large as is usual costs, in squares of CIEDE2000. */
const WEIGHT = 0.15;

const RAMP = Array.from({ length: 101 }, (_, l): Vector => [l, 0, 0]);

/** Whether of two greys that are to be seen the darker one becomes the lighter; beyond white all are white. */
function turnsTones(steps: readonly RecipeStep[]): boolean {
  const tones = coloursThrough(steps, RAMP).map(([l]) => Math.min(100, l));
  return tones.some((l, i) => i > 0 && l < tones[i - 1]! - 0.01);
}

/** Numbers of which what does next to nothing is left as it was, the smallest first. */
function spared(
  numbers: readonly number[],
  from: readonly number[],
  places: readonly Place[],
  measure: (numbers: readonly number[]) => number,
  before: number,
): number[] {
  const now = [...numbers];
  const allowed = measure(now) + before * SPARED;
  const size = (k: number) => Math.abs(now[k]! - from[k]!) / places[k]!.scale;
  for (const k of [...now.keys()].sort((a, b) => size(a) - size(b))) {
    const kept = now[k]!;
    if (kept === from[k]) continue;
    now[k] = from[k]!;
    if (measure(now) > allowed) now[k] = kept;
  }
  return now;
}

/** How far the colours of a tone or a hue are off in the mean, in parts of its noise: of the one that is farthest off. */
function mostShifted(
  colours: readonly PrintedColour[],
  labs: readonly Vector[],
  wanted: readonly Vector[],
): number {
  const sums = new Map<string, number[]>();
  colours.forEach(({ master: [l, a, b], weight }, i) => {
    for (const group of [toneOf(l), hueOf(a, b) ?? 'neutral']) {
      const sum = sums.get(group) ?? [0, 0, 0, 0];
      for (let c = 0; c < 3; c += 1)
        sum[c]! += weight * (labs[i]![c as 0] - wanted[i]![c as 0]);
      sum[3]! += weight;
      sums.set(group, sum);
    }
  });
  return Math.max(
    0,
    ...[...sums.values()].map(([l, a, b, weight]) =>
      weight! > 0 ? Math.hypot(l!, a!, b!) / Math.sqrt(weight!) / NOISE : 0,
    ),
  );
}

/**
 * The change of a recipe that makes a print most like the original, by the numbers of its own steps:
 * lightness, contrast, warmth and saturation, or a tone curve of five points, or shifts by tone or by hue,
 * or several of them; the simplest that is enough. `foretell`: what a soft proof of this printing says
 * of colours; where the print was otherwise, it is taken to be so by as much the next time.
 * `reachable`: the original as a good print on this paper has it: nothing is asked of it beyond that.
 * `nearest`: the nearest colours that the paper holds at all.
 */
export function proposeChange(
  colours: readonly PrintedColour[],
  steps: readonly RecipeStep[],
  foretell: Foretell,
  reachable: Foretell,
  nearest: Foretell = reachable,
): ProposedChange {
  const opened = openSteps(steps);
  const master = colours.map((c) => c.master);
  const wanted = reachable(master);
  const held = nearest(master);
  const reach = colours.map((c, i) => colourDifference(c.master, held[i]!));
  const asForetold = foretell(coloursThrough(steps, master));
  const off = colours.map(
    ({ printed }, i) => printed.map((v, c) => v - asForetold[i]![c as 0]) as Vector,
  );
  const expected = (next: readonly RecipeStep[]) =>
    foretell(coloursThrough(next, master)).map(
      (lab, i) => lab.map((v, c) => v + off[i]![c as 0]) as Vector,
    );
  const total = colours.reduce((sum, c) => sum + c.weight, 0);
  const meanOf = (labs: readonly Vector[], to: readonly Vector[]) =>
    total === 0
      ? 0
      : colours.reduce(
          (sum, c, i) => sum + c.weight * colourDifference(to[i]!, labs[i]!),
          0,
        ) / total;
  const parts = new Float64Array(3);
  const residualsOf = (places: readonly Place[]) => (numbers: readonly number[]) =>
    expected(withNumbers(opened, places, numbers)).flatMap((lab, i) => {
      differenceParts(wanted[i]!, lab, parts);
      const by = Math.sqrt(colours[i]!.weight);
      return [parts[0]! * by, parts[1]! * by, parts[2]! * by];
    });
  const came = colours.map((c) => c.printed);
  const before = meanOf(came, wanted);
  const told = mostShifted(colours, came, wanted) >= TOLD;
  let best = {
    parts: [] as readonly ChangePart[],
    steps: [...steps],
    left: before,
  };
  for (const moving of TRIED) {
    if (!told || best.left <= before * ENOUGH_PART) break;
    const places = placesOf(moving);
    const from = places.map((p) => numberOf(opened, p));
    const found = leastSquares(residualsOf(places), from, places, { weight: WEIGHT, from });
    const numbers = found.map((v, k) => {
      const { fine, least, most } = places[k]!;
      return Math.min(most, Math.max(least, Math.round(v / fine) * fine)) + 0;
    });
    const measure = (list: readonly number[]) =>
      meanOf(expected(withNumbers(opened, places, list)), wanted);
    const next = closedSteps(
      withNumbers(opened, places, spared(numbers, from, places, measure, before)),
    );
    const labs = expected(next);
    const left = meanOf(labs, wanted);
    // A recipe that turns tones round is none, however near its patches come.
    if (turnsTones(next)) continue;
    if (left < best.left * WORTH) best = { parts: moving, steps: next, left };
  }
  const after = best.parts.length === 0 ? came : expected(best.steps);
  return {
    steps: best.steps,
    parts: best.parts,
    moved: best.parts.length === 0 ? [] : numbersMoved(steps, best.steps),
    before,
    left: meanOf(after, wanted),
    toMaster: { before: meanOf(came, master), left: meanOf(after, master) },
    colours: colours.map((c, i) => ({
      name: c.name,
      before: colourDifference(wanted[i]!, c.printed),
      left: colourDifference(wanted[i]!, after[i]!),
      outOfReach: reach[i]!,
    })),
  };
}

/** The recipe of the next round: that of this one with the steps of a change, by the rule of now. */
export const changedRecipe = (recipe: Recipe, steps: RecipeStep[]): Recipe => ({
  ...recipe,
  rule: RECIPE_RULE,
  steps,
});
