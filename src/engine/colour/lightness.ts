import { RGB_SPACES, decoded, lightnessOf } from '@/core/colour';
import type { Lightness } from '@/core/prepare';
import { openPicture } from '../sharpSetup';

/** Lightness of every value of an sRGB encoded light. */
const LIGHTNESS = Float32Array.from({ length: 256 }, (_, v) =>
  lightnessOf(decoded(RGB_SPACES.srgb.curve, v / 255)),
);

/** Lightness of a preview (sRGB). */
export async function lightnessAt(path: string): Promise<Lightness> {
  const { data, info } = await openPicture(path)
    .toColourspace('b-w')
    .raw()
    .toBuffer({ resolveWithObject: true });
  const light = new Float32Array(info.width * info.height);
  for (let i = 0; i < light.length; i += 1) light[i] = LIGHTNESS[data[i * info.channels]!]!;
  return { width: info.width, height: info.height, data: light };
}
