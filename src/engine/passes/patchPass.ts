import { tablePlaces } from '@/core/colour';
import type { ColourTable } from '@/core/colour';
import type { Box } from '@/core/image';
import type { Conversion, PatchSamples } from '@/core/prepare';
import { createTransform } from '../colour/colourEngine';
import { rowConverter } from '../colour/masterColour';
import type { MasterColour } from '../colour/masterColour';
import { wayIn, wayOut } from '../colour/workingColour';
import { PixelSource } from '../decode/pixelSource';
import { spaceTarget } from '../colour/printTarget';
import type { PrintTarget } from '../colour/printTarget';

/**
 * Samples of a part of a working copy, 16 bit, interleaved, row by row; for recipes in the working
 * space (`into`: by which intent) with the door by which they come in.
 */
export async function readPart({
  pixels,
  box,
  into,
}: {
  pixels: string;
  box: Box;
  into: { colour: MasterColour; convert: Convert } | null;
}): Promise<PatchSamples> {
  const source = await PixelSource.open(pixels);
  try {
    const { left, right, top, bottom } = box;
    const { channels, width, height } = source;
    if (left < 0 || top < 0 || right > width || bottom > height)
      throw new RangeError('the part lies outside the picture');
    const count = (right - left) * (bottom - top);
    const samples = source.part(top, bottom - top, box).slice(0, count * channels);
    if (!into) return { samples, door: null };
    const { door, before, close } = await wayIn(into.colour, channels, into.convert);
    const made = before?.(samples, count) ?? samples;
    close();
    return { samples: made as PatchSamples['samples'], door };
  } finally {
    await source.close();
  }
}

type Convert = Pick<Conversion, 'intent' | 'blackPoint'>;
const PLAIN = { intent: 'relative', blackPoint: true } as const;

/** Places of a table along each axis: a cube, or a curve. */
const POINTS = { 1: 1024, 3: 33 };

export interface TableWork {
  colour: MasterColour;
  channels: 1 | 3;
  /** What the picture is converted to on its way; null: it is only shown. */
  by: { into: PrintTarget; convert: Convert } | null;
  /** Whether what is looked up is encoded values of the working space, or the picture's own. */
  working: boolean;
}

/** Encoded values or the picture's own, 0..65535, as the first target has them. */
async function firstOf(
  { colour, channels, by, working }: TableWork,
  places: Uint16Array,
  count: number,
): Promise<Uint16Array> {
  const convert = by?.convert ?? PLAIN;
  if (working) {
    const way = await wayOut(colour, by?.into ?? spaceTarget('srgb'), convert);
    const made = way.toTarget(Float32Array.from(places), channels, count);
    way.close();
    return made;
  }
  const target = by?.into ?? 'srgb';
  const first = await rowConverter(colour, channels, target, { ...convert, exact: true });
  const made = first.toTarget(places, count);
  first.close();
  return made;
}

/** How a screen shows a picture, as it is or as its print file would hold it. */
export async function colourTable(work: TableWork): Promise<ColourTable> {
  const { channels, by } = work;
  const points = POINTS[channels];
  const places = tablePlaces(channels, points);
  const count = places.length / channels;
  const made = await firstOf(work, places, count);
  const deep = by ? new Uint16Array(count * 3) : made;
  if (by) {
    const ends = { from: by.into.channels, to: 3 } as const;
    const shown = { ...PLAIN, exact: true };
    const second = await createTransform(by.into.icc, spaceTarget('srgb').icc, ends, shown);
    second.convert(made, deep, count);
    second.close();
  }
  const values = new Float32Array(deep.length);
  for (let i = 0; i < deep.length; i += 1) values[i] = deep[i]! / 257;
  return { channels, points, values };
}
