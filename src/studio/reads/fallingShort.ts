import { lyingLabel, nominalSize } from '@/core/size';
import { NOTHING_OFFERED, offeredMark, offeredWithPixels, worksChangedSince } from '@/data';
import type { BenchSettings, OfferedMark, OfferedPixels, Reading } from '@/data';
import { JudgedWorks, judgeOf } from './judgedWorks';
import { judgeOffered } from './workMarks';

/** A size on offer that the master of now is too small for. */
export interface Short {
  workId: number;
  /** How the size is called, as the sheet lies. */
  size: string;
  ppi: number;
}

type Rules = Pick<BenchSettings, 'size'>;

function shortOf(offered: OfferedPixels, settings: Rules): Short[] {
  const { workId, sizeKey, pixels } = offered;
  const rung = judgeOffered(offered, { facts: pixels }, settings);
  if (rung?.judgement.advice !== 'withdraw') return [];
  const size = lyingLabel(nominalSize(sizeKey)!, rung.fit.sheet);
  return [{ workId, size, ppi: rung.judgement.figures.ppi }];
}

/** Judges what is on offer. */
export class FallingShort extends JudgedWorks<Short, Rules, OfferedMark> {
  constructor() {
    super({
      rules: (_, settings) => JSON.stringify(settings.size),
      nothing: NOTHING_OFFERED,
      mark: offeredMark,
      changedSince: worksChangedSince,
      judge: async (db, ids, settings) =>
        (await offeredWithPixels(db, ids)).flatMap((o) => shortOf(o, settings)),
    });
  }
}

/** The one judge of an open studio. */
export const fallingShort = (db: Reading): FallingShort =>
  judgeOf('fallingShort', db, () => new FallingShort());
