import { grown } from '../image';
import type { Box, RowStep, Shape } from '../image';
import type { PrintPlan } from './printPlan';
import { recipeRows } from './recipeRows';
import type { Recipe } from './recipe';

/** Pixels around a patch that any step of any recipe may look at: three times the largest radius, and grain. */
const AROUND = 32;
/** Room around a stage comes in such steps, so that a number that moves a little needs no other part. */
const ROOM = 8;
/** Steps on one side of the resampling that look around: grain, sharpening, sharpening. */
const STEPS = 3;

/** Part of a picture: interleaved samples, 0..65535, row by row. */
export interface PicturePart {
  box: Box;
  samples: Uint16Array | Float32Array;
}

type Planned = Pick<PrintPlan, 'image' | 'source'>;

interface Stage {
  step: RowStep;
  /** What is made at this stage: more than is needed, so that other numbers need no other part. */
  box: Box;
}

/** The stages of a recipe for a patch of the print, each with the part that it makes. */
function stagesOf(
  recipe: Pick<Recipe, 'steps'>,
  shape: Shape,
  plan: Planned,
  patch: Box,
): { stages: Stage[]; fed: Box } {
  const steps = recipeRows(recipe, shape, plan).map((s) => s.rows);
  const stages: Stage[] = [];
  let box = patch;
  for (let i = steps.length - 1; i >= 0; i -= 1) {
    const step = steps[i]!;
    stages.unshift({ step, box });
    const into = steps[i - 1]?.out ?? shape;
    const resized = into.width !== step.out.width || into.height !== step.out.height;
    const under = step.under(box);
    // How far a step that keeps the size looks around, in steps of the room; none for some.
    const looks = Math.max(
      box.left - under.left,
      box.top - under.top,
      under.right - box.right,
      under.bottom - box.bottom,
    );
    box = resized ? under : grown(box, Math.ceil(looks / ROOM) * ROOM, into);
  }
  return { stages, fed: box };
}

/** The part of the picture that any recipe with this resampling needs for a patch of the print. */
export function patchSource(
  recipe: Pick<Recipe, 'steps'>,
  shape: Shape,
  plan: Planned,
  patch: Box,
): Box {
  const resampled = { steps: recipe.steps.filter((s) => s.kind === 'resample') };
  const around = grown(patch, STEPS * AROUND, plan.image);
  return grown(stagesOf(resampled, shape, plan, around).fed, STEPS * AROUND, shape);
}

/** Makes a part of what comes out of a step, out of a part of what goes in. */
function made({ step, box }: Stage, from: PicturePart): PicturePart {
  const { channels } = step.out;
  const wide = (box.right - box.left) * channels;
  const samples = new Float32Array(wide * (box.bottom - box.top));
  let at = 0;
  const take = step.run(box, (row) => {
    samples.set(row, at);
    at += wide;
  });
  const under = step.under(box);
  const stride = (from.box.right - from.box.left) * channels;
  const across = (under.right - under.left) * channels;
  const row = new Float32Array(across);
  for (let y = under.top; y < under.bottom; y += 1) {
    const start = (y - from.box.top) * stride + (under.left - from.box.left) * channels;
    row.set(from.samples.subarray(start, start + across));
    take(row);
  }
  return { box, samples };
}

/** Parts that are kept for the next recipe. */
const KEPT = 10;

/**
 * Makes a patch of a print by a recipe, exactly as the print file would have it, in the
 * picture's own colours. What did not change since the last recipe is not made again.
 */
export class PatchMaker {
  private readonly kept = new Map<string, PicturePart>();

  constructor(
    private readonly source: PicturePart,
    private readonly shape: Shape,
    private readonly plan: Planned,
    private readonly patch: Box,
  ) {}

  make(recipe: Pick<Recipe, 'steps'>): Float32Array {
    const on = recipe.steps.filter((s) => s.on);
    const { stages } = stagesOf({ steps: on }, this.shape, this.plan, this.patch);
    let part = this.source;
    stages.forEach((stage, i) => {
      const key = JSON.stringify([this.keyOf(on, i), stage.box]);
      const found = this.kept.get(key);
      part = found ?? made(stage, part);
      this.kept.delete(key);
      this.kept.set(key, part);
      const [oldest] = this.kept.keys();
      if (this.kept.size > KEPT && oldest !== undefined) this.kept.delete(oldest);
    });
    return part.samples instanceof Float32Array
      ? part.samples
      : Float32Array.from(part.samples);
  }

  /** What the first stages of a recipe are: its rows, one by one. */
  private keyOf(steps: Recipe['steps'], stage: number): unknown[] {
    const rows = recipeRows({ steps }, this.shape, this.plan);
    const last = rows[stage]!;
    const same = rows.filter((r, i) => i <= stage && r.step === last.step).length;
    return [steps.slice(0, last.step + 1), same];
  }
}
