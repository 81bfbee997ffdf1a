import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { RGB_SPACES, labOf, readMatrixProfile, apply } from '@/core/colour';
import type { Vector } from '@/core/colour';
import { iccProfile } from '@/core/colour';
import type { Recipe } from '@/core/prepare';
import type { MasterColour } from '@/engine/colour/masterColour';
import type { PrintTarget } from '@/engine/colour/printTarget';
import { spaceTarget } from '@/engine/colour/printTarget';
import { HEADER_BYTES, deepHeader } from '@/engine/decode/pixelSource';
import { pictureRows } from '@/engine/passes/printFilePass';

/** A picture in numbers of its own. */
export interface Numbers {
  width: number;
  height: number;
  channels: 1 | 3;
  data: Uint16Array;
}

/** A working copy of given numbers. */
export function copyOf(
  folder: string,
  name: string,
  { width, height, channels, data }: Numbers,
): string {
  const path = join(folder, `${name}.v`);
  const bytes = Buffer.alloc(HEADER_BYTES + data.byteLength);
  deepHeader(width, height, channels).copy(bytes);
  Buffer.from(data.buffer, data.byteOffset, data.byteLength).copy(bytes, HEADER_BYTES);
  writeFileSync(path, bytes);
  return path;
}

/** What is printed of a picture by a recipe at so many pixels: 16-bit values of the target. */
export async function printed(
  { pixels, colour }: { pixels: string; colour: MasterColour },
  from: { width: number; height: number },
  to: { width: number; height: number },
  recipe: Recipe,
  into: PrintTarget = spaceTarget('prophoto-rgb'),
): Promise<Uint16Array> {
  const image = { left: 0, top: 0, ...to };
  const source = { left: 0, top: 0, ...from };
  const plan = { ...to, image, source, factor: to.width / from.width };
  const out = new Uint16Array(to.width * to.height * into.channels);
  const box = { left: 0, top: 0, right: to.width, bottom: to.height };
  await pictureRows({ pixels, colour, plan, recipe, into }, box, (deep, rows, top) => {
    const line = to.width * into.channels;
    out.set(deep.subarray(0, rows * line), top * line);
    return Promise.resolve();
  });
  return out;
}

const ROMM = readMatrixProfile(iccProfile(RGB_SPACES['prophoto-rgb']))!;

/** XYZ of a pixel of ROMM RGB. */
export const xyzAt = (romm: Uint16Array, pixel: number): Vector =>
  apply(
    ROMM.toXyz,
    [0, 1, 2].map((c) => ROMM.curves[c]!(romm[pixel * 3 + c]! / 65535)) as Vector,
  );

export const labAt = (romm: Uint16Array, pixel: number): Vector =>
  labOf(xyzAt(romm, pixel));
