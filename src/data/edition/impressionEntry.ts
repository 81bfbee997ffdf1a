import { desc } from 'drizzle-orm';
import { impressionLabel } from '@/core/edition';
import type { Declaration, Series } from '@/core/edition';
import { referenceProof } from '@/core/proof';
import type { Writing } from '../reading';
import { ledger } from '../schema';
import { addPrintEntry } from '../log/printEntries';
import { printExtent, takePaper } from '../paper/takePaper';
import { printFilesOf } from '../prepare/printFiles';
import { proofsOf } from '../proof/proofs';

/**
 * The log book's entry of an impression that was just given its number: printed from the
 * newest file of its size, on the paper and by the route of the approved proof. Printed here,
 * it takes its paper.
 */
export async function addImpressionEntry(
  tx: Writing,
  { workId, declaration }: { workId: number; declaration: Declaration },
  given: { series: Series; number: number; sizeKey: string; at: string },
): Promise<void> {
  const { series, number, sizeKey, at } = given;
  const [last] = await tx
    .select({ seq: ledger.seq })
    .from(ledger)
    .orderBy(desc(ledger.seq))
    .limit(1);
  const [files, rounds] = await Promise.all([
    printFilesOf(tx, workId),
    proofsOf(tx, workId),
  ]);
  const file = files.find((f) => f.sizeKey === sizeKey);
  const reference = referenceProof(rounds, { sizeKey });
  const what = `impression ${impressionLabel(declaration, series, number)}`;
  const paperId = reference?.paperId ?? null;
  const route = reference?.route ?? '';
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
  const extent = printExtent(file, sizeKey);
  await takePaper(tx, { entryId, what, paperId, route, extent, workId, at });
}
