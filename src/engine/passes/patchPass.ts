import { tablePlaces } from '@/core/colour';
import type { ColourTable } from '@/core/colour';
import type { Box } from '@/core/image';
import type { Conversion } from '@/core/prepare';
import { createTransform } from '../colour/colourEngine';
import { rowConverter } from '../colour/masterColour';
import type { MasterColour } from '../colour/masterColour';
import { PixelSource } from '../decode/pixelSource';
import { spaceTarget } from '../colour/printTarget';
import type { PrintTarget } from '../colour/printTarget';

/** Samples of a part of a working copy, 16 bit, interleaved, row by row. */
export async function readPart({
  pixels,
  box,
}: {
  pixels: string;
  box: Box;
}): Promise<Uint16Array> {
  const source = await PixelSource.open(pixels);
  try {
    const { left, right, top, bottom } = box;
    if (left < 0 || top < 0 || right > source.width || bottom > source.height)
      throw new RangeError('the part lies outside the picture');
    const samples = (right - left) * (bottom - top) * source.channels;
    return source.part(top, bottom - top, box).slice(0, samples);
  } finally {
    await source.close();
  }
}

/** Places of a table along each axis: a cube, or a curve. */
const POINTS = { 1: 1024, 3: 33 };

export interface TableWork {
  colour: MasterColour;
  channels: 1 | 3;
  /** What the picture is converted to on its way; null: it is only shown. */
  by: { into: PrintTarget; convert: Pick<Conversion, 'intent' | 'blackPoint'> } | null;
}

/** How a screen shows a picture, as it is or as its print file would hold it. */
export async function colourTable({
  colour,
  channels,
  by,
}: TableWork): Promise<ColourTable> {
  const points = POINTS[channels];
  const places = tablePlaces(channels, points);
  const count = places.length / channels;
  const plain = { intent: 'relative', blackPoint: true, exact: true } as const;
  const first = await rowConverter(
    colour,
    channels,
    by?.into ?? 'srgb',
    by ? { ...by.convert, exact: true } : plain,
  );
  const made = first.toTarget(places, count);
  first.close();
  const deep = by ? new Uint16Array(count * 3) : made;
  if (by) {
    const ends = { from: by.into.channels, to: 3 } as const;
    const second = await createTransform(by.into.icc, spaceTarget('srgb').icc, ends, plain);
    second.convert(made, deep, count);
    second.close();
  }
  const values = new Float32Array(deep.length);
  for (let i = 0; i < deep.length; i += 1) values[i] = deep[i]! / 257;
  return { channels, points, values };
}
