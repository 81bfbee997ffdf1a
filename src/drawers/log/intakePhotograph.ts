import { stat } from 'node:fs/promises';
import type { Readable } from 'node:stream';
import { addPrintOpinion, getPrintEntry } from '@/data';
import { keep, readMaster } from '@/engine';
import { no, now, receiveFile, rowId } from '@/studio';
import type { IntakeAnswer } from '@/studio';

/** Takes a photograph of a print, as a word of what was thought of it. */
export const receivePhotograph =
  (entryId: string) =>
  (givenName: string, source: Readable): Promise<IntakeAnswer> =>
    receiveFile(givenName, source, async ({ open, name, received }) => {
      const entry = await getPrintEntry(open.db.read, rowId(entryId));
      if (!entry) return no(`${name}: its entry is not there. Open the log book anew.`);
      const { facts } = await readMaster(received.path, (await stat(received.path)).size);
      if (facts.format === 'tiff')
        return no(
          `${name}: a TIFF is not shown here. Bring a JPEG or a PNG of the photograph.`,
        );
      await keep(open.home, received);
      await open.db.write((tx) =>
        addPrintOpinion(tx, {
          entryId: entry.id,
          sharpness: null,
          grain: null,
          halos: null,
          tone: null,
          colour: null,
          remarks: '',
          photograph: received.sha256,
          at: now(),
        }),
      );
      return { ok: true, name };
    });
