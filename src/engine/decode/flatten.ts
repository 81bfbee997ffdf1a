import { open } from 'node:fs/promises';
import type { FileHandle } from 'node:fs/promises';
import { HEADER_BYTES, deepHeader } from './pixelSource';

const BAND = 64;
const WHITE = 65535;

async function fill(file: FileHandle, into: Buffer, at: number): Promise<void> {
  for (let got = 0; got < into.length;) {
    const { bytesRead } = await file.read(into, got, into.length - got, at + got);
    if (bytesRead === 0) throw new Error('the decoded picture ends too early');
    got += bytesRead;
  }
}

/**
 * Lays a decoded picture of 16 bits with an alpha channel (not multiplied by it) on white, row
 * by row: what is all transparent is white to the last level. `channels`: of colour, 1 or 3.
 */
export async function layOnWhite(
  from: string,
  to: string,
  { width, height, channels }: { width: number; height: number; channels: 1 | 3 },
): Promise<void> {
  const source = await open(from, 'r');
  const target = await open(to, 'w');
  try {
    await target.writeFile(deepHeader(width, height, channels));
    const rowBytes = width * (channels + 1) * 2;
    for (let top = 0; top < height; top += BAND) {
      const pixels = Math.min(BAND, height - top) * width;
      const raw = Buffer.allocUnsafeSlow(pixels * (channels + 1) * 2);
      await fill(source, raw, HEADER_BYTES + top * rowBytes);
      const samples = new Uint16Array(raw.buffer, raw.byteOffset, raw.length / 2);
      const laid = new Uint16Array(pixels * channels);
      for (let i = 0, at = 0, into = 0; i < pixels; i += 1, at += channels + 1) {
        const alpha = samples[at + channels]!;
        for (let c = 0; c < channels; c += 1, into += 1)
          laid[into] = Math.round(
            (samples[at + c]! * alpha + WHITE * (WHITE - alpha)) / WHITE,
          );
      }
      await target.writeFile(Buffer.from(laid.buffer));
    }
  } finally {
    await Promise.all([source.close(), target.close()]);
  }
}
