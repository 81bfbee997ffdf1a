import { createReadStream } from 'node:fs';
import { open, rm } from 'node:fs/promises';
import type { FileHandle } from 'node:fs/promises';
import { deflateSync } from 'node:zlib';
import { lzw } from './lzw';
import { rowBytesOf, rowsPerStrip, writeHead } from './tiffWriter';
import type { RowSink, TiffLayout } from './tiffWriter';

/** Each sample less its left neighbour's (TIFF 6.0, section 14), in place, from the right. */
function differences(strip: Buffer, rows: number, layout: TiffLayout): void {
  const { channels, bits } = layout;
  const bytes = rowBytesOf(layout);
  const samples =
    bits === 16 ? new Uint16Array(strip.buffer, strip.byteOffset, strip.length / 2) : strip;
  const length = bytes / (bits / 8);
  for (let y = 0; y < rows; y += 1)
    for (let i = (y + 1) * length - 1; i >= y * length + channels; i -= 1)
      samples[i] = samples[i]! - samples[i - channels]!;
}

/** Where the compressed strips of a range of rows grow, until all are joined. */
export const stripsPath = (path: string, from: number) => `${path}.${from}.strips`;

/** Compresses the rows from `from` on strip by strip, into a file of their own. */
export class TiffStrips implements RowSink {
  private readonly strip: Buffer;
  private readonly counts: number[] = [];
  private filled = 0;

  private constructor(
    private readonly file: FileHandle,
    private readonly layout: TiffLayout,
    private missing: number,
  ) {
    this.strip = Buffer.alloc(rowsPerStrip(layout) * rowBytesOf(layout));
  }

  /** `from` must be the first row of a strip. */
  static async open(
    path: string,
    layout: TiffLayout,
    from: number,
    to: number,
  ): Promise<TiffStrips> {
    const file = await open(stripsPath(path, from), 'wx');
    return new TiffStrips(file, layout, (to - from) * rowBytesOf(layout));
  }

  async write(samples: Uint8Array | Uint16Array): Promise<void> {
    const bytes = Buffer.from(samples.buffer, samples.byteOffset, samples.byteLength);
    if (bytes.length > this.missing) throw new RangeError('more rows than laid out');
    for (let done = 0; done < bytes.length;) {
      const take = Math.min(bytes.length - done, this.strip.length - this.filled);
      bytes.copy(this.strip, this.filled, done, done + take);
      this.filled += take;
      this.missing -= take;
      done += take;
      if (this.filled === this.strip.length || this.missing === 0) await this.flush();
    }
  }

  private async flush(): Promise<void> {
    if (this.filled === 0) return;
    const strip = this.strip.subarray(0, this.filled);
    differences(strip, this.filled / rowBytesOf(this.layout), this.layout);
    const small =
      this.layout.compression === 'lzw'
        ? Buffer.from(lzw(strip))
        : deflateSync(strip, { level: 6 });
    for (let done = 0; done < small.length;)
      done += (await this.file.write(small, done, small.length - done)).bytesWritten;
    this.counts.push(small.length);
    this.filled = 0;
  }

  async finish(): Promise<number[]> {
    if (this.missing !== 0) throw new Error(`${this.missing} bytes of rows missing`);
    await this.file.close();
    return this.counts;
  }

  abandon = () => this.file.close();
}

/** Ranges of compressed strips become one file; their own files go. */
export async function joinStrips(
  path: string,
  layout: TiffLayout,
  parts: readonly { from: number; counts: number[] }[],
): Promise<void> {
  const ordered = [...parts].sort((a, b) => a.from - b.from);
  const file = await open(path, 'wx');
  try {
    await writeHead(
      file,
      layout,
      ordered.flatMap((p) => p.counts),
    );
    let at = 8;
    for (const { from } of ordered)
      for await (const chunk of createReadStream(
        stripsPath(path, from),
      ) as AsyncIterable<Buffer>)
        for (let done = 0; done < chunk.length;) {
          const { bytesWritten } = await file.write(chunk, done, chunk.length - done, at);
          done += bytesWritten;
          at += bytesWritten;
        }
    await file.sync();
  } finally {
    await file.close();
    await Promise.all(
      ordered.map(({ from }) => rm(stripsPath(path, from), { force: true })),
    );
  }
}
