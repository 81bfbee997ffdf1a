/** Bytes at which a TIFF file ends: its places are 32-bit offsets (TIFF 6.0), with room for its tags. */
export const MOST_TIFF_BYTES = 4e9;

/**
 * Bytes of the pixels of a file before it is packed.
 * @example 10 000 x 10 000 pixels, RGB at 16 bit: 6e8
 */
export const pixelBytes = (
  { width, height }: { width: number; height: number },
  channels: number,
  bits: number,
): number => (width * height * channels * bits) / 8;

/** Bytes that a file's pixels would take where that is more than any of our files holds; else null. */
export function bytesBeyond(
  size: { width: number; height: number },
  channels: number,
  bits: number,
): number | null {
  const bytes = pixelBytes(size, channels, bits);
  return bytes > MOST_TIFF_BYTES ? bytes : null;
}
