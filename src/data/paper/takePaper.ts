import { eq } from 'drizzle-orm';
import { nominalSize } from '@/core/size';
import { ppiOf } from '@/core/prepare';
import type { Recipe } from '@/core/prepare';
import { meantExtent, takenBy } from '@/core/paper';
import type { Extent, NotTaken } from '@/core/paper';
import { routesNow } from '../prepare/errands';
import type { Reading, Writing } from '../reading';
import { papers } from '../schema';
import { tell } from '../log/log';
import { atHand, lotsOf, takeFromLot } from './lots';
import type { Lot, NewLotUse } from './lots';

/** The paper that a print lies on, mm: as large as its file, else as its size is called; null where neither is known. */
export function printExtent(
  file: (Extent & { recipe: Recipe }) | null | undefined,
  sizeKey: string | null,
): Extent | null {
  if (file) return meantExtent(file, ppiOf(file.recipe));
  return (sizeKey === null ? null : nominalSize(sizeKey)) ?? null;
}

/** Whether a route prints with the studio's own printer and paper. */
export async function printsHere(db: Reading, route: string): Promise<boolean> {
  if (route === '') return true;
  const name = route.toLowerCase();
  const found = (await routesNow(db)).find((r) => r.name.toLowerCase() === name);
  return found?.kind === 'ownPrinter';
}

/** The route by which the studio prints itself; empty where none is named. */
export const ownRoute = async (db: Reading): Promise<string> =>
  (await routesNow(db)).find((r) => r.kind === 'ownPrinter')?.name ?? '';

/** A print as its paper is taken for it. */
export interface PrintOnPaper {
  entryId: number;
  what: string;
  paperId: number | null;
  route: string;
  extent: Extent | null;
  workId: number | null;
  at: string;
}

/** Why no paper is taken: it is printed elsewhere, or it is not known on what, or there is no such lot. */
export type NoPaper = NotTaken | 'elsewhere' | 'unknown';

/**
 * Takes the paper of a print that is made here from a lot, in the write that notes the print;
 * where a paper has lots and none has enough, the log says so. Answers why nothing is taken.
 */
export async function takePaper(tx: Writing, print: PrintOnPaper): Promise<NoPaper | null> {
  const { paperId, extent, route, entryId, what, at } = print;
  if (paperId === null || extent === null) return 'unknown';
  if (!(await printsHere(tx, route))) return 'elsewhere';
  const all = await lotsOf(tx, paperId, true);
  const taken = takenBy(extent, all.map(atHand));
  if (typeof taken !== 'string') {
    const { lotId, amount } = taken;
    await takeFromLot(tx, { lotId, amount, kind: 'print', reason: what, entryId, at });
    return null;
  }
  if (all.length === 0) return 'noLot';
  const paper = await tx.query.papers.findFirst({ where: eq(papers.id, paperId) });
  await tell(tx, {
    at,
    what: 'lot.notTaken',
    ...(print.workId === null ? {} : { workId: print.workId }),
    detail: { paper: paper?.name ?? '', print: what, why: taken },
  });
  return taken;
}

/** What prints took of one lot. */
export interface LotTaken {
  lot: Lot;
  amount: number;
}

/**
 * Takes the paper of prints that stand nowhere else, tests and spoiled ones, each from the lot that a
 * print is taken from, all of them or none. Answers what was taken of which lot, or why nothing is.
 */
export async function takeForPrints(
  tx: Writing,
  {
    paperId,
    extent,
    prints,
    ...use
  }: { paperId: number; extent: Extent; prints: number } & Pick<
    NewLotUse,
    'kind' | 'reason' | 'at'
  >,
): Promise<LotTaken[] | NotTaken> {
  const lots = await lotsOf(tx, paperId, true);
  const left = lots.map(atHand);
  const taken = new Map<number, number>();
  for (let i = 0; i < prints; i += 1) {
    const one = takenBy(extent, left);
    if (typeof one === 'string') return one;
    left.find((l) => l.id === one.lotId)!.left -= one.amount;
    taken.set(one.lotId, (taken.get(one.lotId) ?? 0) + one.amount);
  }
  for (const [lotId, amount] of taken) await takeFromLot(tx, { ...use, lotId, amount });
  return [...taken].map(([id, amount]) => ({
    lot: lots.find((l) => l.id === id)!,
    amount,
  }));
}
