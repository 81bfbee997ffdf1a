import { rm } from 'node:fs/promises';
import { BOARD_RULE } from '@/core/capture/evenness';
import type { BoardGrid } from '@/core/capture/evenness';
import { linearCurve } from '../colour/linearCurve';
import { PixelSource } from './pixelSource';
import { readMaster } from './readMaster';
import { decodeMaster } from './workingCopy';

const COLUMNS = 24;
const ROWS = 16;
/** Every level of 16 bit: dark ones of a linear profile lie far apart. */
const LEVELS = 65536;
const BAND = 64;

/** A board shot as it is kept: the light of its cells as plain numbers. */
export interface BoardReading {
  width: number;
  height: number;
  grid: Omit<BoardGrid, 'light'> & { light: number[] };
  /** The rule it was read by. */
  rule: number;
}

/**
 * Reads a photographed board: linear luminance, means over a grid. Its values are read as they
 * are in the file, and made light by its own profile alone. Throws FileRefusal.
 */
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
  const channels = facts.colourModel === 'grey' ? 1 : 3;
  const curve = await linearCurve({ icc, assumedSpace: null }, channels, LEVELS);
  const [part, target] = [`${path}.part.v`, `${path}.v`];
  const sums = new Float64Array(columns * rows);
  const counts = new Float64Array(columns * rows);
  try {
    await decodeMaster({ path, facts, part, target }, () => undefined);
    const source = await PixelSource.open(target);
    const cellOf = Uint8Array.from({ length: width }, (_, x) =>
      Math.floor((x * columns) / width),
    );
    for (let top = 0; top < height; top += BAND) {
      const many = Math.min(BAND, height - top);
      const samples = await source.rows(top, many);
      for (let y = 0, i = 0; y < many; y += 1) {
        const first = Math.floor(((top + y) * rows) / height) * columns;
        for (let x = 0; x < width; x += 1, i += channels) {
          const cell = first + cellOf[x]!;
          sums[cell]! +=
            channels === 1
              ? curve[samples[i]!]!
              : 0.2126 * curve[samples[i]!]! +
                0.7152 * curve[samples[i + 1]!]! +
                0.0722 * curve[samples[i + 2]!]!;
          counts[cell]! += 1;
        }
      }
    }
    await source.close();
  } finally {
    await Promise.all([part, target].map((p) => rm(p, { force: true })));
  }
  const light = Array.from(sums, (sum, i) => sum / Math.max(1, counts[i]!));
  return { width, height, grid: { columns, rows, light }, rule: BOARD_RULE };
}
