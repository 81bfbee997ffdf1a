import { lastLine, printersSaid, referencedSince } from '@/data';
import type { BenchSettings, Reading } from '@/data';
import { JudgedWorks, judgeOf } from './judgedWorks';
import { lapsedReferences } from './referenceOf';
import type { LapsedReference } from './referenceOf';

type Rules = Pick<BenchSettings, 'proof'>;

/** Judges the references of what is on offer. */
export class LapsedReferences extends JudgedWorks<LapsedReference, Rules, number> {
  constructor() {
    super({
      rules: async (db, { proof }) => `${await printersSaid(db)} ${proof.sizeFactor}`,
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
