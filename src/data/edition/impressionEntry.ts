import { desc } from 'drizzle-orm';
import { impressionLabel } from '@/core/edition';
import type { Declaration, Series } from '@/core/edition';
import { referenceProof } from '@/core/proof';
import type { Writing } from '../reading';
import { Refused } from '../refused';
import { ledger } from '../schema';
import { addPieceFate } from '../cut/pieceFates';
import { waitingPiece } from '../cut/toPrint';
import { addPrintEntry } from '../log/printEntries';
import { ownRoute, printExtent, takePaper } from '../paper/takePaper';
import { printFilesOf } from '../prepare/printFiles';
import { proofsOf } from '../proof/proofs';

/**
 * The log book's entry of an impression that was just given its number: printed from the
 * newest file of its size, on the paper and by the route of the approved proof; printed here,
 * it takes its paper. One that was cut from a sheet before (`piece`) has its file, its paper
 * and its lot from there, and takes none. Throws Refused `noPiece`.
 */
export async function addImpressionEntry(
  tx: Writing,
  { workId, declaration }: { workId: number; declaration: Declaration },
  given: {
    series: Series;
    number: number;
    sizeKey: string;
    pieceId?: number | undefined;
    at: string;
  },
): Promise<void> {
  const { series, number, sizeKey, pieceId, at } = given;
  const [last] = await tx
    .select({ seq: ledger.seq })
    .from(ledger)
    .orderBy(desc(ledger.seq))
    .limit(1);
  const [files, rounds] = await Promise.all([
    printFilesOf(tx, workId),
    proofsOf(tx, workId),
  ]);
  const piece = pieceId === undefined ? undefined : await waitingPiece(tx, pieceId);
  if (pieceId !== undefined && (piece?.workId !== workId || piece.sizeKey !== sizeKey))
    throw new Refused('noPiece');
  const file = piece?.printFileId
    ? files.find((f) => f.id === piece.printFileId)
    : files.find((f) => f.sizeKey === sizeKey);
  const reference = referenceProof(rounds, { sizeKey });
  const what = `impression ${impressionLabel(declaration, series, number)}`;
  const paperId = piece?.paperId ?? reference?.paperId ?? null;
  const route = piece ? await ownRoute(tx) : (reference?.route ?? '');
  const entryId = await addPrintEntry(tx, {
    kind: 'impression',
    ref: last!.seq,
    what,
    workIds: [workId],
    masterId: file?.masterId ?? null,
    sizeKey,
    recipe: file?.recipe ?? null,
    factor: file?.factor ?? null,
    paperId,
    route,
    at,
  });
  if (piece) {
    const fate = { pieceId: piece.id, kind: 'numbered' as const, seq: last!.seq };
    await addPieceFate(tx, { ...fate, reason: what, at });
    return;
  }
  const extent = printExtent(file, sizeKey);
  await takePaper(tx, { entryId, what, paperId, route, extent, workId, at });
}
