import {
  D50,
  labOf,
  lattice,
  lightnessAxis,
  mediaWhite,
  readGreyProfile,
  readMatrixProfile,
  xyzOfLab,
} from '@/core/colour';
import type { Curve, ExactColours, Lattice, Vector } from '@/core/colour';
import { coloursThrough } from '@/core/prepare';
import type { Intent, RecipeStep } from '@/core/prepare';
import { createTransform } from './colourEngine';
import { floatTransform, floatsOf } from './littleCms';
import { asNative, colourName, masterEnd, rowConverter } from './masterColour';
import type { MasterColour, RowConverter } from './masterColour';
import type { PrintTarget } from './printTarget';

/** How a picture is printed: through which profile, by which intent. */
export interface ProofWay {
  profile: PrintTarget;
  intent: Intent;
  blackPoint: boolean;
}

/** What of the paper a screen shows beside its colours. */
export interface ProofShown {
  /** The white of the paper, instead of the screen's own. */
  paperWhite: boolean;
  /** The black of the ink, instead of the screen's own. */
  blackInk: boolean;
  /** The screen's profile. */
  screen: Uint8Array;
}

const WHOLE = 65535;

const floats = (samples: Uint16Array, whole = 1): Float32Array =>
  Float32Array.from(samples, (v) => (v / WHOLE) * whole);

/** A way through several conversions; to be closed. */
export interface ColourWay {
  exact: ExactColours;
  outs: number;
  close(): void;
}

/** Into the device values of a print, 16 bit, as its file has them. */
const intoPrint = (
  colour: MasterColour,
  channels: 1 | 3,
  { profile, intent, blackPoint }: ProofWay,
): Promise<RowConverter> =>
  rowConverter(colour, channels, profile, {
    intent,
    blackPoint,
    exact: true,
    keepWhite: true,
  });

/**
 * The same after the steps of a recipe (of the rule of now) that change colours. An absolute intent
 * shows the white of the connection space.
 */
async function intoPrintBy(
  steps: readonly RecipeStep[],
  colour: MasterColour,
  channels: 1 | 3,
  way: ProofWay,
): Promise<Pick<RowConverter, 'toTarget' | 'close'>> {
  if (steps.length === 0) return intoPrint(colour, channels, way);
  const { icc, native } = masterEnd(colour, channels);
  const { profile, intent, blackPoint } = way;
  const ruler = await labFrom(icc, native);
  const inks = await floatTransform(
    { end: 'lab', as: 'lab' },
    { end: profile.icc, as: floatsOf(profile.channels) },
    { intent, blackPoint },
  );
  const whole = profile.channels === 4 ? 100 : 1;
  return {
    toTarget(samples, pixels) {
      const labs = ruler.lab(asNative(samples, channels, native));
      const moved = coloursThrough(
        steps,
        Array.from({ length: pixels }, (_, i): Vector => [
          labs[3 * i]!,
          labs[3 * i + 1]!,
          labs[3 * i + 2]!,
        ]),
      );
      return Uint16Array.from(inks.convert(Float32Array.from(moved.flat())), (v) =>
        Math.round(Math.min(1, Math.max(0, v / whole)) * WHOLE),
      );
    },
    close() {
      ruler.close();
      inks.close();
    },
  };
}

/** The samples of a pixel of a proofed picture: those of the master's profile. */
export const proofedChannels = (colour: MasterColour, channels: 1 | 3): 1 | 3 =>
  masterEnd(colour, channels).native;

/**
 * The proofed picture in the master's own space: printed, and back by relative colorimetric
 * with black point compensation. 16-bit values, as many as `proofedChannels` says.
 */
export async function proofedInMaster(
  colour: MasterColour,
  channels: 1 | 3,
  way: ProofWay,
): Promise<ColourWay> {
  const { icc, native } = masterEnd(colour, channels);
  const print = await intoPrint(colour, channels, way);
  const back = await createTransform(
    way.profile.icc,
    icc,
    { from: way.profile.channels, to: native },
    { intent: 'relative', blackPoint: true, exact: true },
  );
  return {
    outs: native,
    exact(samples, pixels) {
      const out = new Uint16Array(pixels * native);
      back.convert(print.toTarget(samples, pixels), out, pixels);
      return Float32Array.from(out);
    },
    close() {
      print.close();
      back.close();
    },
  };
}

/** L*a*b* of 16-bit values of a profile, relative colorimetric, nothing moved. */
export async function labFrom(icc: Uint8Array, channels: 1 | 3 | 4) {
  const to = await floatTransform(
    { end: icc, as: floatsOf(channels) },
    { end: 'lab', as: 'lab' },
    { intent: 'relative', blackPoint: false },
  );
  return {
    lab: (samples: Uint16Array) => to.convert(floats(samples, channels === 4 ? 100 : 1)),
    close: () => to.close(),
  };
}

