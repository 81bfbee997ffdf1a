import { lastLine, printersSaid, readSettings, referencedSince } from '@/data';
import type { Reading } from '@/data';
import { JudgedWorks, judgeOf } from './judgedWorks';
import { lapsedReferences } from './referenceOf';
import type { LapsedReference } from './referenceOf';

/** Judges the references of what is on offer. */
export class LapsedReferences extends JudgedWorks<LapsedReference, null, number> {
  constructor() {
    super({
      rules: async (db) =>
        `${await printersSaid(db)} ${(await readSettings(db)).proof.sizeFactor}`,
      nothing: 0,
      mark: lastLine,
      changedSince: referencedSince,
      judge: lapsedReferences,
    });
  }
}

/** The one judge of an open studio. */
export const lapsedNow = (db: Reading): LapsedReferences =>
  judgeOf('lapsedReferences', db, () => new LapsedReferences());
