import { getPaper } from '@/data';
import type { PaperRow, Reading, WaitingPiece } from '@/data';
import type { ReferenceOf } from './referenceOf';

/** The paper that prints of a size are on: of those that wait, else of the proof that holds; null: not known. */
export async function paperOfSize(
  db: Reading,
  waiting: readonly Pick<WaitingPiece, 'paperId'>[],
  reference: ReferenceOf | null,
): Promise<PaperRow | null> {
  const paperId = waiting[0]?.paperId ?? reference?.standing?.round.paperId ?? null;
  return paperId === null ? null : ((await getPaper(db, paperId)) ?? null);
}
