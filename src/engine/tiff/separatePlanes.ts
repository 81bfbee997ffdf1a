import { copyFile, open } from 'node:fs/promises';
import type { FileHandle } from 'node:fs/promises';

/** A value of a directory: its type, how many, and where its bytes lie. */
interface Entry {
  tag: number;
  type: number;
  count: number;
  data: Buffer;
}

/** Bytes of one value by its type (TIFF 6.0, section 2; BigTIFF adds 16 to 18). */
const SIZES: Record<number, number> = {
  ...{ 1: 1, 2: 1, 3: 2, 4: 4, 5: 8, 6: 1, 7: 1, 8: 2, 9: 4, 10: 8, 11: 4, 12: 8 },
  ...{ 13: 4, 16: 8, 17: 8, 18: 8 },
};
const MOST_ENTRIES = 400;
const MOST_VALUE = 64e6;

/** Numbers of a file in its own order of bytes. */
class Reader {
  constructor(
    readonly file: FileHandle,
    readonly little: boolean,
    readonly big: boolean,
  ) {}

  async bytes(at: number, count: number): Promise<Buffer> {
    if (count > MOST_VALUE) throw new RangeError('too large a value');
    const buffer = Buffer.alloc(count);
    const { bytesRead } = await this.file.read(buffer, 0, count, at);
    if (bytesRead < count) throw new RangeError('it ends too early');
    return buffer;
  }

  number(from: Buffer, at: number, bytes: number): number {
    if (bytes === 8)
      return Number(this.little ? from.readBigUInt64LE(at) : from.readBigUInt64BE(at));
    return this.little ? from.readUIntLE(at, bytes) : from.readUIntBE(at, bytes);
  }

  write(into: Buffer, value: number, at: number, bytes: number): void {
    if (bytes < 8) {
      if (this.little) into.writeUIntLE(value, at, bytes);
      else into.writeUIntBE(value, at, bytes);
    } else if (this.little) into.writeBigUInt64LE(BigInt(value), at);
    else into.writeBigUInt64BE(BigInt(value), at);
  }

  /** Bytes of an offset. */
  get wide(): 4 | 8 {
    return this.big ? 8 : 4;
  }
}

async function readerOf(
  file: FileHandle,
): Promise<{ reader: Reader; first: number } | null> {
  const head = Buffer.alloc(16);
  await file.read(head, 0, 16, 0);
  const order = head.toString('latin1', 0, 2);
  if (order !== 'II' && order !== 'MM') return null;
  const little = order === 'II';
  const kind = little ? head.readUInt16LE(2) : head.readUInt16BE(2);
  if (kind !== 42 && kind !== 43) return null;
  const reader = new Reader(file, little, kind === 43);
  return { reader, first: reader.number(head, kind === 43 ? 8 : 4, reader.wide) };
}

/** The entries of one directory, with the bytes of their values. */
async function directory(reader: Reader, at: number): Promise<Map<number, Entry>> {
  const { big, wide } = reader;
  const countBytes = big ? 8 : 2;
  const count = reader.number(await reader.bytes(at, countBytes), 0, countBytes);
  if (count > MOST_ENTRIES) throw new RangeError('too many entries');
  const size = big ? 20 : 12;
  const raw = await reader.bytes(at + countBytes, count * size);
  const entries = new Map<number, Entry>();
  for (let i = 0; i < count; i += 1) {
    const tag = reader.number(raw, i * size, 2);
    const type = reader.number(raw, i * size + 2, 2);
    const many = reader.number(raw, i * size + 4, wide);
    const bytes = many * (SIZES[type] ?? 1);
    const place = i * size + 4 + wide;
    const data =
      bytes <= wide
        ? raw.subarray(place, place + bytes)
        : await reader.bytes(reader.number(raw, place, wide), bytes);
    entries.set(tag, { tag, type, count: many, data });
  }
  return entries;
}

/** What a tiled TIFF with a plane for each colour says of itself. */
export interface SeparatePlanes {
  width: number;
  height: number;
  bits: 8 | 16;
  /** Red, green, blue, and an alpha that is not multiplied into them. */
  planes: 3 | 4;
  orientation: number;
  ppi: number | null;
  icc: Uint8Array | null;
}

const TILES = { width: 322, height: 323, offsets: 324, counts: 325 } as const;

