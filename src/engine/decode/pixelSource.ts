import { readSync } from 'node:fs';
import { open } from 'node:fs/promises';
import type { FileHandle } from 'node:fs/promises';

/** The working copy's file header: 64 bytes, then rows of interleaved samples. */
export const HEADER_BYTES = 64;

/**
 * Rows of a working copy, read by file offset, so that memory does not grow with the picture.
 * Samples come as 16 bit whatever the copy holds (8-bit values x 257).
 */
export class PixelSource {
  private kept = Buffer.alloc(0);

  private constructor(
    private readonly file: FileHandle,
    readonly width: number,
    readonly height: number,
    readonly channels: 1 | 3,
    readonly bits: 8 | 16,
  ) {}

  static async open(path: string): Promise<PixelSource> {
    const file = await open(path, 'r');
    const header = Buffer.alloc(HEADER_BYTES);
    await file.read(header, 0, HEADER_BYTES, 0);
    if (header.readUInt32BE(0) !== 0xb6a6f208) {
      await file.close();
      throw new Error(`${path} is not a working copy`);
    }
    const bits = header.readUInt32LE(20) === 2 ? 16 : 8;
    const channels = header.readUInt32LE(12) === 1 ? 1 : 3;
    return new PixelSource(
      file,
      header.readUInt32LE(4),
      header.readUInt32LE(8),
      channels,
      bits,
    );
  }

  /** Rows `top` to `top + rows - 1` as 16-bit samples, good until the next call. */
  async rows(top: number, rows: number): Promise<Uint16Array> {
    const rowBytes = (this.width * this.channels * this.bits) / 8;
    const raw = this.room(rowBytes * rows);
    const at = HEADER_BYTES + top * rowBytes;
    let got = 0;
    while (got < raw.length) {
      const { bytesRead } = await this.file.read(raw, got, raw.length - got, at + got);
      if (bytesRead === 0) throw new Error('the working copy ends too early');
      got += bytesRead;
    }
    return this.widen(raw);
  }

  /**
   * Columns of the same rows, into `out`, or good until the next call. Read at once, not
   * awaited: many short reads are several times faster so, in a thread of their own.
   */
  part(
    top: number,
    rows: number,
    { left, right }: { left: number; right: number },
    out?: Uint16Array,
  ): Uint16Array {
    const samples = (right - left) * this.channels;
    const bytes = (samples * this.bits) / 8;
    const straight = out && this.bits === 16;
    const raw = straight
      ? Buffer.from(out.buffer, out.byteOffset, bytes * rows)
      : this.room(bytes * rows);
    for (let y = 0; y < rows; y += 1) {
      const at =
        HEADER_BYTES + (((top + y) * this.width + left) * this.channels * this.bits) / 8;
      if (readSync(this.file.fd, raw, y * bytes, bytes, at) < bytes)
        throw new Error('the working copy ends too early');
    }
    return straight ? out : this.widen(raw, out);
  }

  /** Room for so many bytes, the same at every call. */
  private room(bytes: number): Buffer {
    if (this.kept.length < bytes) this.kept = Buffer.allocUnsafeSlow(bytes);
    return this.kept.subarray(0, bytes);
  }

  private widen(raw: Buffer, out?: Uint16Array): Uint16Array {
    if (this.bits === 16)
      return new Uint16Array(raw.buffer, raw.byteOffset, raw.length / 2);
    const wide = out ?? new Uint16Array(raw.length);
    for (let i = 0; i < raw.length; i += 1) wide[i] = raw[i]! * 257;
    return wide;
  }

  close = () => this.file.close();
}

/** Width and height of a working copy, pixels. */
export async function pixelSize(path: string): Promise<{ width: number; height: number }> {
  const source = await PixelSource.open(path);
  await source.close();
  return { width: source.width, height: source.height };
}

/** Interpretations of the picture library: sRGB, and RGB of 16 bits. */
const RGB = { 8: 22, 16: 25 } as const;

/** The header of a working copy in RGB. */
export function rgbHeader(width: number, height: number, bits: 8 | 16): Buffer {
  const bytes = deepHeader(width, height, 3);
  bytes.writeUInt32LE(bits === 16 ? 2 : 0, 20);
  bytes.writeUInt32LE(RGB[bits], 28);
  return bytes;
}

/** The header of a working copy of 16 bits and so many channels. */
export function deepHeader(width: number, height: number, channels: number): Buffer {
  const bytes = Buffer.alloc(HEADER_BYTES);
  bytes.writeUInt32BE(0xb6a6f208, 0);
  bytes.writeUInt32LE(width, 4);
  bytes.writeUInt32LE(height, 8);
  bytes.writeUInt32LE(channels, 12);
  bytes.writeUInt32LE(2, 20);
  return bytes;
}
