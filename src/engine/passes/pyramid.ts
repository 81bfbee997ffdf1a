import { join } from 'node:path';
import type { ZoomLevel } from '@/core/image';
import { halve } from '@/core/image';
import { sharp } from '../sharpSetup';

export const TILE = 512;
const QUALITY = 88;

/** A stack of columns of the picture at one level, and where its tiles stand in the whole. */
export interface PyramidLevel extends Pick<ZoomLevel, 'level' | 'width'> {
  firstColumn: number;
}

/** One row of tiles being filled, and the one before it being written. */
interface Shelf extends PyramidLevel {
  tiles: Uint8Array[];
  /** The tiles of the row before, which are filled again once they are written. */
  spare: Uint8Array[];
  filled: number;
  tileRow: number;
  odd: Uint8Array | null;
  writing: Promise<unknown>;
}

const tilesAcross = (width: number): Uint8Array[] =>
  Array.from(
    { length: Math.ceil(width / TILE) },
    (_, c) => new Uint8Array(Math.min(TILE, width - c * TILE) * TILE * 3),
  );

export const jpeg = (data: Uint8Array, width: number, height: number) =>
  sharp(data, { raw: { width, height, channels: 3 } }).jpeg({ quality: QUALITY });

/**
 * Levels of the deep-zoom pyramid, from the largest down, fed with 8-bit RGB rows from the top.
 * Each level is cut into tiles and halved into the next; what is halved below the last level
 * goes to `below`. Memory: two rows of tiles a level.
 */
export class Pyramid {
  private readonly shelves: Shelf[];

  constructor(
    levels: readonly PyramidLevel[],
    private readonly folder: string,
    private readonly hooks: {
      seen?: (level: number, rows: Uint8Array) => void;
      below?: (rows: Uint8Array) => void;
    } = {},
  ) {
    this.shelves = levels.map((level) => ({
      ...level,
      tiles: tilesAcross(level.width),
      spare: tilesAcross(level.width),
      filled: 0,
      tileRow: 0,
      odd: null,
      writing: Promise.resolve(),
    }));
  }

  /** Takes rows of the largest level; they may be used again once the promise is kept. */
  put = (rows: Uint8Array): Promise<void> => this.putAt(0, rows);

  /** Writes what is left; an odd last row counts twice. */
  async finish(): Promise<void> {
    for (const [i, shelf] of this.shelves.entries()) {
      if (shelf.filled > 0) await this.write(shelf);
      if (shelf.odd) await this.putHalved(i, shelf.odd, 1);
    }
    await Promise.all(this.shelves.map((shelf) => shelf.writing));
  }

  private async putAt(i: number, rows: Uint8Array): Promise<void> {
    const shelf = this.shelves[i];
    if (!shelf) return this.hooks.below?.(rows);
    this.hooks.seen?.(shelf.level, rows);
    const stride = shelf.width * 3;
    for (let at = 0; at < rows.length; at += stride) {
      shelf.tiles.forEach((tile, c) => {
        const left = at + c * TILE * 3;
        const length = tile.length / TILE;
        tile.set(rows.subarray(left, left + length), shelf.filled * length);
      });
      shelf.filled += 1;
      if (shelf.filled === TILE) await this.write(shelf);
    }
    const whole = shelf.odd ? Buffer.concat([shelf.odd, rows]) : rows;
    const height = whole.length / stride;
    const even = height - (height % 2);
    shelf.odd = even < height ? Uint8Array.from(whole.subarray(even * stride)) : null;
    if (even > 0) await this.putHalved(i, whole.subarray(0, even * stride), even);
  }

  private async putHalved(i: number, rows: Uint8Array, height: number): Promise<void> {
    const { width } = this.shelves[i]!;
    if (i + 1 < this.shelves.length || this.hooks.below)
      await this.putAt(i + 1, halve(rows, width, height));
  }

  /** Hands a row of tiles to the library, which encodes them while the next is filled. */
  private async write(shelf: Shelf): Promise<void> {
    await shelf.writing;
    const { tiles, filled, tileRow, firstColumn, level } = shelf;
    shelf.writing = Promise.all(
      tiles.map((tile, c) => {
        const width = tile.length / TILE / 3;
        const path = join(this.folder, String(level), `${firstColumn + c}_${tileRow}.jpg`);
        return jpeg(tile.subarray(0, width * filled * 3), width, filled).toFile(path);
      }),
    );
    shelf.writing.catch(() => undefined);
    [shelf.tiles, shelf.spare] = [shelf.spare, tiles];
    shelf.filled = 0;
    shelf.tileRow += 1;
  }
}
