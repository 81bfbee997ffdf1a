import { readFile } from 'node:fs/promises';
import type { Readable } from 'node:stream';
import { MOST_PROFILE_BYTES } from '@/core/colour';
import { addProfile } from '@/data';
import { keeping } from '../keeping/keeping';
import { now } from '../running/studio';
import { usableProfile } from '../reads/usableProfile';
import { no, receiveFile } from '../wayIn/received';
import type { IntakeAnswer } from '../wayIn/received';

/** Takes the ICC profile of a printer, a press or a screen into the library. */
export const receiveProfile = (
  givenName: string,
  source: Readable,
): Promise<IntakeAnswer> =>
  receiveFile(
    givenName,
    source,
    { mostBytes: MOST_PROFILE_BYTES },
    async ({ open, name, received }) => {
      const icc = new Uint8Array(await readFile(received.path));
      const usable = await usableProfile(icc, name);
      if (typeof usable === 'string') return no(usable);
      const { sha256 } = received;
      await keeping(open, async ({ keep }) => {
        await keep(received);
        await open.db.write((tx) =>
          addProfile(tx, {
            sha256,
            name: usable.target.name,
            deviceClass: String.fromCharCode(...icc.subarray(12, 16)),
            space: usable.target.channels === 4 ? 'CMYK' : 'RGB',
            bytes: icc.length,
            at: now(),
          }),
        );
      });
      return { ok: true, name };
    },
  );
