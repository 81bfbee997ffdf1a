import { stat } from 'node:fs/promises';
import type { Readable } from 'node:stream';
import { addPrintOpinion, getPrintEntry } from '@/data';
import { readMaster } from '@/engine';
import { ANY_PICTURE, keeping, no, now, receiveFile, rowId } from '@/studio';
import type { IntakeAnswer } from '@/studio';

/** As large as a camera's picture is; it is kept as it came. */
const PHOTOGRAPH = { ...ANY_PICTURE, mostBytes: 200e6 };

/** Takes a photograph of a print, as a word of what was thought of it. */
export const receivePhotograph =
  (entryId: string) =>
  (givenName: string, source: Readable): Promise<IntakeAnswer> =>
    receiveFile(givenName, source, PHOTOGRAPH, async ({ open, name, received }) => {
      const entry = await getPrintEntry(open.db.read, rowId(entryId));
      if (!entry) return no(`${name}: its entry is not there. Open the log book anew.`);
      const { facts } = await readMaster(received.path, (await stat(received.path)).size);
      if (facts.format === 'tiff')
        return no(
          `${name}: a TIFF is not shown here. Bring a JPEG or a PNG of the photograph.`,
        );
      await keeping(open, async ({ keep }) => {
        await keep(received);
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
      });
      return { ok: true, name };
    });
