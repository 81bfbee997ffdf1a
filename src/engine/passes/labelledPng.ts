import { crc32, deflateSync } from 'node:zlib';

/** Where the head of a PNG ends: its signature, and the chunk of its size. */
const HEAD = 33;

/** A PNG that says which colours its numbers mean: the same pixels, and a profile (PNG 3rd edition, 11.3.2.3). */
export function labelledPng(png: Uint8Array, icc: Uint8Array): Uint8Array {
  const body = Buffer.concat([Buffer.from('iCCPicc\0\0', 'latin1'), deflateSync(icc)]);
  const chunk = Buffer.alloc(body.length + 8);
  chunk.writeUInt32BE(body.length - 4, 0);
  body.copy(chunk, 4);
  chunk.writeUInt32BE(crc32(body), body.length + 4);
  return Buffer.concat([png.subarray(0, HEAD), chunk, png.subarray(HEAD)]);
}
