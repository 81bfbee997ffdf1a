import { RGB_SPACES, iccProfile } from '@/core/colour';
import { inkStats } from '@/core/ink';
import type { InkStats } from '@/core/ink';
import type { PrintTarget } from '../colour/printTarget';
import { createTransform } from '../colour/colourEngine';
import { openPicture } from '../sharpSetup';

/** A picture that is printed, and through which profiles; null: through none that is known. */
export interface InkWork {
  path: string;
  ways: (Pick<PrintTarget, 'icc' | 'channels'> | null)[];
}

/** Longest side that ink is told from: inks add up over places that lie side by side. */
const LOOK = 900;

interface Small {
  samples: Uint16Array;
  channels: 3 | 4;
  icc: Uint8Array;
}

/** The picture made small, 16 bits, in its own colours. */
async function madeSmall(path: string): Promise<Small> {
  const meta = await openPicture(path).metadata();
  const space = meta.space === 'cmyk' ? 'cmyk' : meta.depth === 'uchar' ? 'srgb' : 'rgb16';
  const { data, info } = await openPicture(path, 'error')
    .pipelineColourspace(space)
    .resize(LOOK, LOOK, { fit: 'inside', withoutEnlargement: true })
    .toColourspace(space)
    .removeAlpha()
    .keepIccProfile()
    .raw({ depth: meta.depth === 'uchar' ? 'uchar' : 'ushort' })
    .toBuffer({ resolveWithObject: true });
  const deep = meta.depth !== 'uchar';
  const found = deep
    ? new Uint16Array(data.buffer.slice(data.byteOffset, data.byteOffset + data.byteLength))
    : Uint16Array.from(data, (v) => v * 257);
  const icc = meta.icc
    ? new Uint8Array(meta.icc)
    : new Uint8Array(iccProfile(RGB_SPACES.srgb));
  if (info.channels !== 3 && info.channels !== 4)
    throw new Error('a picture to be printed has three or four colours');
  return { samples: found, channels: info.channels, icc };
}

const alike = (a: Uint8Array, b: Uint8Array) => Buffer.compare(a, b) === 0;

async function through(small: Small, way: InkWork['ways'][number]): Promise<InkStats> {
  const { samples, channels, icc } = small;
  // What is in inks already, or in the printer's own values, is taken as it is.
  if (channels === 4 || (way && alike(way.icc, icc))) return inkStats([samples], channels);
  const into = way ?? { icc: iccProfile(RGB_SPACES.srgb), channels: 3 as const };
  const transform = await createTransform(
    icc,
    into.icc,
    { from: 3, to: into.channels },
    { intent: 'relative', blackPoint: true, exact: false, keepWhite: true },
  );
  try {
    const pixels = samples.length / 3;
    const out = new Uint16Array(pixels * into.channels);
    transform.convert(samples, out, pixels);
    return inkStats([out], into.channels);
  } finally {
    transform.close();
  }
}

/**
 * What a picture takes of each ink, printed through each of some profiles: relative colorimetric
 * with black point compensation, as printers are driven with pictures that were made for them.
 * Memory: the picture made small. Throws where the file cannot be read.
 */
export async function inkOfPicture({ path, ways }: InkWork): Promise<InkStats[]> {
  const small = await madeSmall(path);
  const found: InkStats[] = [];
  for (const way of ways) found.push(await through(small, way));
  return found;
}