/**
 * The colours of a print as a screen shows them, 16-bit RGB of the screen's profile. `steps`: of a
 * recipe, by which the colours are changed before they are printed.
 */
export async function proofedOnScreen(
  colour: MasterColour,
  channels: 1 | 3,
  way: ProofWay,
  shown: ProofShown,
  steps: readonly RecipeStep[] = [],
): Promise<ColourWay> {
  const { profile } = way;
  const print = await intoPrintBy(steps, colour, channels, way);
  const toLab = await floatTransform(
    { end: profile.icc, as: floatsOf(profile.channels) },
    { end: 'lab', as: 'lab' },
    { intent: 'relative', blackPoint: !shown.blackInk },
  );
  const toScreen = await floatTransform(
    { end: 'lab', as: 'lab' },
    { end: shown.screen, as: 'rgb' },
    { intent: 'relative', blackPoint: false },
  );
  const white = shown.paperWhite ? mediaWhite(profile.icc) : null;
  const tint = white && (white.map((v, i) => v / D50[i]!) as Vector);
  return {
    outs: 3,
    exact(samples, pixels) {
      const device = floats(
        print.toTarget(samples, pixels),
        profile.channels === 4 ? 100 : 1,
      );
      const lab = toLab.convert(device);
      if (tint) onPaper(lab, tint);
      const rgb = toScreen.convert(lab);
      for (let i = 0; i < rgb.length; i += 1)
        rgb[i] = Math.min(WHOLE, Math.max(0, rgb[i]! * WHOLE));
      return rgb;
    },
    close() {
      print.close();
      toLab.close();
      toScreen.close();
    },
  };
}

/** Colours relative to paper white as they are beside the white of the light, in place. */
function onPaper(lab: Float32Array, tint: Vector): void {
  for (let i = 0; i < lab.length; i += 3) {
    const xyz = xyzOfLab([lab[i]!, lab[i + 1]!, lab[i + 2]!]);
    lab.set(labOf(xyz.map((v, c) => v * tint[c]!) as Vector), i);
  }
}

/** The master itself as a screen shows it. */
export async function masterOnScreen(
  colour: MasterColour,
  channels: 1 | 3,
  screen: Uint8Array,
): Promise<ColourWay> {
  const into = { icc: screen, name: 'screen', channels: 3 } as const;
  const by = { intent: 'relative', blackPoint: true, exact: true } as const;
  const shown = await rowConverter(colour, channels, into, by);
  return {
    outs: 3,
    exact: (samples, pixels) => Float32Array.from(shown.toTarget(samples, pixels)),
    close: () => shown.close(),
  };
}

/** Places at which two curves are held against each other. */
const FELT = Array.from({ length: 257 }, (_, i) => i / 256);

/** Axes that were reckoned of late, by the profile that they are of: pictures share a few. */
const knownAxes = new Map<string, Float32Array[] | undefined>();
const MOST_AXES = 16;

/**
 * Axes even in lightness, for masters whose numbers are light by curves; none for those of tables.
 * The very same for the same profile.
 */
export function masterAxes(
  colour: MasterColour,
  channels: 1 | 3,
): Float32Array[] | undefined {
  const key = `${channels} ${colourName(colour)}`;
  if (!knownAxes.has(key)) {
    if (knownAxes.size >= MOST_AXES) knownAxes.clear();
    knownAxes.set(key, axesOf(colour, channels));
  }
  return knownAxes.get(key);
}

function axesOf(colour: MasterColour, channels: 1 | 3): Float32Array[] | undefined {
  const { icc, native } = masterEnd(colour, channels);
  if (native === 1) {
    const curve = readGreyProfile(icc);
    return curve ? [lightnessAxis(curve)] : undefined;
  }
  const profile = readMatrixProfile(icc);
  if (!profile) return undefined;
  const [red, green, blue] = profile.curves;
  const first = lightnessAxis(red);
  if (channels === 1) return [first];
  const alike = (curve: Curve) =>
    FELT.every((v) => curve(v) === red(v)) ? first : lightnessAxis(curve);
  return [first, alike(green), alike(blue)];
}

/** Levels of 65535 by which the grid may miss: a tenth of what is just visible, or thereabouts. */
const TOLERANCE = 100;

/** A way looked up over a grid that fills itself; see `lattice`. */
export const throughLattice = (
  colour: MasterColour,
  channels: 1 | 3,
  { exact, outs }: ColourWay,
): Lattice =>
  lattice({
    channels,
    outs,
    exact,
    tolerance: TOLERANCE,
    axes: masterAxes(colour, channels),
  });
