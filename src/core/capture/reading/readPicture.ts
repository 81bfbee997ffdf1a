import { Spectrograph } from '../detail';
import { BlockReader } from './blockReader';
import type { ReadRows } from './blockReader';
import { blockRows, blocksOfRow } from './blocks';
import { joinParts, readingOf } from './masterReading';
import type { JoinedParts, MasterReading } from './masterReading';

/** A picture in memory: 16-bit samples, interleaved, row by row. */
export interface Picture {
  width: number;
  height: number;
  channels: 1 | 3;
  data: Uint16Array;
}

/** Reads rows of a picture in memory. */
export const rowsOf =
  ({ width, channels, data }: Picture): ReadRows =>
  (top, rows, box, out) => {
    const line = (box.right - box.left) * channels;
    for (let y = 0; y < rows; y += 1) {
      const from = ((top + y) * width + box.left) * channels;
      out.set(data.subarray(from, from + line), y * line);
    }
  };

/** Reads all blocks of a picture in memory; what the engine does with one on disk. */
export function readParts(picture: Picture): JoinedParts {
  const { width, height, channels } = picture;
  const read = rowsOf(picture);
  const reader = new BlockReader(width, height, channels, 0, height);
  for (let row = 0; row < blockRows(height); row += 1)
    for (const place of blocksOfRow(width, height, row)) reader.add(place, read);
  return joinParts([reader.part()], width, height);
}

function tileOf(picture: Picture, left: number, top: number, side: number): Uint16Array {
  const tile = new Uint16Array(side * side * picture.channels);
  rowsOf(picture)(top, side, { left, top, right: left + side, bottom: top + side }, tile);
  return tile;
}

/** The whole reading of a picture in memory. */
export function readPicture(picture: Picture): MasterReading {
  const joined = readParts(picture);
  const { tiles } = joined;
  if (!tiles) return readingOf(joined, []);
  const { side } = tiles;
  const spectrograph = new Spectrograph(side);
  const spectra = tiles.best.map(({ left, top }) =>
    spectrograph.of(tileLight(tileOf(picture, left, top, side), picture.channels)),
  );
  return readingOf(joined, spectra);
}

/** Light of interleaved samples, of 255, in full precision. */
export function tileLight(samples: Uint16Array, channels: 1 | 3): Float32Array {
  const light = new Float32Array(samples.length / channels);
  for (let i = 0, s = 0; i < light.length; i += 1, s += channels)
    light[i] =
      channels === 1
        ? samples[s]! / 257
        : (77 * samples[s]! + 150 * samples[s + 1]! + 29 * samples[s + 2]!) / 65792;
  return light;
}
