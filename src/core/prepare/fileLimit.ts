/** Bytes at which a TIFF file ends: its places are 32-bit offsets (TIFF 6.0), with room for its tags. */
export const MOST_TIFF_BYTES = 4e9;

/**
 * Bytes of the pixels of a file before it is packed.
 * @example pixelBytes({ width: 10_000, height: 10_000 }, 3, 16) // 600_000_000
 */
export const pixelBytes = (
  { width, height }: { width: number; height: number },
  channels: number,
  bits: number,
): number => (width * height * channels * bits) / 8;

/**
 * Bytes that a file's pixels would take where that is more than any of our files holds; else null.
 * @example bytesBeyond({ width: 40_000, height: 40_000 }, 3, 8) // 4_800_000_000
 */
export function bytesBeyond(
  size: { width: number; height: number },
  channels: number,
  bits: number,
): number | null {
  const bytes = pixelBytes(size, channels, bits);
  return bytes > MOST_TIFF_BYTES ? bytes : null;
}
