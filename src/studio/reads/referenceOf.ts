import { standingReference } from '@/core/proof';
import type { PrintMadeOf, StaleReason } from '@/core/proof';
import { nominalSize } from '@/core/size';
import { currentMaster, printFilesOf, proofsOf } from '@/data';
import type { Reading } from '@/data';
import { referenceWords } from '../words/proofWords';

/** The reference that a print of a size is held against. */
export interface ReferenceOf {
  /** The approved round; null where none was ever approved. */
  round: { id: number; round: number; paper: string } | null;
  reasons: StaleReason[];
  /** Why it is not valid, in words; empty while it holds. */
  why: string;
}

/**
 * The reference for a print of a work that is about to be made at a size: with the master of now and,
 * where nothing else is said, by the recipe of the newest file of its size.
 */
export async function referenceOf(
  db: Reading,
  workId: number,
  print: PrintMadeOf,
): Promise<ReferenceOf> {
  const [rounds, files, master] = await Promise.all([
    proofsOf(db, workId),
    print.recipe ? [] : printFilesOf(db, workId),
    currentMaster(db, workId),
  ]);
  const nominal = nominalSize(print.sizeKey);
  const standing = standingReference(rounds, {
    area: nominal ? nominal.width * nominal.height : null,
    masterId: master?.id ?? null,
    recipe: files.find((f) => f.sizeKey === print.sizeKey)?.recipe ?? null,
    ...print,
  });
  const reasons = standing?.reasons ?? [];
  return {
    round: standing && {
      id: standing.round.id,
      round: standing.round.round,
      paper: standing.round.paper,
    },
    reasons,
    why: referenceWords(standing && { ...standing.round, reasons }),
  };
}
