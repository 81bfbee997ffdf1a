import { mm, ppi, toInches, turnedLike } from '../../units';
import type { Ppi, Size } from '../../units';

/** What the master must hold for a print. */
export interface CaptureNeeds {
  /** Resolution over the original. */
  ppi: Ppi;
  /** Pixels of the whole original at it. */
  width: number;
  height: number;
}

/**
 * Bytes of an uncompressed picture: width x height x channels x bytes.
 * @example pictureBytes({ width: 7000, height: 5000 }, 16) // 210_000_000
 */
export const pictureBytes = (
  { width, height }: { width: number; height: number },
  bits: 8 | 16,
  channels = 3,
): number => (width * height * channels * bits) / 8;

/**
 * Needed ppi = print ppi x print length / original length, per axis, the larger wins. The
 * print is turned the way the original lies.
 * @example captureNeeds(size(300, 400), size(600, 800), 300) // { ppi: 600 }
 */
export function captureNeeds(original: Size, print: Size, printPpi: number): CaptureNeeds {
  const turned = turnedLike(print, original);
  const needed =
    printPpi * Math.max(turned.width / original.width, turned.height / original.height);
  return {
    ppi: ppi(needed),
    width: Math.ceil(toInches(original.width) * needed - 1e-9),
    height: Math.ceil(toInches(original.height) * needed - 1e-9),
  };
}

/**
 * The largest print of the original's proportion that a resolution over the original feeds.
 * @example largestPrint(size(300, 400), ppi(600), 300) // { width: 600, height: 800 }
 */
export const largestPrint = (original: Size, reached: Ppi, printPpi: number): Size => ({
  width: mm((original.width * reached) / printPpi),
  height: mm((original.height * reached) / printPpi),
});
