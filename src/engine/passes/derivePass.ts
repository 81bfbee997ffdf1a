import { writeSync } from 'node:fs';
import { mkdir, open, rename } from 'node:fs/promises';
import { dirname } from 'node:path';
import { derivedSize, perspectiveTo, seenAt } from '@/core/capture/derivation';
import type { Derivation, Perspective } from '@/core/capture/derivation';
import { cubicWeights } from '@/core/image';
import { FlatFieldGain } from './flatFieldGain';
import { linearCurve } from '../colour/linearCurve';
import type { MasterColour } from '../colour/masterColour';
import { HEADER_BYTES, PixelSource, deepHeader } from '../decode/pixelSource';
import type { Progress } from '../progress';
import type { RowRange } from '../rowRange';

/** Side of the squares that are made at a time. */
const SQUARE = 256;
const CURVE_STEPS = 4096;

/** A working copy, what is derived from it, and where that goes. */
export interface DeriveWork {
  pixels: string;
  colour: MasterColour;
  derivation: Derivation;
  part: string;
  target: string;
}

/** Lays the derived working copy out, full of zeros, and answers how high it is. */
export async function layOutDerived({
  pixels,
  derivation,
  part,
}: DeriveWork): Promise<number> {
  const source = await PixelSource.open(pixels);
  const { width, height } = derivedSize(source, derivation);
  const { channels } = source;
  await source.close();
  await mkdir(dirname(part), { recursive: true });
  const file = await open(part, 'w');
  try {
    await file.write(deepHeader(width, height, channels));
    await file.truncate(HEADER_BYTES + width * height * channels * 2);
  } finally {
    await file.close();
  }
  return height;
}

/** Puts the filled copy in its place. */
export async function settleDerived({ part, target }: DeriveWork): Promise<void> {
  await mkdir(dirname(target), { recursive: true });
  const file = await open(part, 'r+');
  await file.sync().finally(() => file.close());
  await rename(part, target);
}

/** Fills rows of the derived copy: cubic interpolation, then the flat field in linear light. */
export async function deriveRows(
  { pixels, colour, derivation, part }: DeriveWork,
  range: RowRange,
  progress: Progress,
): Promise<void> {
  const source = await PixelSource.open(pixels);
  const { width, height } = derivedSize(source, derivation);
  const { corners, flatField } = derivation;
  const whole = [
    { x: 0, y: 0 },
    { x: source.width, y: 0 },
    { x: source.width, y: source.height },
    { x: 0, y: source.height },
  ] as const;
  const way = perspectiveTo(width, height, corners ?? [...whole]);
  const gain =
    flatField &&
    new FlatFieldGain(
      flatField,
      source.width,
      source.height,
      await linearCurve(colour, source.channels, CURVE_STEPS),
    );
  const file = await open(part, 'r+');
  const { channels } = source;
  const out = new Uint16Array(SQUARE * SQUARE * channels);
  try {
    for (let top = range.from; top < range.to; top += SQUARE) {
      const rows = Math.min(SQUARE, range.to - top);
      for (let left = 0; left < width; left += SQUARE) {
        const columns = Math.min(SQUARE, width - left);
        fillSquare(source, way, gain, { left, top, columns, rows }, out);
        const lines = Buffer.from(out.buffer);
        const bytes = columns * channels * 2;
        for (let y = 0; y < rows; y += 1) {
          const at = HEADER_BYTES + ((top + y) * width + left) * channels * 2;
          writeSync(file.fd, lines, y * bytes, bytes, at);
        }
      }
      progress(
        'straightening and cropping',
        (top + rows - range.from) / (range.to - range.from),
      );
    }
  } finally {
    await Promise.all([source.close(), file.close()]);
  }
}

interface Square {
  left: number;
  top: number;
  columns: number;
  rows: number;
}

function fillSquare(
  source: PixelSource,
  way: Perspective,
  gain: FlatFieldGain | null,
  { left, top, columns, rows }: Square,
  out: Uint16Array,
): void {
  const { channels } = source;
  const ends = [
    seenAt(way, left, top),
    seenAt(way, left + columns, top),
    seenAt(way, left, top + rows),
    seenAt(way, left + columns, top + rows),
  ];
  const clamp = (v: number, most: number) => Math.min(most, Math.max(0, v));
  const x0 = clamp(Math.floor(Math.min(...ends.map((p) => p.x))) - 3, source.width - 1);
  const x1 = clamp(Math.ceil(Math.max(...ends.map((p) => p.x))) + 3, source.width);
  const y0 = clamp(Math.floor(Math.min(...ends.map((p) => p.y))) - 3, source.height - 1);
  const y1 = clamp(Math.ceil(Math.max(...ends.map((p) => p.y))) + 3, source.height);
  const wide = x1 - x0;
  const samples = source.part(y0, y1 - y0, { left: x0, right: x1 });
  const across = new Float64Array(4);
  const down = new Float64Array(4);
  const columnAt = new Int32Array(4);
  for (let y = 0, o = 0; y < rows; y += 1)
    for (let x = 0; x < columns; x += 1) {
      const place = seenAt(way, left + x + 0.5, top + y + 0.5);
      const px = Math.floor(place.x - 0.5);
      const py = Math.floor(place.y - 0.5);
      cubicWeights(place.x - 0.5 - px, across);
      cubicWeights(place.y - 0.5 - py, down);
      for (let i = 0; i < 4; i += 1)
        columnAt[i] = clamp(px - 1 + i - x0, wide - 1) * channels;
      const g = gain ? gain.at(place.x, place.y) : 1;
      for (let c = 0; c < channels; c += 1, o += 1) {
        let v = 0;
        for (let j = 0; j < 4; j += 1) {
          const row = clamp(py - 1 + j - y0, y1 - y0 - 1) * wide * channels + c;
          v +=
            down[j]! *
            (across[0]! * samples[row + columnAt[0]!]! +
              across[1]! * samples[row + columnAt[1]!]! +
              across[2]! * samples[row + columnAt[2]!]! +
              across[3]! * samples[row + columnAt[3]!]!);
        }
        const even = gain ? gain.evened(v, g) : v;
        out[o] = even <= 0 ? 0 : even >= 65535 ? 65535 : even + 0.5;
      }
    }
}
