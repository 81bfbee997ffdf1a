import { MaxRectsPacker, PACKING_LOGIC } from 'maxrects-packer/dist/maxrects-packer.mjs';
import type { Block } from './search';

interface Lying {
  width: number;
  height: number;
  x: number;
  y: number;
  allowRotation: boolean;
}

/**
 * How many sheets of one size pieces need where they may lie anywhere, as no straight cuts
 * could part them: the best of the library's rules (maximal rectangles, Jylänki 2010). What
 * straight cuts should not be behind of. Infinity where a block fits none.
 */
export function openPacking(
  blocks: readonly Block[],
  sheet: { width: number; height: number },
): number {
  let best = Infinity;
  for (const logic of [
    PACKING_LOGIC.MAX_AREA,
    PACKING_LOGIC.MAX_EDGE,
    PACKING_LOGIC.FILL_WIDTH,
  ]) {
    const packer = new MaxRectsPacker<Lying>(sheet.width, sheet.height, 0, {
      smart: false,
      pot: false,
      square: false,
      allowRotation: true,
      border: 0,
      logic,
    });
    packer.addArray(
      blocks.map(({ width, height, mayTurn }) => ({
        width,
        height,
        x: 0,
        y: 0,
        allowRotation: mayTurn,
      })),
    );
    const fits = packer.bins.every(
      (b) => b.width <= sheet.width && b.height <= sheet.height,
    );
    if (fits) best = Math.min(best, packer.bins.length);
  }
  return best;
}
