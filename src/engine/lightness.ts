import type { Lightness } from '@/core/prepare';
import { openPicture } from './sharpSetup';

/** Lightness (CIE L*) of every value of an sRGB encoded light. */
const LIGHTNESS = Float32Array.from({ length: 256 }, (_, v) => {
  const e = v / 255;
  const y = e <= 0.04045 ? e / 12.92 : ((e + 0.055) / 1.055) ** 2.4;
  return y > 216 / 24389 ? 116 * Math.cbrt(y) - 16 : (24389 / 27) * y;
});

/** Lightness of a preview (sRGB). */
export async function lightnessOf(path: string): Promise<Lightness> {
  const { data, info } = await openPicture(path)
    .toColourspace('b-w')
    .raw()
    .toBuffer({ resolveWithObject: true });
  const light = new Float32Array(info.width * info.height);
  for (let i = 0; i < light.length; i += 1) light[i] = LIGHTNESS[data[i * info.channels]!]!;
  return { width: info.width, height: info.height, data: light };
}
