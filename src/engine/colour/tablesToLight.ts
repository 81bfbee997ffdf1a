import { CARRIER, iccProfile } from '@/core/colour';
import type { Conversion } from '@/core/prepare';
import { floatTransform, floatsOf } from './littleCms';
import { WHITE_FADES } from './whiteKept';

const LIGHT = iccProfile({ ...CARRIER, curve: { g: 1 } });
const WHOLE = 65535;
/** Pixels that are converted at once. */
const PART = 65536;

/** Takes the touch of colour that tables leave at white off, in the measure that a pixel is near it. */
function keepWhite(
  samples: Uint16Array,
  channels: number,
  light: Float32Array,
  white: Float32Array,
): void {
  for (let p = 0; p < light.length / 3; p += 1) {
    let near = 1;
    for (let c = 0; c < channels; c += 1)
      near *= Math.max(0, 1 - (WHOLE - samples[p * channels + c]!) / WHITE_FADES);
    if (near > 0)
      for (let c = 0; c < 3; c += 1) light[p * 3 + c]! -= near * (white[c]! - WHOLE);
  }
}

/**
 * 16-bit values of a profile of tables as linear light of the working space, 0..65535: through
 * Little CMS in floats, since black point compensation leads beyond every space of colours. Grey
 * comes as one channel. Absolute intents are left to the way out: here white is white.
 */
export async function tablesToLight(
  icc: Uint8Array,
  channels: 1 | 3,
  { intent, blackPoint }: Pick<Conversion, 'intent' | 'blackPoint'>,
): Promise<{
  toLight: (samples: Uint16Array, pixels: number) => Float32Array<ArrayBuffer>;
  close: () => void;
}> {
  const by =
    intent === 'absolute'
      ? ({ intent: 'relative', blackPoint: false } as const)
      : { intent, blackPoint };
  const cms = await floatTransform(
    { end: icc, as: floatsOf(channels) },
    { end: LIGHT, as: 'rgb' },
    by,
  );
  const inFloats = (samples: Uint16Array) => {
    const light = cms.convert(Float32Array.from(samples, (v) => v / WHOLE));
    for (let i = 0; i < light.length; i += 1) light[i]! *= WHOLE;
    return light;
  };
  const white = inFloats(new Uint16Array(channels).fill(WHOLE));
  return {
    toLight(samples, pixels) {
      const out = new Float32Array(pixels * channels);
      // In parts, so that no more than what goes out is held.
      for (let from = 0; from < pixels; from += PART) {
        const part = samples.subarray(
          from * channels,
          Math.min(pixels, from + PART) * channels,
        );
        const light = inFloats(part);
        keepWhite(part, channels, light, white);
        out.set(
          channels === 3 ? light : light.filter((_, i) => i % 3 === 1),
          from * channels,
        );
      }
      return out;
    },
    close: () => cms.close(),
  };
}
