import { blocksOf, liesOn, trimmerTakes, usableOf } from './blocks';
import type { Copy, Usable } from './blocks';
import type { Block } from './search';
import type { CutJob, Unplaced, UnplacedWhy } from './types';

/** A job as it is planned with. */
export interface ReadJob {
  job: CutJob;
  copies: Copy[];
  blocks: Block[];
  sheets: Usable[];
  rolls: Usable[];
  /** Blocks that lie on some stock, by themselves at least. */
  possible: number[];
  /** Those that lie on none, and why. */
  impossible: Unplaced[];
}

const ways = ({ width, height, mayTurn }: Block): [number, number][] =>
  mayTurn
    ? [
        [width, height],
        [height, width],
      ]
    : [[width, height]];

/** The smallest sheet that would hold a piece, with margins and trim, mm. */
export function smallestSheet(
  job: CutJob,
  piece: { width: number; height: number },
): { width: number; height: number } {
  const none = { left: 0, right: 0, top: 0, bottom: 0 };
  const { left, right, top, bottom } = job.school === 'printThenCut' ? job.margin : none;
  return {
    width: piece.width + 2 * job.trim + left + right,
    height: piece.height + 2 * job.trim + top + bottom,
  };
}

/** Why a block lies on no stock even by itself; null where it does. */
function whyNot(job: CutJob, block: Block, all: readonly Usable[]): UnplacedWhy | null {
  const lies = (u: Usable) => ways(block).some(([w, h]) => w <= u.width && h <= u.height);
  if (all.length === 0) return 'noStock';
  if (!all.some(lies)) return 'tooLarge';
  const cut = all.some((u) => trimmerTakes(job, u.stock) && liesOn(job, block, u));
  return cut ? null : 'longestCut';
}

/** Reads a job: pieces one by one, stock as far as it can be used, what cannot lie anywhere. */
export function readJob(job: CutJob): ReadJob {
  const { copies, blocks } = blocksOf(job);
  const there = job.stock.filter((s) => s.kind === 'roll' || s.count > 0);
  const all = there.map((s) => usableOf(job, s));
  const possible: number[] = [];
  const impossible: Unplaced[] = [];
  const known = new Map<string, UnplacedWhy | null>();
  blocks.forEach((block, i) => {
    const { piece, copy } = copies[i]!;
    if (!known.has(piece.id)) known.set(piece.id, whyNot(job, block, all));
    const why = known.get(piece.id)!;
    if (why === null) possible.push(i);
    else impossible.push({ piece: piece.id, copy, why });
  });
  const usable = all.filter((u) => trimmerTakes(job, u.stock));
  return {
    job,
    copies,
    blocks,
    possible,
    impossible,
    sheets: usable.filter((u) => u.stock.kind === 'sheet'),
    rolls: usable.flatMap((u) =>
      u.stock.kind === 'roll' ? Array.from({ length: u.stock.count ?? 1 }, () => u) : [],
    ),
  };
}
