import { createHash } from 'node:crypto';
import type { SpaceId } from '@/core/colour';
import { RGB_SPACES, iccProfile } from '@/core/colour';
import { createTransform } from './colourEngine';
import type { ConvertOptions } from './transform';
import { spaceTarget } from './printTarget';
import type { PrintTarget } from './printTarget';
import { readMaster } from '../decode/readMaster';

/** How a master's numbers are to be understood: its own profile, or the space it was said to be in. */
export interface MasterColour {
  icc: Uint8Array | null;
  assumedSpace: SpaceId | null;
  /** Its numbers are 16-bit values of the working space, as a copy of ours holds them. */
  carried?: true;
}

/** A name of a master's colour: the same for the same profile and the same that was said. */
export const colourName = ({ icc, assumedSpace, carried }: MasterColour): string =>
  [icc && createHash('sha256').update(icc).digest('base64'), assumedSpace, carried].join(
    ' ',
  );

/** Turns rows of a master into RGB or CMYK of a target, 16 bit, or 8 bit for the screen. */
export interface RowConverter {
  toTarget(rows: Uint16Array, pixels: number): Uint16Array;
  toScreen(rows: Uint16Array, pixels: number, out: Uint8Array): void;
  close(): void;
}

/** The profile of a master's numbers, and how many samples of a pixel it describes. */
export function masterEnd(
  colour: MasterColour,
  channels: 1 | 3,
): { icc: Uint8Array; native: 1 | 3 } {
  if (colour.icc) return { icc: colour.icc, native: channels };
  return { icc: iccProfile(RGB_SPACES[colour.assumedSpace ?? 'srgb']), native: 3 };
}

/** Samples of a master as its profile describes them: grey without one three times over. */
export function asNative(
  samples: Uint16Array,
  channels: 1 | 3,
  native: 1 | 3,
): Uint16Array {
  if (native === channels) return samples;
  const rgb = new Uint16Array(samples.length * 3);
  for (let i = 0; i < samples.length; i += 1) rgb.fill(samples[i]!, i * 3, i * 3 + 3);
  return rgb;
}

/**
 * Joins a master's colour to a target space with Little CMS at 16 bit. An untagged master
 * about which nothing was said is read as sRGB (for the screen only: print files ask first).
 */
export async function rowConverter(
  colour: MasterColour,
  channels: 1 | 3,
  target: SpaceId | PrintTarget,
  options: ConvertOptions,
): Promise<RowConverter> {
  const into = typeof target === 'string' ? spaceTarget(target) : target;
  const { icc: source, native } = masterEnd(colour, channels);
  const transform = await createTransform(
    source,
    into.icc,
    { from: native, to: into.channels },
    options,
  );
  const samples = (rows: Uint16Array, pixels: number) =>
    asNative(rows.subarray(0, pixels * channels), channels, native);
  return {
    toTarget(rows, pixels) {
      const out = new Uint16Array(pixels * into.channels);
      transform.convert(samples(rows, pixels), out, pixels);
      return out;
    },
    toScreen: (rows, pixels, out) => transform.toEight(samples(rows, pixels), out, pixels),
    close: () => transform.close(),
  };
}

/** The colour of a stored original: its embedded profile, if it fits, else what was said of it. */
export async function masterColourOf(
  path: string,
  assumedSpace: SpaceId | null,
): Promise<MasterColour> {
  const { icc } = await readMaster(path, 0);
  return { icc, assumedSpace };
}
