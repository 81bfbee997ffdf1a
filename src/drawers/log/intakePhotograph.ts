import type { Readable } from 'node:stream';
import { addPrintOpinion, getPrintEntry } from '@/data';
import { now, receiveShown, rowId } from '@/studio';
import type { IntakeAnswer } from '@/studio';

/** Takes a photograph of a print, as a word of what was thought of it. */
export const receivePhotograph =
  (entry: string) =>
  (givenName: string, source: Readable): Promise<IntakeAnswer> => {
    const entryId = rowId(entry);
    return receiveShown(givenName, source, {
      refused: async (db, name) =>
        (await getPrintEntry(db, entryId))
          ? null
          : `${name}: its entry is not there. Open the log book anew.`,
      write: (tx, photograph) =>
        addPrintOpinion(tx, {
          entryId,
          sharpness: null,
          grain: null,
          halos: null,
          tone: null,
          colour: null,
          remarks: '',
          photograph,
          at: now(),
        }),
    });
  };
