import type { Readable } from 'node:stream';
import { addPaperNote, getPaper, readSettings } from '@/data';
import { now, receiveShown, rowId, studio, todayOf } from '@/studio';
import type { IntakeAnswer } from '@/studio';

/** Takes a photograph of a swatch of a paper. */
export const receiveSwatch =
  (paper: string) =>
  async (givenName: string, source: Readable): Promise<IntakeAnswer> => {
    const paperId = rowId(paper);
    const day = todayOf(await readSettings((await studio()).db.read));
    return receiveShown(givenName, source, {
      refused: async (db, name) =>
        (await getPaper(db, paperId))
          ? null
          : `${name}: its paper is not in the drawer any more.`,
      write: (tx, photograph) =>
        addPaperNote(tx, {
          paperId,
          station: 'swatch',
          triedFor: '',
          printed: '',
          setting: '',
          words: '',
          photograph,
          day,
          at: now(),
        }),
    });
  };
