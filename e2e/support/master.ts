import { join } from 'node:path';
import { RGB_SPACES, iccProfile } from '@/core/colour';
import type { SpaceId } from '@/core/colour';
import type { MasterColour } from '@/engine/colour/masterColour';
import { readMaster } from '@/engine/decode/readMaster';
import { createTiff } from '@/engine/tiff/tiffWriter';
import { decodeMaster } from '@/engine/decode/workingCopy';

/** A 16-bit RGB master of given samples, written as a TIFF. */
export async function writeSamples(
  path: string,
  { width, height, data }: { width: number; height: number; data: Uint16Array },
  space: SpaceId = 'prophoto-rgb',
): Promise<void> {
  const icc = iccProfile(RGB_SPACES[space]);
  const layout = { width, height, channels: 3, bits: 16, ppi: 300, icc } as const;
  const writer = await createTiff(path, layout);
  await writer.write(data);
  await writer.finish();
}

/** The same, decoded into its working copy. */
export async function workingCopyOf(
  folder: string,
  picture: { width: number; height: number; data: Uint16Array },
  space: SpaceId = 'prophoto-rgb',
): Promise<{ pixels: string; colour: MasterColour }> {
  const path = join(folder, 'master.tif');
  await writeSamples(path, picture, space);
  const { facts } = await readMaster(path, 1);
  const pixels = join(folder, 'pixels.v');
  const part = join(folder, 'part.v');
  await decodeMaster({ path, facts, part, target: pixels }, () => undefined);
  return { pixels, colour: { icc: iccProfile(RGB_SPACES[space]), assumedSpace: null } };
}

/** Samples by a rule of their place: x, y, and which colour. */
export function samplesBy(
  width: number,
  height: number,
  at: (x: number, y: number, c: number) => number,
) {
  const data = new Uint16Array(width * height * 3);
  for (let i = 0; i < data.length; i += 1) {
    const pixel = Math.floor(i / 3);
    data[i] = at(pixel % width, Math.floor(pixel / width), i % 3);
  }
  return { width, height, data };
}
