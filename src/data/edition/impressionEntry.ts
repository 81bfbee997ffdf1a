import { desc } from 'drizzle-orm';
import { impressionLabel } from '@/core/edition';
import type { Declaration, Series } from '@/core/edition';
import { referenceProof } from '@/core/proof';
import type { Writing } from '../reading';
import { ledger } from '../schema';
import { addPrintEntry } from '../log/printEntries';
import { printFilesOf } from '../prepare/printFiles';
import { proofsOf } from '../proof/proofs';

/**
 * The log book's entry of an impression that was just given its number: printed from the
 * newest file of its size, on the paper and by the route of the approved proof.
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
  await addPrintEntry(tx, {
    kind: 'impression',
    ref: last!.seq,
    what: `impression ${impressionLabel(declaration, series, number)}`,
    workIds: [workId],
    masterId: file?.masterId ?? null,
    sizeKey,
    recipe: file?.recipe ?? null,
    factor: file?.factor ?? null,
    paperId: reference?.paperId ?? null,
    route: reference?.route ?? '',
    at,
  });
}
