import sharp from 'sharp';
import { chance } from './dust';

/** Light of the board where it is brightest, linear. */
const LIGHT = 0.48;

const encoded = (light: number): number =>
  light <= 0.0031308 ? 12.92 * light : 1.055 * light ** (1 / 2.4) - 0.055;

/** A light of a copy stand: where it stands, in frame widths from the middle, and how strong it is. */
export interface Lamp {
  aside: number;
  before: number;
  strength: number;
}

/**
 * A photograph of a plain grey board under two lamps, by inverse square and cosine, with the
 * grain of a camera: an sRGB PNG.
 */
export async function boardShot(
  [width, height]: readonly [number, number],
  lamps: readonly Lamp[],
  seed: number,
): Promise<Buffer> {
  const random = chance(seed);
  const light = new Float64Array(width * height);
  let brightest = 0;
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1) {
      let sum = 0;
      for (const { aside, before, strength } of lamps) {
        const dx = (x - width / 2) / width - aside;
        const dy = (y - height / 2) / width;
        sum += (strength * before) / Math.hypot(dx, dy, before) ** 3;
      }
      light[y * width + x] = sum;
      brightest = Math.max(brightest, sum);
    }
  const data = new Uint8Array(width * height * 3);
  for (let i = 0; i < light.length; i += 1) {
    const v =
      encoded((LIGHT * light[i]!) / brightest) * 255 + (random() + random() - 1) * 3;
    data.fill(Math.round(Math.max(0, Math.min(255, v))), i * 3, i * 3 + 3);
  }
  return sharp(data, { raw: { width, height, channels: 3 } })
    .withIccProfile('srgb')
    .png()
    .toBuffer();
}
