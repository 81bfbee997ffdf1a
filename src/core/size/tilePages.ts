import { size } from '../units';
import type { Size } from '../units';
import type { DrawnLine } from './sheetDrawing';

export type PageName = 'a4' | 'letter';
/** Pages that a drawing is tiled on, portrait (ISO 216; ANSI A). */
export const PAGES: Record<PageName, Size> = {
  a4: size(210, 297),
  letter: size(215.9, 279.4),
};

/** Left blank at the edges of a page, and how far pages lie over one another, mm. */
export const PAGE_MARGIN = 12;
export const PAGE_OVERLAP = 10;

/** A window of the drawing that goes on one page; where it lies and which it is. */
export interface Tile {
  column: number;
  row: number;
  left: number;
  top: number;
}

export interface TilePlan {
  page: Size;
  /** What of the drawing one page shows. */
  window: Size;
  columns: number;
  rows: number;
  tiles: Tile[];
}

/** Pages along one axis: ceil((length - overlap) / (window - overlap)), at least one. */
const along = (length: number, window: number) =>
  Math.max(1, Math.ceil((length - PAGE_OVERLAP) / (window - PAGE_OVERLAP) - 1e-9));

function tiled(area: { left: number; top: number } & Size, page: Size): TilePlan {
  const window = size(page.width - 2 * PAGE_MARGIN, page.height - 2 * PAGE_MARGIN);
  const columns = along(area.width, window.width);
  const rows = along(area.height, window.height);
  return {
    page,
    window,
    columns,
    rows,
    tiles: Array.from({ length: columns * rows }, (_, i) => {
      const [column, row] = [i % columns, Math.floor(i / columns)];
      return {
        column,
        row,
        left: area.left + column * (window.width - PAGE_OVERLAP),
        top: area.top + row * (window.height - PAGE_OVERLAP),
      };
    }),
  };
}

/** A drawing of that area (mm) on pages at 1 : 1, the way they lie with the fewer pages. */
export function tilePages(
  area: { left: number; top: number } & Size,
  name: PageName,
): TilePlan {
  const page = PAGES[name];
  const upright = tiled(area, page);
  const lying = tiled(area, { width: page.height, height: page.width });
  return lying.tiles.length < upright.tiles.length ? lying : upright;
}

/** The part of a line within a window, mm; null when none of it is (Liang and Barsky). */
export function clipped(
  l: DrawnLine,
  window: { left: number; top: number } & Size,
): DrawnLine | null {
  const [dx, dy] = [l.x2 - l.x1, l.y2 - l.y1];
  let from = 0;
  let to = 1;
  for (const [p, q] of [
    [-dx, l.x1 - window.left],
    [dx, window.left + window.width - l.x1],
    [-dy, l.y1 - window.top],
    [dy, window.top + window.height - l.y1],
  ] as const) {
    if (p === 0) {
      if (q < 0) return null;
      continue;
    }
    if (p < 0) from = Math.max(from, q / p);
    else to = Math.min(to, q / p);
  }
  if (from > to) return null;
  return {
    kind: l.kind,
    x1: l.x1 + from * dx,
    y1: l.y1 + from * dy,
    x2: l.x1 + to * dx,
    y2: l.y1 + to * dy,
  };
}
