import { grown } from '../../image';
import type { Box } from '../../image';
import { HALO } from '../specks';

/** Side of the blocks in which a picture is read, pixels; a multiple of every cell and tile. */
export const BLOCK = 1024;

/** A block: the part that counts, and the part that is looked at. */
export interface BlockPlace {
  core: Box;
  seen: Box;
}

/** Rows of blocks in a picture so many pixels high. */
export const blockRows = (height: number): number => Math.ceil(height / BLOCK);

/** The blocks of one row of blocks, from the left. */
export function blocksOfRow(width: number, height: number, row: number): BlockPlace[] {
  const top = row * BLOCK;
  const bottom = Math.min(height, top + BLOCK);
  return Array.from({ length: Math.ceil(width / BLOCK) }, (_, i) => {
    const core = {
      left: i * BLOCK,
      top,
      right: Math.min(width, (i + 1) * BLOCK),
      bottom,
    };
    return {
      core,
      seen: grown(core, HALO, { width, height }),
    };
  });
}

/**
 * A power of two that brings the longest side down to `most` or less.
 * @example reduction(7000, 4000, 2048) // 4
 */
export function reduction(width: number, height: number, most: number): number {
  let factor = 1;
  while (Math.ceil(Math.max(width, height) / factor) > most) factor *= 2;
  return factor;
}
