import { open } from 'node:fs/promises';
import type { FileHandle } from 'node:fs/promises';
import { MOST_TIFF_BYTES } from '@/core/prepare';
import { serialise, tiffFields } from './tiffFields';
import type { TiffLayout } from './tiffFields';

export type { FileAbout, TiffLayout } from './tiffFields';

const STRIP_BYTES = 1 << 18;
const FIRST_ROW_AT = 8;

export const rowBytesOf = ({ width, channels, bits }: TiffLayout) =>
  width * channels * (bits / 8);

export const rowsPerStrip = (layout: TiffLayout): number =>
  Math.max(1, Math.floor(STRIP_BYTES / rowBytesOf(layout)));

/** Where rows go, in order. */
export interface RowSink {
  write(samples: Uint8Array | Uint16Array): Promise<void>;
  /** Syncs and closes; answers the bytes of each strip, where they differ from what was laid out. */
  finish(): Promise<number[]>;
  abandon(): Promise<void>;
}

/** Writes header and directory of a file whose strips lie one after the other from the front. */
export async function writeHead(
  file: FileHandle,
  layout: TiffLayout,
  counts: number[],
): Promise<void> {
  const offsets: number[] = [];
  let at = FIRST_ROW_AT;
  for (const count of counts) {
    offsets.push(at);
    at += count;
  }
  if (at > MOST_TIFF_BYTES) throw new RangeError('TIFF files end at 4 GB');
  at += at & 1;
  const head = Buffer.from([0x49, 0x49, 42, 0, 0, 0, 0, 0]);
  head.writeUInt32LE(at, 4);
  const block = serialise(tiffFields(layout, offsets, counts, rowsPerStrip(layout)), at);
  await file.write(head, 0, head.length, 0);
  await file.write(block, 0, block.length, at);
}

/**
 * Lays out an uncompressed baseline TIFF (TIFF 6.0): header and directory are written, the
 * rows are still holes. Little-endian; limit 4 GB. Throws when the file is there already.
 */
export async function layOutTiff(path: string, layout: TiffLayout): Promise<void> {
  const rows = rowsPerStrip(layout);
  const bytes = rowBytesOf(layout);
  const counts = Array.from(
    { length: Math.ceil(layout.height / rows) },
    (_, i) => bytes * Math.min(rows, layout.height - i * rows),
  );
  const file = await open(path, 'wx');
  try {
    await writeHead(file, layout, counts);
  } finally {
    await file.close();
  }
}

/**
 * Writes the rows `from` to `to - 1` of a laid out TIFF in order, so that nothing but the
 * rows at hand is in memory; several writers may fill parts of one file at once.
 */
export class TiffRows implements RowSink {
  private at: number;
  private constructor(
    private readonly file: FileHandle,
    private readonly end: number,
    from: number,
  ) {
    this.at = from;
  }

  static async open(
    path: string,
    layout: TiffLayout,
    from = 0,
    to = layout.height,
  ): Promise<TiffRows> {
    const place = (row: number) => FIRST_ROW_AT + row * rowBytesOf(layout);
    return new TiffRows(await open(path, 'r+'), place(to), place(from));
  }

  /** Appends whole rows of interleaved samples. */
  async write(samples: Uint8Array | Uint16Array): Promise<void> {
    const bytes = Buffer.from(samples.buffer, samples.byteOffset, samples.byteLength);
    if (this.at + bytes.length > this.end) throw new RangeError('more rows than laid out');
    for (let done = 0; done < bytes.length;) {
      const left = bytes.length - done;
      const { bytesWritten } = await this.file.write(bytes, done, left, this.at + done);
      done += bytesWritten;
    }
    this.at += bytes.length;
  }

  /** Throws when rows are missing. */
  async finish(): Promise<number[]> {
    if (this.at !== this.end)
      throw new Error(`${this.end - this.at} bytes of rows missing`);
    await this.file.sync();
    await this.file.close();
    return [];
  }

  abandon = () => this.file.close();
}

/** A whole TIFF by one writer. */
export async function createTiff(path: string, layout: TiffLayout): Promise<TiffRows> {
  await layOutTiff(path, layout);
  return TiffRows.open(path, layout);
}
