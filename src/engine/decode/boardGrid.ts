import type { BoardGrid } from '@/core/capture/evenness';
import { linearCurve } from '../colour/linearCurve';
import { readMaster, decoderWords } from './readMaster';
import { FileRefusal } from '../fileRefusal';
import { openPicture } from '../sharpSetup';

const COLUMNS = 24;
const ROWS = 16;
/** Pixels of a cell's side in the reduced shot. */
const CELL = 12;
const CURVE_STEPS = 4096;

/** A board shot as it is kept: the light of its cells as plain numbers. */
export interface BoardReading {
  width: number;
  height: number;
  grid: Omit<BoardGrid, 'light'> & { light: number[] };
}

/** Reads a photographed board: linear luminance, means over a grid. Throws FileRefusal. */
export async function readBoard({
  path,
  bytes,
}: {
  path: string;
  bytes: number;
}): Promise<BoardReading> {
  const { facts, icc } = await readMaster(path, bytes);
  const { width, height } = facts;
  const columns = width >= height ? COLUMNS : ROWS;
  const rows = width >= height ? ROWS : COLUMNS;
  const grey = facts.colourModel === 'grey';
  const channels = grey ? 1 : 3;
  let picture = openPicture(path).autoOrient();
  if (facts.channels === 2 || facts.channels === 4)
    picture = picture.flatten({ background: '#ffffff' });
  const { data } = await picture
    .resize(columns * CELL, rows * CELL, { fit: 'fill', kernel: 'linear' })
    .toColourspace(grey ? 'grey16' : 'rgb16')
    .raw({ depth: 'ushort' })
    .toBuffer({ resolveWithObject: true })
    .catch((error: unknown) => {
      throw new FileRefusal({ code: 'broken', detail: decoderWords(error) });
    });
  const samples = new Uint16Array(data.buffer, data.byteOffset, data.length / 2);
  const curve = await linearCurve({ icc, assumedSpace: null }, channels, CURVE_STEPS);
  const linear = (v: number) => curve[Math.round((v / 65535) * (CURVE_STEPS - 1))]!;
  const light = new Array<number>(columns * rows).fill(0);
  const per = samples.length / (columns * CELL * rows * CELL);
  for (let y = 0; y < rows * CELL; y += 1)
    for (let x = 0; x < columns * CELL; x += 1) {
      const i = (y * columns * CELL + x) * per;
      const l =
        per < 3
          ? linear(samples[i]!)
          : 0.2126 * linear(samples[i]!) +
            0.7152 * linear(samples[i + 1]!) +
            0.0722 * linear(samples[i + 2]!);
      light[Math.floor(y / CELL) * columns + Math.floor(x / CELL)]! += l / CELL ** 2;
    }
  return { width, height, grid: { columns, rows, light } };
}
