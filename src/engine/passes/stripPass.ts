import { writeFile } from 'node:fs/promises';
import { XYZ_TO_WORKING, apply, carriedOf, xyzOfLab } from '@/core/colour';
import type { Vector } from '@/core/colour';
import { chooseStrip, gatherColours, labAt, layOutStrip } from '@/core/proof';
import type { StripPatch } from '@/core/prepare';
import { asNative, masterEnd } from '../colour/masterColour';
import type { MasterColour } from '../colour/masterColour';
import { labFrom, masterAxes } from '../colour/proofChain';
import { deepHeader } from '../decode/pixelSource';
import { samplePicture } from './samplePass';

/** Pixels of a picture that its strip is made from. */
const LOOKED_AT = 400_000;

/** The control strip of a picture, from pixels spread evenly over it; the same every time. */
export async function stripOf({
  pixels,
  colour,
}: {
  pixels: string;
  colour: MasterColour;
}): Promise<StripPatch[]> {
  const { samples, channels } = await samplePicture(pixels, LOOKED_AT);
  const axes = masterAxes(colour, channels);
  const { colours, weights } = gatherColours(samples, channels, axes);
  const { icc, native } = masterEnd(colour, channels);
  const ruler = await labFrom(icc, native);
  try {
    const labs = ruler.lab(asNative(colours, channels, native));
    return chooseStrip(
      Array.from(weights, (_, i) => labAt(labs, i)),
      weights,
    );
  } finally {
    ruler.close();
  }
}

/** Writes the patches of a strip as a working copy, 16-bit values of the working space (`carried`). */
export async function writeStripPixels(
  patches: readonly Pick<StripPatch, 'lab'>[],
  ppi: number,
  target: string,
): Promise<void> {
  const { width, height, places } = layOutStrip(ppi);
  const deep = new Uint16Array(width * height * 3).fill(65535);
  patches.forEach(({ lab }, i) => {
    const { left, top, width: wide, height: high } = places[i]!;
    const light = apply(XYZ_TO_WORKING, xyzOfLab(lab)).map(carriedOf) as Vector;
    for (let y = top; y < top + high; y += 1)
      for (let x = left; x < left + wide; x += 1) deep.set(light, (y * width + x) * 3);
  });
  const bytes = Buffer.from(deep.buffer);
  await writeFile(target, Buffer.concat([deepHeader(width, height, 3), bytes]));
}
