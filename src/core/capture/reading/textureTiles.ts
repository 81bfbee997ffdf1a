import { CELL } from '../specks';

/** Top left corner of a tile, pixels. */
export interface TilePlace {
  left: number;
  top: number;
}

/** Tiles whose spectrum is taken. */
const BEST = 16;
const LARGEST_SIDE = 512;
const SMALLEST_SIDE = 64;

/** A tile and how busy it is: the mean over its cells of the median centre-surround response. */
export interface TexturedTile extends TilePlace {
  texture: number;
}

/**
 * Side of the tiles for a picture: a power of two of 64 to 512; null when it is smaller.
 * @example tileSide(3000, 400) // 256
 */
export function tileSide(width: number, height: number): number | null {
  let side = LARGEST_SIDE;
  while (side > Math.min(width, height)) side /= 2;
  return side < SMALLEST_SIDE ? null : side;
}

/** The tiles with most fine texture all over, the best first. `texture`: by cell, row by row. */
export function bestTiles(
  texture: Float32Array,
  width: number,
  height: number,
  side: number,
): TexturedTile[] {
  const across = Math.ceil(width / CELL);
  const cells = side / CELL;
  const tiles: TexturedTile[] = [];
  for (let top = 0; top + side <= height; top += side)
    for (let left = 0; left + side <= width; left += side) {
      let sum = 0;
      for (let row = 0; row < cells; row += 1)
        for (let column = 0; column < cells; column += 1)
          sum += texture[(top / CELL + row) * across + left / CELL + column]!;
      tiles.push({ left, top, texture: sum / cells ** 2 });
    }
  return tiles.sort((a, b) => b.texture - a.texture).slice(0, BEST);
}
