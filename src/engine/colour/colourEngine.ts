import { createHash } from 'node:crypto';
import { TYPE_CMYK_16, TYPE_GRAY_16, TYPE_RGB_16, cmsInfoDescription } from 'lcms-wasm';
import { CARRIER, iccProfile, matrixShaper, readMatrixProfile } from '@/core/colour';
import type { MatrixProfile, Shaper } from '@/core/colour';
import { keptCharacters } from '@/core/text';
import { joinedByCms, lcms, openProfile } from './littleCms';
import { eightBy } from './transform';
import type { Channels, ColourTransform, ConvertOptions } from './transform';
import { whiteKept } from './whiteKept';

export interface ProfileFacts {
  description: string;
  /** `RGB`, `GRAY`, `CMYK`, ... or null when unknown. */
  space: string | null;
  /** ICC.1:2010, 7.2.5: `mntr`, `scnr`, `prtr`, `spac`, `link`, `abst`, `nmcl`. */
  deviceClass: string;
}

/** Reads what an ICC profile says of itself; null when it is not a readable profile. */
export async function readProfile(bytes: Uint8Array): Promise<ProfileFacts | null> {
  const cms = await lcms();
  const profile = openProfile(cms, bytes);
  if (!profile) return null;
  const description = cms.cmsGetProfileInfoASCII(profile, cmsInfoDescription, 'en', 'US');
  const space = cms.cmsGetColorSpaceASCII(profile);
  cms.cmsCloseProfile(profile);
  return {
    description: keptCharacters(description.split('\0', 1)[0]!).slice(0, 200),
    space,
    deviceClass: String.fromCharCode(...bytes.subarray(12, 16)),
  };
}

/** Formats of samples by their number. */
const FORMATS = { 1: TYPE_GRAY_16, 3: TYPE_RGB_16, 4: TYPE_CMYK_16 };

/** Levels of 65535 by which the direct way may differ from Little CMS. */
const AGREES = 4;
const GRID = 13;

/** Whether a shaper gives what Little CMS gives, on a grid over the whole cube and near black. */
function agrees(shaper: Shaper, cms: ColourTransform): boolean {
  const level = (i: number, near: number) => Math.round((i / (GRID - 1)) ** near * 65535);
  const samples: number[] = [];
  for (const near of [1, 3])
    for (let r = 0; r < GRID; r += 1)
      for (let g = 0; g < GRID; g += 1)
        for (let b = 0; b < GRID; b += 1)
          samples.push(level(r, near), level(g, near), level(b, near));
  const input = Uint16Array.from(samples);
  const [one, other] = [new Uint16Array(input.length), new Uint16Array(input.length)];
  shaper.toSixteen(input, one, input.length / 3);
  cms.convert(input, other, input.length / 3);
  return one.every((v, i) => Math.abs(v - other[i]!) <= AGREES);
}

/** Joined pairs are kept: the same few profiles come again and again. */
const MOST_KEPT = 6;
const kept = new Map<string, Shaper | null>();

const keyOf = (
  source: Uint8Array,
  target: Uint8Array,
  { intent, blackPoint }: ConvertOptions,
) =>
  createHash('sha256')
    .update(source)
    .update(target)
    .update(`${intent} ${blackPoint}`)
    .digest('hex');

/** Two matrix profiles joined directly, thirty times as fast, if Little CMS agrees. */
async function directly(
  source: Uint8Array,
  target: Uint8Array,
  options: ConvertOptions,
): Promise<ColourTransform | null> {
  const key = keyOf(source, target, options);
  let shaper = kept.get(key);
  if (shaper === undefined) {
    shaper = await joined(source, target, options);
    const [oldest] = kept.keys();
    if (kept.size >= MOST_KEPT && oldest !== undefined) kept.delete(oldest);
    kept.set(key, shaper);
  }
  return (
    shaper && {
      convert: shaper.toSixteen,
      toEight: shaper.toEight,
      close: () => undefined,
    }
  );
}

async function joined(
  source: Uint8Array,
  target: Uint8Array,
  options: ConvertOptions,
): Promise<Shaper | null> {
  const [from, to] = [readMatrixProfile(source), readMatrixProfile(target)];
  const shaper = from && to && matrixShaper(from, to);
  if (!shaper) return null;
  const cms = await littleCms(
    source,
    target,
    { from: 3, to: 3 },
    { ...options, exact: true },
  );
  const fits = agrees(shaper, cms);
  cms.close();
  return fits ? shaper : null;
}

/** The profile of 16-bit values of the working space. */
export const carrier = iccProfile(CARRIER);

/**
 * A profile's matrix and curves, if reckoning with them directly, into the working space or out
 * of it, gives what Little CMS gives.
 */
export async function trustedMatrix(
  icc: Uint8Array,
  way: 'in' | 'out',
): Promise<MatrixProfile | null> {
  const options = { intent: 'relative', blackPoint: false, exact: true } as const;
  const [from, to] = way === 'in' ? [icc, carrier] : [carrier, icc];
  return (await directly(from, to, options)) && readMatrixProfile(icc);
}

/** Builds a transform between two profiles; throws when the pair cannot be joined. */
export async function createTransform(
  source: Uint8Array,
  target: Uint8Array,
  channels: Channels,
  options: ConvertOptions,
): Promise<ColourTransform> {
  const plain = channels.from === 3 && channels.to === 3 && options.intent !== 'absolute';
  const direct = plain ? await directly(source, target, options) : null;
  if (direct) return direct;
  const made = await littleCms(source, target, channels, options);
  const keeps = options.keepWhite && options.intent !== 'absolute' && channels.from !== 4;
  return keeps ? whiteKept(made, channels.from, channels.to) : made;
}

/** The same by Little CMS, whatever the profiles are made of. */
export async function littleCms(
  source: Uint8Array,
  target: Uint8Array,
  { from: channels, to: made }: Channels,
  options: ConvertOptions,
  chunk = 65536,
): Promise<ColourTransform> {
  const formats = [FORMATS[channels], FORMATS[made]] as const;
  const { cms, transform } = await joinedByCms(source, target, formats, options);
  const input = cms._malloc(chunk * channels * 2);
  const output = cms._malloc(chunk * made * 2);
  const convert = (source16: Uint16Array, target16: Uint16Array, pixels: number) => {
    for (let done = 0; done < pixels; done += chunk) {
      const n = Math.min(chunk, pixels - done);
      cms.HEAPU16.set(source16.subarray(done * channels, (done + n) * channels), input / 2);
      cms._cmsDoTransform(transform, input, output, n);
      target16.set(cms.HEAPU16.subarray(output / 2, output / 2 + n * made), done * made);
    }
  };
  return {
    convert,
    toEight: eightBy(convert, made),
    close() {
      cms.cmsDeleteTransform(transform);
      cms._free(input);
      cms._free(output);
    },
  };
}
