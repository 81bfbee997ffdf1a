import { rm } from 'node:fs/promises';
import { WORKING_LUMINANCE, lightnessOf } from '@/core/colour';
import type { Corners } from '@/core/capture/geometry';
import type { PixelRect } from '@/core/prepare';
import {
  findPicture,
  isElse,
  isFound,
  placedPicture,
  planeOf,
  regionsOf,
} from '@/core/proof';
import type {
  Found,
  GreyCard,
  LightPlane,
  LinearPicture,
  NotFound,
  Regions,
  Side,
} from '@/core/proof';
import type { MasterColour } from '../colour/masterColour';
import { PixelSource, pixelSize } from '../decode/pixelSource';
import type { Progress } from '../progress';
import { reducePicture } from './reducePass';

/** Longer sides at which a picture and a photograph of it are held against each other, pixels. */
const LOOKED_AT = { picture: 2000, photograph: 2600 };

/** A working copy and what its numbers mean. */
export interface ColouredPixels {
  pixels: string;
  colour: MasterColour;
}

export interface PhotographWork {
  /** The picture, and the part of it that was printed; null: all of it. */
  picture: ColouredPixels & { part: PixelRect | null };
  photograph: ColouredPixels;
  /** Corners of the proof, and of the original beside it, placed by hand; pixels of the photograph. */
  placed: { proof: Corners; original: Corners | null } | null;
  /** Where two of them lie side by side: on which side the proof does. */
  proofAt: Side;
  card: GreyCard | null;
  /** Where smaller copies are made for the while. */
  target: string;
}

/** Where a picture lies in a photograph, pixels of the photograph, and how sure that is. */
export interface SeenPicture {
  corners: Corners;
  /** Parts that were looked at and of them the same; correlation in the middle of them. */
  parts: number;
  same: number;
  alike: number;
  /** How far parts lie off, mean and most, pixels of a picture of 2000. */
  off: number;
  mostOff: number;
}

export interface ComparedPhotograph {
  width: number;
  height: number;
  proof: SeenPicture;
  original: SeenPicture | null;
  byHand: boolean;
  /** Whether what lies there is the picture, as far as can be told. */
  fits: boolean;
  /** Null: it does not fit, or too little of the picture is in the photograph. */
  regions: Regions | null;
}

interface Loaded {
  light: LinearPicture;
  plane: LightPlane;
  /** Pixels of the whole in one of this. */
  factor: number;
}

/** Reads a picture at most so large, as linear light of the working space and as lightness. */
async function load(
  { pixels, colour, part }: ColouredPixels & { part: PixelRect | null },
  most: number,
  target: string,
): Promise<Loaded> {
  const size = await pixelSize(pixels);
  const whole = part ?? { left: 0, top: 0, width: size.width, height: size.height };
  const factor = Math.max(1, Math.max(whole.width, whole.height) / most);
  const [width, height] = [whole.width, whole.height].map((v) =>
    Math.max(1, Math.round(v / factor)),
  ) as [number, number];
  const into = { colour, convert: { intent: 'relative', blackPoint: false } } as const;
  try {
    await reducePicture(
      { pixels, part: whole, width, height, target, into },
      () => undefined,
    );
    const source = await PixelSource.open(target);
    const { channels } = source;
    const light = { width, height, data: new Float32Array(width * height * 3) };
    const plane = planeOf(width, height);
    try {
      for (let y = 0; y < height; y += 1) {
        const row = source.part(y, 1, { left: 0, right: width });
        for (let x = 0; x < width; x += 1) {
          const i = y * width + x;
          let luminance = 0;
          for (let c = 0; c < 3; c += 1) {
            // Carried as roots.
            const root = row[channels === 1 ? x : 3 * x + c]! / 65535;
            light.data[3 * i + c] = root * root;
            luminance += WORKING_LUMINANCE[c]! * root * root;
          }
          plane.data[i] = lightnessOf(luminance);
        }
      }
    } finally {
      await source.close();
    }
    return { light, plane, factor };
  } finally {
    await rm(target, { force: true });
  }
}

const scaled = (corners: Corners, by: number): Corners =>
  corners.map(({ x, y }) => ({ x: x * by, y: y * by })) as Corners;

const seenOf = (
  { corners, agreement, off, mostOff }: Found,
  factor: number,
): SeenPicture => ({
  corners: scaled(corners, factor),
  parts: agreement.told,
  same: agreement.same,
  alike: agreement.alike,
  off,
  mostOff,
});

const middle = ({ corners }: Found): number => corners.reduce((t, p) => t + p.x, 0) / 4;

/** Which of two is the proof. */
function proofOf(one: Found, other: Found | null, at: Side): [Found, Found | null] {
  if (!other) return [one, null];
  const [left, right] = middle(one) <= middle(other) ? [one, other] : [other, one];
  return at === 'left' ? [left, right] : [right, left];
}

/**
 * Holds a photograph of a print, alone or beside its original, against the picture: found in it or placed
 * by hand, light evened out, part by part. Memory does not grow with either.
 */
export async function comparePhotograph(
  work: PhotographWork,
  progress: Progress,
): Promise<ComparedPhotograph | NotFound> {
  progress('reading the picture', 0);
  const picture = await load(work.picture, LOOKED_AT.picture, `${work.target}.picture`);
  progress('reading the photograph', 0.2);
  const { pixels, colour } = work.photograph;
  const photograph = await load(
    { pixels, colour, part: null },
    LOOKED_AT.photograph,
    `${work.target}.photograph`,
  );
  progress('looking for the picture', 0.4);
  const { placed } = work;
  const by = 1 / photograph.factor;
  let found: Found;
  let beside: Found | null;
  if (placed) {
    const from = (corners: Corners) =>
      placedPicture(picture.plane, photograph.plane, scaled(corners, by));
    found = from(placed.proof);
    beside = placed.original && from(placed.original);
  } else {
    const seen = findPicture(picture.plane, photograph.plane);
    if (!isFound(seen)) return seen;
    [found, beside] = proofOf(seen.found, seen.beside, work.proofAt);
  }
  progress('comparing', 0.8);
  const { card } = work;
  // Of what is not the picture nothing is told, wherever it was placed.
  const fits = [found, beside].every((f) => !f || !isElse(f.agreement));
  const regions = fits
    ? regionsOf(picture.light, photograph.light, found, {
        original: beside,
        card: card && { ...card, x: card.x * by, y: card.y * by },
      })
    : null;
  const size = await pixelSize(pixels);
  return {
    ...size,
    proof: seenOf(found, photograph.factor),
    original: beside && seenOf(beside, photograph.factor),
    byHand: placed !== null,
    fits,
    regions,
  };
}
