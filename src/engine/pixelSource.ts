import { open } from 'node:fs/promises';
import type { FileHandle } from 'node:fs/promises';

/** The working copy's file header: 64 bytes, then rows of interleaved samples. */
export const HEADER_BYTES = 64;

/**
 * Rows of a working copy, read by file offset, so that memory does not grow with the picture.
 * Samples come as 16 bit whatever the copy holds (8-bit values x 257).
 */
export class PixelSource {
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

  /** Rows `top` to `top + rows - 1` as 16-bit samples, width x channels a row. */
  async rows(top: number, rows: number): Promise<Uint16Array> {
    const samples = this.width * this.channels * rows;
    const bytesPerSample = this.bits / 8;
    const raw = Buffer.allocUnsafeSlow(samples * bytesPerSample);
    const at = HEADER_BYTES + top * this.width * this.channels * bytesPerSample;
    let got = 0;
    while (got < raw.length) {
      const { bytesRead } = await this.file.read(raw, got, raw.length - got, at + got);
      if (bytesRead === 0) throw new Error('the working copy ends too early');
      got += bytesRead;
    }
    if (this.bits === 16) return new Uint16Array(raw.buffer, raw.byteOffset, samples);
    const wide = new Uint16Array(samples);
    for (let i = 0; i < samples; i += 1) wide[i] = (raw[i] ?? 0) * 257;
    return wide;
  }

  close = () => this.file.close();
}
