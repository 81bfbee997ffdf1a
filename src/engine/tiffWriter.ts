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

/**
 * Writes an uncompressed baseline TIFF (TIFF 6.0) row by row: strips first, directory last,
 * so that nothing but the rows at hand is in memory. Little-endian; limit 4 GB.
 */
export class TiffWriter {
  private at = 8;
  private rowsWritten = 0;
  private constructor(
    private readonly file: FileHandle,
    private readonly layout: TiffLayout,
  ) {}

  static async create(path: string, layout: TiffLayout): Promise<TiffWriter> {
    const bytes = layout.width * layout.height * layout.channels * (layout.bits / 8);
    if (bytes > 4e9) throw new RangeError('TIFF files end at 4 GB');
    const file = await open(path, 'wx');
    await file.write(Buffer.from([0x49, 0x49, 42, 0, 0, 0, 0, 0]), 0, 8, 0);
    return new TiffWriter(file, layout);
  }

  /** Appends whole rows of interleaved samples. */
  async write(samples: Uint8Array | Uint16Array, rows: number): Promise<void> {
    const bytes = Buffer.from(samples.buffer, samples.byteOffset, samples.byteLength);
    await this.file.write(bytes, 0, bytes.length, this.at);
    this.at += bytes.length;
    this.rowsWritten += rows;
  }

  /** Writes the directory, syncs and closes. Throws when rows are missing. */
  async finish(): Promise<void> {
    const { width, height, channels, bits } = this.layout;
    if (this.rowsWritten !== height)
      throw new Error(`${this.rowsWritten} of ${height} rows were written`);
    const rowBytes = width * channels * (bits / 8);
    const rows = Math.max(1, Math.floor(ROWS_PER_STRIP_BYTES / rowBytes));
    const strips = Math.ceil(height / rows);
    const offsets = Array.from({ length: strips }, (_, i) => 8 + i * rows * rowBytes);
    const counts = offsets.map((_, i) => rowBytes * Math.min(rows, height - i * rows));
    const at = this.at + (this.at & 1);
    const block = serialise(directory(this.layout, offsets, counts, rows), at);
    await this.file.write(block, 0, block.length, at);
    const pointer = Buffer.alloc(4);
    pointer.writeUInt32LE(at);
    await this.file.write(pointer, 0, 4, 4);
    await this.file.sync();
    await this.file.close();
  }

  abandon = () => this.file.close();
}
