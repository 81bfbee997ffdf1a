import { factText } from '../facts';
import type { Recipe } from '../prepare';

/** What an approved proof was made of; null where an early round did not say it. */
export interface ProofMadeOf {
  sizeKey: string;
  /** Area of the print, mm2; null where the size is not known any more. */
  area: number | null;
  paperId: number;
  route: string;
  profileSha256: string | null;
  masterId: number | null;
  recipe: Pick<Recipe, 'rule' | 'steps' | 'convert'> | null;
  /** The inks it was printed with. */
  inkSet: string | null;
  /** The profile that its paper and printer are printed with by now, where that is known. */
  profileNow?: string | null;
  /** The inks that its printer prints with by now, likewise. */
  inkSetNow?: string | null;
}

/** What a print is about to be made of; what is not known is left out, and not held against it. */
export type PrintMadeOf = Partial<ProofMadeOf> & Pick<ProofMadeOf, 'sizeKey'>;

/** What re-opens the question, in the order in which it is said. */
export const STALE_REASONS = [
  'size',
  'paper',
  'printer',
  'ink',
  'profile',
  'master',
  'recipe',
] as const;
export type StaleReason = (typeof STALE_REASONS)[number];

/** A reference holds for other sizes too, up to this linear factor: a rule of thumb, to be changed. */
export const SIZE_FACTOR = 1.5;

/** What of a recipe a proof was approved for: its steps and colours, not the form of the file. */
const seen = (recipe: NonNullable<ProofMadeOf['recipe']>): string =>
  factText([
    recipe.rule,
    // How many pixels a print is made of follows from its size.
    recipe.steps.filter((s) => s.on && s.kind !== 'resample'),
    recipe.convert,
  ]);

const differs = <T>(was: T | null | undefined, now: T | null | undefined): boolean =>
  was !== null && was !== undefined && now !== null && now !== undefined && was !== now;

/**
 * Why an approved proof is no reference for a print that is about to be made; empty while it holds.
 * What one of them does not say is not held against it. `factor`: linear, up to which another
 * size of the same picture is covered.
 */
export function staleReasons(
  approved: ProofMadeOf,
  print: PrintMadeOf,
  factor: number = SIZE_FACTOR,
): StaleReason[] {
  const otherSize =
    approved.sizeKey !== print.sizeKey &&
    !(
      approved.area !== null &&
      print.area !== undefined &&
      print.area !== null &&
      Math.sqrt(Math.max(approved.area / print.area, print.area / approved.area)) <= factor
    );
  const found: Record<StaleReason, boolean> = {
    size: otherSize,
    paper: differs(approved.paperId, print.paperId),
    printer: differs(approved.route, print.route),
    ink: differs(approved.inkSet, print.inkSet ?? approved.inkSetNow),
    profile: differs(approved.profileSha256, print.profileSha256 ?? approved.profileNow),
    master: differs(approved.masterId, print.masterId),
    recipe: differs(
      approved.recipe && seen(approved.recipe),
      print.recipe && seen(print.recipe),
    ),
  };
  return STALE_REASONS.filter((reason) => found[reason]);
}

/** An approved round and what speaks against it; null where none was ever approved. */
export interface ReferenceStanding<R> {
  round: R;
  reasons: StaleReason[];
}

/**
 * The reference that a print is to be held against: of all approved rounds the one with the least
 * against it, and of these the newest. `rounds`: oldest first. `print` may depend on the round: a file
 * in ink is held against a proof in ink.
 */
export function standingReference<R extends ProofMadeOf & { verdict: string | null }>(
  rounds: readonly R[],
  print: PrintMadeOf | ((round: R) => PrintMadeOf),
  factor: number = SIZE_FACTOR,
): ReferenceStanding<R> | null {
  let best: ReferenceStanding<R> | null = null;
  for (const round of rounds) {
    if (round.verdict !== 'approved') continue;
    const of = typeof print === 'function' ? print(round) : print;
    const reasons = staleReasons(round, of, factor);
    if (!best || reasons.length <= best.reasons.length) best = { round, reasons };
  }
  return best;
}
