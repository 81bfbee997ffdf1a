import { readFile } from 'node:fs/promises';
import type { Readable } from 'node:stream';
import { RGB_SPACES, iccProfile } from '@/core/colour';
import { addProfile } from '@/data';
import { createTransform, readProfile } from '@/engine';
import { keeping, no, now, receiveFile } from '@/studio';
import type { IntakeAnswer } from '@/studio';

/** ICC device classes that no picture can be converted to, and what they are. */
const NOT_TO_PRINT: Record<string, string> = {
  scnr: 'it describes a scanner or camera: it tells where colours come from, not where they go',
  link: 'it joins two devices and is no profile of one',
  abst: 'it describes a change of colours, not a printer',
  nmcl: 'it names single colours',
};

const MOST_BYTES = 32e6;

/** Takes the ICC profile of a printer or press, if a picture can be converted to it. */
export const receiveProfile = (
  givenName: string,
  source: Readable,
): Promise<IntakeAnswer> =>
  receiveFile(
    givenName,
    source,
    { mostBytes: MOST_BYTES },
    async ({ open, name, received }) => {
      const bytes = new Uint8Array(await readFile(received.path));
      const facts = await readProfile(bytes);
      if (!facts)
        return no(
          `${name}: this is no ICC profile, or it is damaged. Bring the printer’s .icc file.`,
        );
      const wrong = NOT_TO_PRINT[facts.deviceClass];
      if (wrong)
        return no(
          `${name}: ${wrong}. Ask the printer for the profile of the printer and paper.`,
        );
      const space = facts.space?.trim();
      if (space !== 'RGB' && space !== 'CMYK')
        return no(
          `${name}: it is for ${space ?? 'unknown'} colours. Print files are written in RGB or CMYK; ask for such a profile.`,
        );
      const joined = await createTransform(
        iccProfile(RGB_SPACES['prophoto-rgb']),
        bytes,
        { from: 3, to: space === 'CMYK' ? 4 : 3 },
        { intent: 'relative', blackPoint: true, exact: true },
      ).catch(() => null);
      if (!joined)
        return no(
          `${name}: nothing can be converted to it; its tables for printing are missing or damaged. Ask the printer for another copy.`,
        );
      joined.close();
      const { sha256 } = received;
      await keeping(open, async ({ keep }) => {
        await keep(received);
        await open.db.write((tx) =>
          addProfile(tx, {
            sha256,
            name: facts.description || name,
            deviceClass: facts.deviceClass,
            space,
            bytes: bytes.length,
            at: now(),
          }),
        );
      });
      return { ok: true, name };
    },
  );
