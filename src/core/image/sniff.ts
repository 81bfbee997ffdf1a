export type Sniffed =
  | 'tiff'
  | 'jpeg'
  | 'png'
  | 'animatedPng'
  | 'gif'
  | 'webp'
  | 'pdf'
  | 'zip'
  | 'empty'
  | 'unknown';

const ascii = (bytes: Uint8Array, from: number, to: number) =>
  String.fromCharCode(...bytes.subarray(from, to));

/** Chunks of a PNG until the picture data; an `acTL` chunk before it means an animation. */
function isAnimatedPng(head: Uint8Array): boolean {
  const view = new DataView(head.buffer, head.byteOffset, head.byteLength);
  for (let at = 8; at + 8 <= head.length; at += 12 + view.getUint32(at)) {
    const type = ascii(head, at + 4, at + 8);
    if (type === 'acTL') return true;
    if (type === 'IDAT') return false;
  }
  return false;
}

/** Kind of file by its first bytes (a few kilobytes do), whatever its name says. */
export function sniff(head: Uint8Array): Sniffed {
  if (head.length === 0) return 'empty';
  const first4 = ascii(head, 0, 4);
  if (['II*\0', 'MM\0*', 'II+\0', 'MM\0+'].includes(first4)) return 'tiff';
  if (head[0] === 0xff && head[1] === 0xd8 && head[2] === 0xff) return 'jpeg';
  if (ascii(head, 0, 8) === '\x89PNG\r\n\x1a\n')
    return isAnimatedPng(head) ? 'animatedPng' : 'png';
  if (first4 === 'GIF8') return 'gif';
  if (first4 === 'RIFF' && ascii(head, 8, 12) === 'WEBP') return 'webp';
  if (first4 === '%PDF') return 'pdf';
  return first4 === 'PK\x03\x04' ? 'zip' : 'unknown';
}
