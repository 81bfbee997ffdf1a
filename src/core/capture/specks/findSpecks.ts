import { CELL } from './candidates';
import { companyOf } from './company';
import { speckConfidence } from './score';
import type { Measured } from './measure';

/** A found speck, as it is kept. Pixels; contrast of 255, negative when darker than its ground. */
export interface Speck {
  x: number;
  y: number;
  diameter: number;
  /** Diagonal of its box: much longer than the diameter for hairs. */
  length: number;
  contrast: number;
  /** How sure it is that this is no part of the picture, 0..1. */
  confidence: number;
}

/** A tile in which specks cannot be told from the ground: look here yourself. Pixels. */
export interface BusyTile {
  left: number;
  top: number;
  width: number;
  height: number;
}

export interface SpeckReading {
  /** Surest first. */
  found: Speck[];
  /** Specks that were left out of the list because there were too many. */
  more: number;
  busy: BusyTile[];
}

/** Side of the tiles that are called busy, pixels. */
export const BUSY_TILE = 512;
/** Confidence from which a speck is shown at first; can be changed. */
export const SHOWN_FROM = 0.5;
const LEAST_CONFIDENCE = 0.2;
const MOST_KEPT = 4000;
/** Median response of a cell, of 255, from which faint specks drown in it. */
const DROWNING = 2;
/** Share of such cells that makes a tile busy. */
const BUSY_SHARE = 0.5;
/** What is this sure stands out even in a busy tile. */
const STANDS_OUT = 0.6;

/** Cells of a picture, row by row. */
export interface SweptCells {
  texture: Float32Array;
  crowded: Uint8Array;
  across: number;
}

function busyTiles(cells: SweptCells, width: number, height: number): BusyTile[] {
  const side = BUSY_TILE / CELL;
  const down = cells.texture.length / cells.across;
  const tiles: BusyTile[] = [];
  for (let row = 0; row < down; row += side)
    for (let column = 0; column < cells.across; column += side) {
      let busy = 0;
      let all = 0;
      for (let r = row; r < Math.min(down, row + side); r += 1)
        for (let c = column; c < Math.min(cells.across, column + side); c += 1) {
          const i = r * cells.across + c;
          if (cells.crowded[i] || cells.texture[i]! >= DROWNING) busy += 1;
          all += 1;
        }
      if (busy <= BUSY_SHARE * all) continue;
      const [left, top] = [column * CELL, row * CELL];
      tiles.push({
        left,
        top,
        width: Math.min(BUSY_TILE, width - left),
        height: Math.min(BUSY_TILE, height - top),
      });
    }
  return tiles;
}

/** From what was seen all over a picture: its specks, and the tiles where none can be told. */
export function findSpecks(
  things: readonly Measured[],
  clutter: Float32Array,
  cells: SweptCells,
  width: number,
  height: number,
): SpeckReading {
  const busy = busyTiles(cells, width, height);
  const tileOf = (x: number, y: number) =>
    Math.floor(y / BUSY_TILE) * 65536 + Math.floor(x / BUSY_TILE);
  const inBusy = new Set(busy.map((t) => tileOf(t.left, t.top)));
  const company = companyOf(things, clutter, (x, y) => {
    const at = Math.floor(y / CELL) * cells.across + Math.floor(x / CELL);
    return cells.texture[at] ?? 0;
  });
  const found = things
    .map((t, i) => ({
      x: t.x,
      y: t.y,
      diameter: t.diameter,
      length: t.length,
      contrast: t.contrast,
      confidence: speckConfidence(t, company[i]!),
    }))
    .filter(
      (s) => s.confidence >= (inBusy.has(tileOf(s.x, s.y)) ? STANDS_OUT : LEAST_CONFIDENCE),
    )
    .sort((a, b) => b.confidence - a.confidence || a.y - b.y || a.x - b.x);
  return {
    found: found.slice(0, MOST_KEPT),
    more: Math.max(0, found.length - MOST_KEPT),
    busy,
  };
}
