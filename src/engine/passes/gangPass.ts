import { open, rm } from 'node:fs/promises';
import type { FileHandle } from 'node:fs/promises';
import type { PixelRect } from '@/core/prepare';
import type { PrintTarget } from '../colour/printTarget';
import { HEADER_BYTES } from '../decode/pixelSource';
import { partOf } from '../progress';
import type { Progress } from '../progress';
import { openPicture } from '../sharpSetup';
import { createTiff } from '../tiff/tiffWriter';
import type { FileAbout } from '../tiff/tiffWriter';
import { drawnWords } from './drawnWords';
import type { SheetWords } from './drawnWords';

/** A file that lies on the sheet: its upper left corner there, pixels; turned a quarter to the right. */
export interface GangPiece {
  path: string;
  left: number;
  top: number;
  turned: boolean;
}

/** A sheet with several prints, words and black rectangles on white. */
export interface GangWork {
  pieces: GangPiece[];
  words: SheetWords[];
  black: PixelRect[];
  width: number;
  height: number;
  ppi: number;
  bits: 8 | 16;
  into: PrintTarget;
  about: FileAbout;
  target: string;
  /** Names for working copies of the files; they are gone afterwards. */
  scratch: string;
}

const BAND = 64;
const DECODED = 0.4;

/** A file decoded into rows, its values untouched. */
class Rows {
  private constructor(
    private readonly file: FileHandle,
    readonly width: number,
    readonly height: number,
    readonly channels: number,
    readonly deep: boolean,
  ) {}

  static async decode({ path, turned }: GangPiece, copy: string): Promise<Rows> {
    const meta = await openPicture(path).metadata();
    const space =
      meta.space === 'cmyk' ? 'cmyk' : meta.depth === 'uchar' ? 'srgb' : 'rgb16';
    const picture = openPicture(path, 'error').pipelineColourspace(space);
    await (turned ? picture.rotate(90) : picture)
      .toColourspace(space)
      .keepIccProfile()
      .toFile(copy);
    const file = await open(copy, 'r');
    const head = Buffer.alloc(HEADER_BYTES);
    await file.read(head, 0, HEADER_BYTES, 0);
    const at = (byte: number) => head.readUInt32LE(byte);
    return new Rows(file, at(4), at(8), at(12), at(20) === 2);
  }

  /** Samples of some rows, as the file has them. */
  async read(top: number, rows: number): Promise<Uint8Array | Uint16Array> {
    const bytes = this.width * this.channels * (this.deep ? 2 : 1);
    const raw = new Uint8Array(bytes * rows);
    let got = 0;
    while (got < raw.length) {
      const from = HEADER_BYTES + top * bytes + got;
      const { bytesRead } = await this.file.read(raw, got, raw.length - got, from);
      if (bytesRead === 0) throw new Error('a working copy of a piece ends too early');
      got += bytesRead;
    }
    return this.deep ? new Uint16Array(raw.buffer) : raw;
  }

  close = () => this.file.close();
}

interface Ink {
  left: number;
  top: number;
  width: number;
  rows: readonly ArrayLike<number>[];
}

/** Words and rectangles, as amounts of ink row by row. */
async function inksOf({ words, black, ppi }: GangWork): Promise<Ink[]> {
  const said = await Promise.all(
    words.map(async (w): Promise<Ink> => {
      const { rows } = await drawnWords(w, ppi);
      return { left: w.left, top: w.top, width: rows[0]?.length ?? 0, rows };
    }),
  );
  const boxes = black.map(({ left, top, width, height }): Ink => {
    const row = new Float32Array(width).fill(1);
    return { left, top, width, rows: Array.from({ length: height }, () => row) };
  });
  return [...said, ...boxes];
}

/** Some rows of the sheet. */
class Band {
  readonly samples: Uint8Array | Uint16Array;
  private readonly whole: number;

