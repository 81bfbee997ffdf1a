import { mkdir, open, rename, rm } from 'node:fs/promises';
import { dirname } from 'node:path';
import type { MasterFacts } from '@/core/image';
import { FileRefusal, decoderWords } from './readMaster';
import { openPicture } from './sharpSetup';

/**
 * Decodes a picture once, whole and upright, into the uncompressed working copy that every
 * later pass reads in bands. Values are untouched: no colour conversion, 8 or 16 bits as in
 * the file; transparency is laid on white. A file that breaks off is refused here.
 */
export async function writeWorkingCopy(
  path: string,
  facts: MasterFacts,
  target: string,
): Promise<void> {
  await mkdir(dirname(target), { recursive: true });
  const deep = facts.bitsPerChannel === 16;
  const grey = facts.colourModel === 'grey';
  const space = grey ? (deep ? 'grey16' : 'b-w') : deep ? 'rgb16' : 'srgb';
  const part = `${target}.part.v`;
  try {
    let picture = openPicture(path).autoOrient();
    if (facts.channels === 2 || facts.channels === 4)
      picture = picture.flatten({ background: '#ffffff' });
    await picture.toColourspace(space).keepIccProfile().toFile(part);
    const file = await open(part, 'r+');
    await file.sync().finally(() => file.close());
    await rename(part, target);
  } catch (error) {
    await rm(part, { force: true });
    throw new FileRefusal({ code: 'broken', detail: decoderWords(error) });
  }
}
