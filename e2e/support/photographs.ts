import sharp from 'sharp';
import { photographOf } from '../../demo/capture/photographed';
import type { Corner, Photographing, Rgb8 } from '../../demo/capture/photographed';
import { ORIGINALS } from '../../demo/originals';
import {
  RGB_SPACES,
  XYZ_TO_WORKING,
  apply,
  decoded,
  encodedLight,
  invert,
  labOf,
  lightnessOf,
  multiply,
  rgbToXyzD50,
  xyzOfLab,
} from '@/core/colour';
import type { Vector } from '@/core/colour';
import { planeOf } from '@/core/proof';
import type { Found, LightPlane, LinearPicture } from '@/core/proof';
import {
  back,
  fitPerspective,
  perspectivePoint,
} from '@/core/proof/photograph/perspective';

const TO_XYZ = rgbToXyzD50(RGB_SPACES.srgb);
const FROM_XYZ = invert(TO_XYZ);
const TO_WORKING = multiply(XYZ_TO_WORKING, TO_XYZ);
const LIGHT = Array.from({ length: 256 }, (_, v) =>
  decoded(RGB_SPACES.srgb.curve, v / 255),
);

/** One of the demo's originals, its longer side so many pixels. */
export function original(name: string, side: number): Rgb8 {
  const { paint, width, height } = ORIGINALS.find((o) => o.name === name)!;
  const by = side / Math.max(width, height);
  const canvas = paint(Math.round(width * by), Math.round(height * by));
  return {
    width: canvas.width,
    height: canvas.height,
    data: Uint8Array.from(canvas.pixels, (v) => v / 257),
  };
}

const rgbAt = (data: Uint8Array, i: number): Vector => [
  LIGHT[data[3 * i]!]!,
  LIGHT[data[3 * i + 1]!]!,
  LIGHT[data[3 * i + 2]!]!,
];

/** A picture as it is sought and as it is compared. */
export function seenAs({ width, height, data }: Rgb8): {
  plane: LightPlane;
  light: LinearPicture;
} {
  const plane = planeOf(width, height);
  const light = { width, height, data: new Float32Array(width * height * 3) };
  for (let i = 0; i < width * height; i += 1) {
    const linear = rgbAt(data, i);
    plane.data[i] = lightnessOf(apply(TO_XYZ, linear)[1]);
    light.data.set(apply(TO_WORKING, linear), 3 * i);
  }
  return { plane, light };
}

/** A picture as a print that is off in some of its colours, CIELAB. */
export function printedOff(picture: Rgb8, off: (lab: Vector) => Vector): Rgb8 {
  const data = new Uint8Array(picture.data.length);
  for (let i = 0; i < data.length / 3; i += 1) {
    const lab = labOf(apply(TO_XYZ, rgbAt(picture.data, i)));
    const by = off(lab);
    const printed = lab.map((v, c) => v + by[c as 0]) as Vector;
    apply(FROM_XYZ, xyzOfLab(printed)).forEach((v, c) => {
      const light = Math.min(1, Math.max(0, v));
      data[3 * i + c] = Math.round(255 * encodedLight(RGB_SPACES.srgb.curve, light));
    });
  }
  return { ...picture, data };
}

/** A small photograph of a print. */
export const taken = (picture: Rgb8, how: Partial<Photographing> = {}) =>
  photographOf([
    { picture, how: { width: 640, height: 512, seed: 3, share: 0.8, ...how } },
  ]);

/** A photograph as a file. */
export const asJpeg = ({ width, height, data }: Rgb8): Promise<Buffer> =>
  sharp(data, { raw: { width, height, channels: 3 } })
    .withIccProfile('srgb')
    .jpeg({ quality: 94 })
    .toBuffer();

/** How far off a picture is found, in the mean, pixels of a picture of 2000. */
export function meanError(
  found: Found,
  corners: readonly Corner[],
  size: { width: number; height: number },
) {
  const { width, height } = size;
  const home = back(found.way);
  const edges = [
    [0, 0],
    [width, 0],
    [width, height],
    [0, height],
  ] as const;
  const truth = fitPerspective(
    edges.map(([x, y], i) => ({ x, y, toX: corners[i]!.x, toY: corners[i]!.y })),
  )!;
  let sum = 0;
  for (let i = 0; i < 121; i += 1) {
    const [x, y] = [((i % 11) * width) / 10, (Math.floor(i / 11) * height) / 10];
    const there = perspectivePoint(truth, x, y);
    const again = perspectivePoint(home, there.x, there.y);
    sum += Math.hypot(again.x - x, again.y - y);
  }
  return (sum / 121) * (2000 / Math.max(width, height));
}
