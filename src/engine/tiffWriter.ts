import { open } from 'node:fs/promises';
import type { FileHandle } from 'node:fs/promises';

export interface TiffLayout {
  width: number;
  height: number;
  channels: 1 | 3;
  bits: 8 | 16;
  ppi: number;
  icc: Uint8Array | null;
}

const ROWS_PER_STRIP_BYTES = 1 << 20;
/** Short, long, rational, undefined. */
type FieldType = 3 | 4 | 5 | 7;

interface Field {
  tag: number;
  type: FieldType;
  count: number;
  data: Buffer;
}

const shorts = (tag: number, ...values: number[]): Field => {
  const data = Buffer.alloc(values.length * 2);
  values.forEach((v, i) => data.writeUInt16LE(v, i * 2));
  return { tag, type: 3, count: values.length, data };
};

const longs = (tag: number, values: number[]): Field => {
  const data = Buffer.alloc(values.length * 4);
  values.forEach((v, i) => data.writeUInt32LE(v, i * 4));
  return { tag, type: 4, count: values.length, data };
};

const rational = (tag: number, value: number): Field => {
  const data = Buffer.alloc(8);
  data.writeUInt32LE(Math.round(value * 1000), 0);
  data.writeUInt32LE(1000, 4);
  return { tag, type: 5, count: 1, data };
};

function directory(layout: TiffLayout, offsets: number[], counts: number[], rows: number) {
  const fields: Field[] = [
    longs(256, [layout.width]),
    longs(257, [layout.height]),
    shorts(258, ...new Array<number>(layout.channels).fill(layout.bits)),
    shorts(259, 1),
    shorts(262, layout.channels === 3 ? 2 : 1),
    longs(273, offsets),
    shorts(277, layout.channels),
    longs(278, [rows]),
    longs(279, counts),
    rational(282, layout.ppi),
    rational(283, layout.ppi),
    shorts(296, 2),
  ];
  if (layout.icc)
    fields.push({
      tag: 34675,
      type: 7,
      count: layout.icc.length,
      data: Buffer.from(layout.icc),
    });
  return fields;
}

/** Lays the directory out at a file offset, larger values behind it. */
function serialise(fields: Field[], at: number): Buffer {
  const head = Buffer.alloc(2 + fields.length * 12 + 4);
  head.writeUInt16LE(fields.length, 0);
  const behind: Buffer[] = [];
  let free = at + head.length;
  fields.forEach((field, i) => {
    const entry = 2 + i * 12;
    head.writeUInt16LE(field.tag, entry);
    head.writeUInt16LE(field.type, entry + 2);
    head.writeUInt32LE(field.count, entry + 4);
    if (field.data.length <= 4) field.data.copy(head, entry + 8);
    else {
      head.writeUInt32LE(free, entry + 8);
      const padded = Buffer.concat([field.data, Buffer.alloc(field.data.length & 1)]);
      behind.push(padded);
      free += padded.length;
    }
  });
  return Buffer.concat([head, ...behind]);
}

const FIRST_ROW_AT = 8;
const rowBytesOf = ({ width, channels, bits }: TiffLayout) => width * channels * (bits / 8);

/**
 * Lays out an uncompressed baseline TIFF (TIFF 6.0): header and directory are written, the
 * rows are still holes. Little-endian; limit 4 GB. Throws when the file is there already.
 */
export async function layOutTiff(path: string, layout: TiffLayout): Promise<void> {
  const rowBytes = rowBytesOf(layout);
  const { height } = layout;
  const bytes = rowBytes * height;
  if (bytes > 4e9) throw new RangeError('TIFF files end at 4 GB');
  const rows = Math.max(1, Math.floor(ROWS_PER_STRIP_BYTES / rowBytes));
  const offsets = Array.from(
    { length: Math.ceil(height / rows) },
    (_, i) => FIRST_ROW_AT + i * rows * rowBytes,
  );
  const counts = offsets.map((_, i) => rowBytes * Math.min(rows, height - i * rows));
  const at = FIRST_ROW_AT + bytes + (bytes & 1);
  const head = Buffer.from([0x49, 0x49, 42, 0, 0, 0, 0, 0]);
  head.writeUInt32LE(at, 4);
  const block = serialise(directory(layout, offsets, counts, rows), at);
  const file = await open(path, 'wx');
  try {
    await file.write(head, 0, head.length, 0);
    await file.write(block, 0, block.length, at);
  } finally {
    await file.close();
  }
}

/**
 * Writes the rows `from` to `to - 1` of a laid out TIFF in order, so that nothing but the
 * rows at hand is in memory; several writers may fill parts of one file at once.
 */
export class TiffRows {
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

  /** Syncs and closes. Throws when rows are missing. */
  async finish(): Promise<void> {
    if (this.at !== this.end)
      throw new Error(`${this.end - this.at} bytes of rows missing`);
    await this.file.sync();
    await this.file.close();
  }

  abandon = () => this.file.close();
}

/** A whole TIFF by one writer. */
export async function createTiff(path: string, layout: TiffLayout): Promise<TiffRows> {
  await layOutTiff(path, layout);
  return TiffRows.open(path, layout);
}
