import type { WorkingDoor } from '../colour';
import { OWN_NUMBERS, chain, grown } from '../image';
import type { Box, RowStep, Shape, TakeRow } from '../image';
import type { PrintPlan } from './printPlan';
import { recipeRows, stepRows } from './recipeRows';
import type { Recipe, RecipeSteps } from './recipe';

/** Pixels around a patch that any step of any recipe may look at: three times the largest radius, and grain. */
const AROUND = 32;
/** Room around what is kept, so that a number that moves a little needs no more of it. */
const ROOM = 8;
/** Steps on one side of the resampling that look around: grain, sharpening, sharpening. */
const STEPS = 3;

/** Part of a picture: interleaved samples, 0..65535, row by row. */
export interface PicturePart {
  box: Box;
  samples: Uint16Array | Float32Array;
}

type Planned = Pick<PrintPlan, 'image' | 'source'>;

/** The part of the picture that any recipe with this resampling needs for a patch of the print. */
export function patchSource(
  recipe: Pick<Recipe, 'steps'>,
  shape: Shape,
  plan: Planned,
  patch: Box,
): Box {
  const resampling = stepRows(
    { steps: recipe.steps.filter((s) => s.kind === 'resample') },
    shape,
    plan,
    OWN_NUMBERS,
  );
  const around = grown(patch, STEPS * AROUND, plan.image);
  const under = resampling.reduceRight((box, { rows }) => rows.under(box), around);
  return grown(under, STEPS * AROUND, shape);
}

/** Samples of each of its pixels. */
const channelsOf = ({ box, samples }: PicturePart): number =>
  samples.length / ((box.right - box.left) * (box.bottom - box.top));

/** Runs steps over a part of a picture that holds all that they look at for `box`. */
function run(steps: readonly RowStep[], from: PicturePart, box: Box, emit: TakeRow) {
  const channels = channelsOf(from);
  const { fed, take } = chain(steps, box, emit);
  const stride = (from.box.right - from.box.left) * channels;
  const across = (fed.right - fed.left) * channels;
  const row = new Float32Array(across);
  for (let y = fed.top; y < fed.bottom; y += 1) {
    const start = (y - from.box.top) * stride + (fed.left - from.box.left) * channels;
    row.set(from.samples.subarray(start, start + across));
    take(row);
  }
}

const holds = (outer: Box, inner: Box) =>
  outer.left <= inner.left &&
  outer.top <= inner.top &&
  outer.right >= inner.right &&
  outer.bottom >= inner.bottom;

/** The rows of a recipe, and for each what it and all before it are. */
interface PlannedRows {
  rows: RowStep[];
  keys: string[];
}

/** What came out of the first rows of a recipe. */
interface Kept {
  key: string;
  part: PicturePart;
}

/** Parts that are kept, and recipes that are remembered: those on both sides of a line, and one more. */
const KEPT = 3;

/**
 * Makes a patch of a print by one recipe after another, exactly as the print file would have
 * it, in the picture's own colours. Where two recipes part, what they share is kept, so that a
 * number that moves makes its own step and what follows, nothing before.
 */
export class PatchMaker {
  private kept: Kept[] = [];
  private earlier: string[][] = [];

  constructor(
    private readonly source: PicturePart,
    private readonly shape: Shape,
    private readonly plan: Planned,
    private readonly patch: Box,
    private readonly door: WorkingDoor | null,
  ) {}

  /** Hands on the patch, row by row; a row may be reused afterwards. */
  make(recipe: RecipeSteps, emit: TakeRow): void {
    const { rows, keys } = this.planned(recipe);
    const shared = this.shared(keys);
    if (shared > 0) this.keep(rows, keys, shared);
    const { part, done } = this.deepest(rows, keys, rows.length, this.patch);
    run(rows.slice(done), part, this.patch, emit);
    this.earlier = [keys, ...this.earlier.filter((e) => e.at(-1) !== keys.at(-1))];
    this.earlier.length = Math.min(this.earlier.length, KEPT);
  }

  /** Keeps what comes before a step, so that its number moves at once when it is first moved. */
  ready(recipe: RecipeSteps, step: number): void {
    const { rows, keys } = this.planned(recipe);
    const before = this.planned({ ...recipe, steps: recipe.steps.slice(0, step) }).rows
      .length;
    if (before > 0) this.keep(rows, keys, before);
  }

  private planned(recipe: RecipeSteps): PlannedRows {
    const made = recipeRows(recipe, this.shape, this.plan, this.door);
    const keys = made.map((_, i) =>
      made
        .slice(0, i + 1)
        .map((r) => r.key)
        .join(),
    );
    return { rows: made.map((r) => r.rows), keys };
  }

  /** How many of its first rows a recipe shares with another that was made; not with itself. */
  private shared(keys: readonly string[]): number {
    const counts = this.earlier
      .filter((e) => e.at(-1) !== keys.at(-1))
      .map((e) => keys.filter((key, i) => key === e[i]).length);
    return Math.max(0, ...counts.filter((n) => n < keys.length));
  }

  /** Keeps what comes out of the first `count` rows, unless it is kept. */
  private keep(rows: readonly RowStep[], keys: readonly string[], count: number): void {
    const last = rows[count - 1]!;
    const needed = rows.slice(count).reduceRight((b, r) => r.under(b), this.patch);
    const at = this.kept.findIndex(
      (k) => k.key === keys[count - 1] && holds(k.part.box, needed),
    );
    const box = grown(needed, ROOM, last.out);
    const found = this.kept[at] ?? {
      key: keys[count - 1]!,
      part: this.made(rows, keys, count, box),
    };
    this.kept = [found, ...this.kept.filter((_, i) => i !== at)].slice(0, KEPT);
  }

  private made(
    rows: readonly RowStep[],
    keys: readonly string[],
    count: number,
    box: Box,
  ): PicturePart {
    const wide = (box.right - box.left) * rows[count - 1]!.out.channels;
    const samples = new Float32Array(wide * (box.bottom - box.top));
    let at = 0;
    const emit: TakeRow = (row) => {
      samples.set(row, at);
      at += wide;
    };
    const { part, done } = this.deepest(rows, keys, count, box);
    run(rows.slice(done, count), part, box, emit);
    return { box, samples };
  }

  /** What is kept that spares most of the first `count` rows of a recipe, for a part of what they make. */
  private deepest(
    rows: readonly RowStep[],
    keys: readonly string[],
    count: number,
    box: Box,
  ): { part: PicturePart; done: number } {
    let needed = box;
    for (let done = count; done > 0; done -= 1) {
      const key = keys[done - 1];
      const found = this.kept.find((k) => k.key === key && holds(k.part.box, needed));
      if (found) return { part: found.part, done };
      needed = rows[done - 1]!.under(needed);
    }
    return { part: this.source, done: 0 };
  }
}
