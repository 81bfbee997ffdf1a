import { access, mkdir, open, rename, rm, stat } from 'node:fs/promises';
import { dirname } from 'node:path';
import type { MasterFacts } from '@/core/image';
import { FileRefusal } from '../fileRefusal';
import { HEADER_BYTES } from './pixelSource';
import type { Progress } from '../progress';
import { decoderWords } from './readMaster';
import { openPicture } from '../sharpSetup';
import { separatePlanes } from '../tiff/separatePlanes';
import { layOnWhite } from './flatten';
import { decodePlanes } from './joinPlanes';

const LOOK_EVERY_MS = 250;
/** What the system says when it, and not the picture, is at fault. */
const OF_THE_DISK = /no space|disk full|quota|read-only|permission|input\/output error/i;
/** Remarks of a decoder about what it read that mean that pixels are wrong. */
const OF_DAMAGE =
  /corrupt (?!jpeg data: \d+ extraneous)|premature|discarding|decoding error/i;

/** Tells how much of the copy is on disk; the decoder itself is silent. */
function watchGrowth(path: string, bytes: number, progress: Progress): () => void {
  const timer = setInterval(() => {
    stat(path).then(
      ({ size }) => progress('decoding', Math.min(1, size / bytes)),
      () => undefined,
    );
  }, LOOK_EVERY_MS);
  return () => clearInterval(timer);
}

/** A picture, and where its working copy goes; it is made as `part`, a name ending in `.v`. */
export interface DecodeWork {
  path: string;
  facts: MasterFacts;
  part: string;
  target: string;
}

type Decoding = Pick<DecodeWork, 'path' | 'facts' | 'part'>;

async function decode(
  { path, facts, part }: Decoding,
  failOn: 'error' | 'warning',
): Promise<void> {
  const deep = facts.bitsPerChannel === 16;
  const grey = facts.colourModel === 'grey';
  const space = grey ? (deep ? 'grey16' : 'b-w') : deep ? 'rgb16' : 'srgb';
  const planes = facts.format === 'tiff' ? await separatePlanes(path) : null;
  if (planes) return decodePlanes(path, planes, part);
  let picture = openPicture(path, failOn).autoOrient();
  const veiled = facts.channels === 2 || facts.channels === 4;
  // The library's white is that of 8 bits: at 16 it would leave a veil of 65280.
  if (veiled && !deep) picture = picture.flatten({ background: '#ffffff' });
  if (!veiled || !deep)
    return void (await picture.toColourspace(space).keepIccProfile().toFile(part));
  const decoded = part.replace(/\.v$/, '.alpha.v');
  try {
    await picture.toColourspace(space).keepIccProfile().toFile(decoded);
    const { width, height } = facts;
    await layOnWhite(decoded, part, { width, height, channels: grey ? 1 : 3 });
  } finally {
    await rm(decoded, { force: true });
  }
}

/** Decodes; remarks of the decoder that do not touch the pixels (an unknown tag) are passed over. */
async function decodeUndamaged(work: Decoding): Promise<void> {
  try {
    await decode(work, 'warning');
  } catch (error) {
    const words = error instanceof Error ? error.message : String(error);
    if (OF_THE_DISK.test(words) || OF_DAMAGE.test(words)) throw error;
    await decode(work, 'error');
  }
}

/**
 * Decodes a picture once, whole and upright, into the uncompressed working copy that every
 * later pass reads in bands. Values are untouched: no colour conversion, 8 or 16 bits as in
 * the file; transparency is laid on white. A file that breaks off, or of which a part is
 * damaged so that its decoder notices, is refused here.
 */
export async function decodeMaster(
  { path, facts, part, target }: DecodeWork,
  progress: Progress,
): Promise<void> {
  await mkdir(dirname(part), { recursive: true });
  await mkdir(dirname(target), { recursive: true });
  const samples = facts.width * facts.height * (facts.colourModel === 'grey' ? 1 : 3);
  const bytes = HEADER_BYTES + (samples * facts.bitsPerChannel) / 8;
  const stopWatching = watchGrowth(part, bytes, progress);
  try {
    await access(path);
    await decodeUndamaged({ path, facts, part });
    const file = await open(part, 'r+');
    await file.sync().finally(() => file.close());
    await rename(part, target);
  } catch (error) {
    await rm(part, { force: true });
    const words = decoderWords(error);
    if ((error as NodeJS.ErrnoException).code || OF_THE_DISK.test(words)) throw error;
    throw new FileRefusal({ code: 'broken', detail: words });
  } finally {
    stopWatching();
  }
}
