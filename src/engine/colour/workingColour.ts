import {
  RGB_SPACES,
  OPEN_DOOR,
  carriedOf,
  carrierDoor,
  doorOf,
  greyDoor,
  iccProfile,
  lightOfEncoded,
  mediaWhite,
  readGreyProfile,
  withMediaWhite,
} from '@/core/colour';
import type { WorkingDoor } from '@/core/colour';
import { workingShaper } from '@/core/image';
import type { Conversion } from '@/core/prepare';
import { carrier, createTransform, littleCms, trustedMatrix } from './colourEngine';
import type { MasterColour } from './masterColour';
import type { PrintTarget } from './printTarget';
import { tablesToLight } from './tablesToLight';

type Convert = Pick<Conversion, 'intent' | 'blackPoint'>;

/** 16-bit values, or linear light of the working space already, 0..65535. */
export type Samples = Uint16Array | Float32Array;

/** The way of a picture's 16-bit values into the working space. */
export interface WayIn {
  door: WorkingDoor;
  /** What the values go through before the door: profiles that are no matrix. Null: nothing. */
  before: ((this: void, samples: Uint16Array, pixels: number) => Samples) | null;
  close: (this: void) => void;
}

const straight = (door: WorkingDoor): WayIn => ({
  door,
  before: null,
  close: () => undefined,
});

/** Levels of 65535 by which a curve may differ from Little CMS. */
const AGREES = 4;
const PLACES = 1025;

/** A grey profile's curve, if reckoning with it gives what Little CMS gives. */
async function trustedGrey(icc: Uint8Array): Promise<WorkingDoor | null> {
  const curve = readGreyProfile(icc);
  if (!curve) return null;
  const options = { intent: 'relative', blackPoint: false, exact: true } as const;
  const cms = await littleCms(icc, carrier, { from: 1, to: 3 }, options);
  const ramp = Uint16Array.from({ length: PLACES }, (_, i) => (i * 65535) / (PLACES - 1));
  const made = new Uint16Array(PLACES * 3);
  cms.convert(ramp, made, PLACES);
  cms.close();
  const fits = ramp.every(
    (v, i) => Math.abs(Math.sqrt(curve(v / 65535)) * 65535 - made[3 * i + 1]!) <= AGREES,
  );
  return fits ? greyDoor(curve) : null;
}

/**
 * The way in of a picture of 1 or 3 channels. Matrix profiles and grey curves are reckoned with
 * directly, nothing rounded; values in a profile of tables go through Little CMS first, by the
 * intent they will be printed by, and come as light.
 */
export async function wayIn(
  { icc, assumedSpace, carried }: MasterColour,
  channels: 1 | 3,
  convert: Convert,
): Promise<WayIn> {
  if (carried) return straight(carrierDoor());
  if (!icc || channels === 3) {
    const profile = icc ?? iccProfile(RGB_SPACES[assumedSpace ?? 'srgb']);
    const matrix = await trustedMatrix(profile, 'in');
    // A grey picture in a space of colours: its curve alone.
    if (matrix)
      return straight(channels === 3 ? doorOf(matrix) : greyDoor(matrix.curves[1]));
  } else {
    const door = await trustedGrey(icc);
    if (door) return straight(door);
  }
  const { toLight, close } = await tablesToLight(icc!, channels, convert);
  return { door: OPEN_DOOR, before: toLight, close };
}

/** The way of rows of the working space into 16-bit values of a target. */
export interface WayOut {
  /** Encoded values, of 1 channel (neutral) or 3. */
  toTarget(rows: Float32Array, channels: number, pixels: number): Uint16Array;
  close(): void;
}

/** Encoded values as the 16-bit values they are carried by, three channels. */
function carriedBy(rows: Float32Array, channels: number, pixels: number): Uint16Array {
  const out = new Uint16Array(pixels * 3);
  const level = (v: number) => carriedOf(lightOfEncoded(v));
  if (channels === 1)
    for (let i = 0; i < pixels; i += 1) out.fill(level(rows[i]!), 3 * i, 3 * i + 3);
  else for (let i = 0; i < out.length; i += 1) out[i] = level(rows[i]!);
  return out;
}

/**
 * The way out: directly into matrix profiles; else by Little CMS, where the picture's white
 * becomes bare paper, unless the intent is absolute. `colour`: of the picture, whose own white an
 * absolute intent shows.
 */
export async function wayOut(
  colour: MasterColour,
  into: PrintTarget,
  { intent, blackPoint }: Convert,
): Promise<WayOut> {
  const absolute = intent === 'absolute';
  const matrix =
    absolute || into.channels === 4 ? null : await trustedMatrix(into.icc, 'out');
  const direct = matrix && workingShaper(matrix);
  if (direct)
    return {
      toTarget(rows, channels, pixels) {
        const out = new Uint16Array(pixels * 3);
        direct(rows, channels, out, pixels);
        return out;
      },
      close: () => undefined,
    };
  const white = absolute && colour.icc ? mediaWhite(colour.icc) : null;
  const from = white ? withMediaWhite(carrier, white) : carrier;
  const ends = { from: 3, to: into.channels } as const;
  const options = { intent, blackPoint, exact: true, keepWhite: true };
  const made = await createTransform(from, into.icc, ends, options);
  return {
    toTarget(rows, channels, pixels) {
      const out = new Uint16Array(pixels * into.channels);
      made.convert(carriedBy(rows, channels, pixels), out, pixels);
      return out;
    },
    close: () => made.close(),
  };
}
