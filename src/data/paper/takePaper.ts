import { eq } from 'drizzle-orm';
import { nominalSize } from '@/core/size';
import { ppiOf } from '@/core/prepare';
import type { Recipe } from '@/core/prepare';
import { takenBy } from '@/core/paper';
import { MM_PER_INCH } from '@/core/units';
import type { Extent, NotTaken } from '@/core/paper';
import { routesNow } from '../prepare/errands';
import type { Reading, Writing } from '../reading';
import { papers } from '../schema';
import { tell } from '../log/log';
import { atHand, lotsOf, takeFromLot } from './lots';

/** How large pixels are printed, mm. */
export const extentOf = (file: Extent, ppi: number): Extent => ({
  width: (file.width / ppi) * MM_PER_INCH,
  height: (file.height / ppi) * MM_PER_INCH,
});

/** The paper that a print lies on, mm: as large as its file, else as its size is called; null where neither is known. */
export function printExtent(
  file: (Extent & { recipe: Recipe }) | null | undefined,
  sizeKey: string | null,
): Extent | null {
  if (file) return extentOf(file, ppiOf(file.recipe));
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