  constructor(
    private readonly work: GangWork,
    private readonly top: number,
    private readonly rows: number,
  ) {
    const { width, bits, into } = work;
    const length = width * into.channels * rows;
    this.whole = bits === 16 ? 65535 : 255;
    this.samples = bits === 16 ? new Uint16Array(length) : new Uint8Array(length);
    if (into.channels !== 4) this.samples.fill(this.whole);
  }

  /** The rows that something of this height has in the band. */
  private within(top: number, height: number): [number, number] {
    return [Math.max(this.top, top), Math.min(this.top + this.rows, top + height)];
  }

  private at = (x: number, y: number) =>
    ((y - this.top) * this.work.width + x) * this.work.into.channels;

  async lay({ left, top }: GangPiece, piece: Rows): Promise<void> {
    const [from, to] = this.within(top, piece.height);
    if (from >= to) return;
    const read = await piece.read(from - top, to - from);
    const line = piece.width * piece.channels;
    const widens = this.work.bits === 16 && !piece.deep;
    for (let y = from; y < to; y += 1) {
      const row = read.subarray((y - from) * line, (y - from + 1) * line);
      const into = this.at(left, y);
      // 8 bits as 16: the same colours, each value in both of its bytes.
      if (widens) for (let i = 0; i < line; i += 1) this.samples[into + i] = row[i]! * 257;
      else this.samples.set(row, into);
    }
  }

  ink({ left, top, width, rows }: Ink): void {
    const { channels } = this.work.into;
    const [from, to] = this.within(top, rows.length);
    for (let y = from; y < to; y += 1)
      for (let x = Math.max(0, left); x < Math.min(this.work.width, left + width); x += 1) {
        const ink = Math.round(rows[y - top]![x - left]! * this.whole);
        const into = this.at(x, y);
        if (channels === 4) this.samples[into + 3] = ink;
        else this.samples.fill(this.whole - ink, into, into + channels);
      }
  }
}

/**
 * Writes a sheet of several prints as an uncompressed TIFF. Each lies on it pixel for pixel as
 * in its own file, or turned a quarter: nothing is made anew. Memory: some rows.
 * Throws where a file has other samples than the sheet, or lies beyond it.
 */
export async function writeGang(work: GangWork, progress: Progress): Promise<void> {
  const { pieces, width, height, bits, into, ppi, about, scratch, target } = work;
  const copies = new Map<string, { rows: Rows; path: string }>();
  const keyOf = ({ path, turned }: GangPiece) => `${turned} ${path}`;
  const decoding = partOf(progress, 0, DECODED);
  try {
    for (const [i, piece] of pieces.entries()) {
      if (!copies.has(keyOf(piece))) {
        const path = `${scratch}.${i}.v`;
        copies.set(keyOf(piece), { rows: await Rows.decode(piece, path), path });
      }
      const { rows } = copies.get(keyOf(piece))!;
      const beyond = piece.left + rows.width > width || piece.top + rows.height > height;
      if (rows.channels !== into.channels || (rows.deep && bits === 8) || beyond)
        throw new Error('a piece has other colours than its sheet, or lies beyond it');
      decoding('opening the print files', (i + 1) / pieces.length);
    }
    const inks = await inksOf(work);
    const writing = partOf(progress, DECODED, 1);
    const file = await createTiff(target, {
      width,
      height,
      channels: into.channels,
      bits,
      ppi,
      icc: into.icc,
      about,
    });
    try {
      for (let top = 0; top < height; top += BAND) {
        const band = new Band(work, top, Math.min(BAND, height - top));
        for (const ink of inks) band.ink(ink);
        for (const piece of pieces) await band.lay(piece, copies.get(keyOf(piece))!.rows);
        await file.write(band.samples);
        writing('laying the prints on the sheet', Math.min(1, (top + BAND) / height));
      }
      await file.finish();
    } catch (error) {
      await file.abandon().catch(() => undefined);
      throw error;
    }
  } finally {
    for (const { rows, path } of copies.values()) {
      await rows.close();
      await rm(path, { force: true });
    }
  }
}
