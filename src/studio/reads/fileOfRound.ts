import { getPrintFile, getSheetFile } from '@/data';
import type { Proof, Reading } from '@/data';
import { storePaths } from '@/engine';
import { isThere } from '../jobs/picture';
import type { Studio } from '../running/studio';

/** The name of the file that a round was printed from, where its bytes are gone from the store; else null. */
export async function fileGone(
  open: Pick<Studio, 'home'>,
  db: Reading,
  round: Pick<Proof, 'printFileId' | 'sheetId'>,
): Promise<string | null> {
  const { printFileId, sheetId } = round;
  const file = printFileId
    ? await getPrintFile(db, printFileId)
    : sheetId
      ? await getSheetFile(db, sheetId)
      : undefined;
  if (!file) return null;
  return (await isThere(storePaths(open.home).file(file.sha256))) ? null : file.name;
}