/** Reads such a file's facts; null for any other file, or one whose values are none that are read. */
async function read(
  file: FileHandle,
): Promise<{ facts: SeparatePlanes; reader: Reader; entries: Map<number, Entry> } | null> {
  const opened = await readerOf(file);
  if (!opened) return null;
  const { reader, first } = opened;
  const entries = await directory(reader, first);
  const values = (tag: number): number[] => {
    const entry = entries.get(tag);
    const bytes = SIZES[entry?.type ?? 3] ?? 1;
    return Array.from({ length: entry?.count ?? 0 }, (_, i) =>
      reader.number(entry!.data, i * bytes, bytes),
    );
  };
  const one = (tag: number, otherwise: number) => values(tag)[0] ?? otherwise;
  if (one(284, 1) !== 2 || !entries.has(TILES.offsets)) return null;
  const planes = one(277, 1);
  const bits = values(258);
  const [extra = 0] = values(338);
  const readable =
    one(262, 0) === 2 &&
    (planes === 3 || (planes === 4 && extra === 2)) &&
    (bits[0] === 8 || bits[0] === 16) &&
    bits.every((b) => b === bits[0]) &&
    values(339).every((format) => format === 1);
  if (!readable) return null;
  const density = entries.get(282)?.data;
  const perUnit = density ? reader.number(density, 0, 4) / reader.number(density, 4, 4) : 0;
  const unit = one(296, 2);
  const ppi = unit === 3 ? perUnit * 2.54 : unit === 2 ? perUnit : 0;
  const icc = entries.get(34675)?.data;
  return {
    reader,
    entries,
    facts: {
      width: one(256, 0),
      height: one(257, 0),
      bits: bits[0] as 8 | 16,
      planes: planes,
      orientation: one(274, 1),
      ppi: Number.isFinite(ppi) && ppi > 0 ? ppi : null,
      icc: icc ? new Uint8Array(icc) : null,
    },
  };
}

/** The facts of a tiled TIFF whose colours lie in planes of their own; null for any other file. */
export async function separatePlanes(path: string): Promise<SeparatePlanes | null> {
  const file = await open(path, 'r');
  try {
    return (await read(file))?.facts ?? null;
  } catch {
    // Whoever reads it whole says what is wrong with it.
    return null;
  } finally {
    await file.close();
  }
}

/** What a page of one plane takes over as it is: size, compression, tiles, how they were coded. */
const TAKEN = [256, 257, 259, 266, 317, 322, 323, 347];

/**
 * Copies such a file so that each of its planes is a page of its own, grey: the pixels stay where
 * they lie, only directories are added. `to` must not be there yet.
 */
export async function planesAsPages(from: string, to: string): Promise<void> {
  await copyFile(from, to);
  const file = await open(to, 'r+');
  try {
    const found = await read(file);
    if (!found) throw new Error('its planes cannot be read');
    const { reader, entries, facts } = found;
    const { wide, big } = reader;
    let at = (await file.stat()).size;
    at += at % 2;
    let linkAt = big ? 8 : 4;
    const part = (entry: Entry, plane: number): Entry => {
      const bytes = SIZES[entry.type]!;
      const count = Math.floor(entry.count / facts.planes);
      const data = entry.data.subarray(plane * count * bytes, (plane + 1) * count * bytes);
      return { ...entry, count, data };
    };
    const short = (tag: number, value: number): Entry => {
      const data = Buffer.alloc(2);
      reader.write(data, value, 0, 2);
      return { tag, type: 3, count: 1, data };
    };
    for (let plane = 0; plane < facts.planes; plane += 1) {
      const page = [
        ...TAKEN.flatMap((tag) => entries.get(tag) ?? []),
        ...[TILES.offsets, TILES.counts].map((tag) => part(entries.get(tag)!, plane)),
        ...[short(258, facts.bits), short(262, 1), short(277, 1), short(284, 1)],
      ].sort((a, b) => a.tag - b.tag);
      const size = big ? 20 : 12;
      const countBytes = big ? 8 : 2;
      const fixed = Buffer.alloc(countBytes + page.length * size + wide);
      reader.write(fixed, page.length, 0, countBytes);
      const behind: Buffer[] = [];
      let free = at + fixed.length;
      page.forEach((entry, i) => {
        const place = countBytes + i * size;
        reader.write(fixed, entry.tag, place, 2);
        reader.write(fixed, entry.type, place + 2, 2);
        reader.write(fixed, entry.count, place + 4, wide);
        if (entry.data.length <= wide) entry.data.copy(fixed, place + 4 + wide);
        else {
          reader.write(fixed, free, place + 4 + wide, wide);
          const padded = Buffer.concat([entry.data, Buffer.alloc(entry.data.length % 2)]);
          behind.push(padded);
          free += padded.length;
        }
      });
      const link = Buffer.alloc(wide);
      reader.write(link, at, 0, wide);
      await file.write(link, 0, wide, linkAt);
      linkAt = at + fixed.length - wide;
      const whole = Buffer.concat([fixed, ...behind]);
      await file.write(whole, 0, whole.length, at);
      at = free;
    }
  } finally {
    await file.close();
  }
}
