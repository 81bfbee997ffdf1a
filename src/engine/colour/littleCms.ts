import {
  INTENT_ABSOLUTE_COLORIMETRIC,
  INTENT_PERCEPTUAL,
  INTENT_RELATIVE_COLORIMETRIC,
  INTENT_SATURATION,
  cmsFLAGS_BLACKPOINTCOMPENSATION,
  cmsFLAGS_NOCACHE,
  cmsFLAGS_NOOPTIMIZE,
  instantiate,
} from 'lcms-wasm';
import type { Lcms } from 'lcms-wasm';
import type { Intent } from '@/core/prepare';
import type { ConvertOptions } from './transform';

let engine: Promise<Lcms> | undefined;
/** Little CMS, started once in a thread. */
export const lcms = (): Promise<Lcms> =>
  (engine ??= instantiate({ print: () => undefined, printErr: () => undefined }));

/** A profile opened from its bytes, to be closed; 0 where it is none. */
export function openProfile(cms: Lcms, bytes: Uint8Array): number {
  const pointer = cms._malloc(bytes.length);
  cms.HEAPU8.set(bytes, pointer);
  const profile = cms._cmsOpenProfileFromMem(pointer, bytes.length);
  cms._free(pointer);
  return profile;
}

const INTENTS: Record<Intent, number> = {
  perceptual: INTENT_PERCEPTUAL,
  relative: INTENT_RELATIVE_COLORIMETRIC,
  saturation: INTENT_SATURATION,
  absolute: INTENT_ABSOLUTE_COLORIMETRIC,
};

/** One end of a conversion: a profile, or CIELAB over D50. */
export type End = Uint8Array | 'lab';

const openEnd = (cms: Lcms, end: End): number =>
  end === 'lab' ? cms._cmsCreateLab4Profile(0) : openProfile(cms, end);

/** A transform between two ends, by formats of samples; throws when they cannot be joined. */
export async function joinedByCms(
  source: End,
  target: End,
  [inputFormat, outputFormat]: readonly [number, number],
  { intent, blackPoint, exact }: ConvertOptions,
): Promise<{ cms: Lcms; transform: number }> {
  const cms = await lcms();
  const from = openEnd(cms, source);
  const to = openEnd(cms, target);
  const transform =
    from && to
      ? cms.cmsCreateTransform(
          from,
          inputFormat,
          to,
          outputFormat,
          INTENTS[intent],
          cmsFLAGS_NOCACHE |
            (exact ? cmsFLAGS_NOOPTIMIZE : 0) |
            (blackPoint ? cmsFLAGS_BLACKPOINTCOMPENSATION : 0),
        )
      : 0;
  if (from) cms.cmsCloseProfile(from);
  if (to) cms.cmsCloseProfile(to);
  if (!transform) throw new Error('the two colour profiles cannot be joined');
  return { cms, transform };
}

/**
 * Formats of samples in single precision, as lcms2.h puts them together. Grey and RGB 0..1,
 * inks 0..100, L*a*b* as it is.
 */
const FLOATS = {
  grey: 0x430000 | (1 << 3) | 4,
  rgb: 0x440000 | (3 << 3) | 4,
  cmyk: 0x460000 | (4 << 3) | 4,
  lab: 0x4a0000 | (3 << 3) | 4,
} as const;
export type FloatFormat = keyof typeof FLOATS;
const CHANNELS: Record<FloatFormat, number> = { grey: 1, rgb: 3, cmyk: 4, lab: 3 };
const FLOAT_CHUNK = 32768;

/** The format of a profile's own values, by its samples of a pixel. */
export const floatsOf = (channels: 1 | 3 | 4): FloatFormat =>
  (({ 1: 'grey', 3: 'rgb', 4: 'cmyk' }) as const)[channels];

/** A conversion in single precision; to be closed. */
export interface FloatTransform {
  convert(values: Float32Array): Float32Array<ArrayBuffer>;
  close(): void;
}

/** Values of one end to those of another in single precision, whatever lies beyond 0..1 included. */
export async function floatTransform(
  source: { end: End; as: FloatFormat },
  target: { end: End; as: FloatFormat },
  options: Omit<ConvertOptions, 'exact'>,
): Promise<FloatTransform> {
  const formats = [FLOATS[source.as], FLOATS[target.as]] as const;
  const exact = { ...options, exact: true };
  const { cms, transform } = await joinedByCms(source.end, target.end, formats, exact);
  const [ins, outs] = [CHANNELS[source.as], CHANNELS[target.as]];
  const input = cms._malloc(FLOAT_CHUNK * ins * 4);
  const output = cms._malloc(FLOAT_CHUNK * outs * 4);
  return {
    convert(values) {
      const pixels = values.length / ins;
      const out = new Float32Array(pixels * outs);
      for (let done = 0; done < pixels; done += FLOAT_CHUNK) {
        const n = Math.min(FLOAT_CHUNK, pixels - done);
        cms.HEAPF32.set(values.subarray(done * ins, (done + n) * ins), input / 4);
        cms._cmsDoTransform(transform, input, output, n);
        out.set(cms.HEAPF32.subarray(output / 4, output / 4 + n * outs), done * outs);
      }
      return out;
    },
    close() {
      cms.cmsDeleteTransform(transform);
      cms._free(input);
      cms._free(output);
    },
  };
}
