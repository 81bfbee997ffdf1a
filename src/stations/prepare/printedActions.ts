'use server';
import type { Answer } from '@/core/input';
import { meantExtent } from '@/core/paper';
import { getPaper, getPrintFile, getSheetFile, printExtent, takeForPrints } from '@/data';
import { act, refuse, sentFile } from '@/studio';
import { lotAmount } from '@/studio/words/lotWords';
import { printedForm } from './printedForm';

const WHY: Record<string, (paper: string) => string> = {
  noLot: (paper) => `No delivery of ${paper} is noted: note it at Papers, then this.`,
  tooLarge: (paper) => `No lot of ${paper} is as large as this print. Choose its paper.`,
  notEnough: (paper) =>
    `No lot of ${paper} has enough left for so many. Count it at Papers, or note fewer.`,
};

/**
 * Takes the paper of prints that were made here outside a round and without a number, from the lots
 * that prints take from. Answers what was taken, in words.
 */
export async function notePrintedHere(typed: unknown): Promise<Answer<string>> {
  return act(printedForm, typed, {}, async (v, { studio, write, at }) => {
    const db = studio.db.read;
    const file = await sentFile(db, v.workId, v.file);
    const print = file?.printFileId ? await getPrintFile(db, file.printFileId) : null;
    const sheet = file?.sheetId ? await getSheetFile(db, file.sheetId) : null;
    const extent = sheet ? meantExtent(sheet, sheet.ppi) : printExtent(print, null);
    if (!file || !extent) {
      const message = 'Printed: this file is not there any more. Choose another.';
      return refuse(message, { file: message });
    }
    return write(async (tx) => {
      const paper = await getPaper(tx, v.paperId);
      if (!paper) {
        const message = 'On: this paper is not in the drawer any more. Choose another.';
        return refuse(message, { paperId: message });
      }
      const reason = `${file.name}, ${v.as === 'test' ? 'a test' : 'spoiled'}`;
      const of = { paperId: paper.id, extent, prints: v.prints };
      const taken = await takeForPrints(tx, { ...of, kind: v.as, reason, at });
      if (typeof taken === 'string') {
        const message = WHY[taken]!(paper.name);
        return refuse(message, { paperId: message });
      }
      return taken
        .map((t) => `${lotAmount(t.lot.kind, t.amount)} of lot ${t.lot.name}`)
        .join(', ');
    });
  });
}
