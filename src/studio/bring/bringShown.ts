import { stat } from 'node:fs/promises';
import type { Readable } from 'node:stream';
import type { Reading, Writing } from '@/data';
import { readMaster } from '@/engine';
import { keeping } from '../keeping/keeping';
import { ANY_PICTURE, no, receiveFile } from '../wayIn/received';
import type { IntakeAnswer } from '../wayIn/received';

/** As large as a camera's picture is; it is kept as it came. */
const PHOTOGRAPH = { ...ANY_PICTURE, mostBytes: 200e6 };

/** Takes a photograph that pages show as it is: of a print, of a swatch. */
export const receiveShown = (
  givenName: string,
  source: Readable,
  to: {
    /** Why it cannot be taken in; null where it can. */
    refused: (db: Reading, name: string) => Promise<string | null>;
    write: (tx: Writing, sha256: string) => Promise<unknown>;
  },
): Promise<IntakeAnswer> =>
  receiveFile(givenName, source, PHOTOGRAPH, async ({ open, name, received }) => {
    const refused = await to.refused(open.db.read, name);
    if (refused !== null) return no(refused);
    const { facts } = await readMaster(received.path, (await stat(received.path)).size);
    if (facts.format === 'tiff')
      return no(
        `${name}: a TIFF is not shown here. Bring a JPEG or a PNG of the photograph.`,
      );
    await keeping(open, async ({ keep }) => {
      await keep(received);
      await open.db.write((tx) => to.write(tx, received.sha256));
    });
    return { ok: true, name };
  });
