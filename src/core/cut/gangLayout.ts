import { MM_PER_INCH } from '../units';
import type { CutPlace, CutSheetPlan } from './types';
import type { SheetRules } from './sheetPlan';

/** Pixels. */
interface Rect {
  left: number;
  top: number;
  width: number;
  height: number;
}

/** Where things lie on the file of a sheet: as large as the printer can print, pixels. */
export interface GangLayout {
  width: number;
  height: number;
  /** Upper left corners, in the order of the places. */
  places: { left: number; top: number }[];
  /** Cut marks. */
  marks: Rect[];
  /** A line of words at each piece, where there is room for one. */
  words: ({ place: number; wide: number } & Pick<Rect, 'left' | 'top'>)[];
}

/** Cut marks: how far off the piece, how long, how wide; a line of words: how far off, how high. mm. */
const MARK = { off: 1, long: 3, wide: 0.25 };
const WORDS = { off: 1.2, high: 2.6, points: 6 };

/** Size of the words on the file of a sheet, points. */
export const GANG_WORDS_POINTS = WORDS.points;

const cross = (a: Rect, b: Rect) =>
  a.left < b.left + b.width &&
  b.left < a.left + a.width &&
  a.top < b.top + b.height &&
  b.top < a.top + a.height;

/** The two lines at each corner of a piece, outside of it. */
function marksOf({ left, top, width, height }: Rect, px: (mm: number) => number): Rect[] {
  const [off, long, wide] = [px(MARK.off), px(MARK.long), Math.max(1, px(MARK.wide))];
  const half = Math.floor(wide / 2);
  const [right, bottom] = [left + width, top + height];
  const lying = [top, bottom].flatMap((y) =>
    [left - off - long, right + off].map((x) => ({
      left: x,
      top: y - half,
      width: long,
      height: wide,
    })),
  );
  const upright = [left, right].flatMap((x) =>
    [top - off - long, bottom + off].map((y) => ({
      left: x - half,
      top: y,
      width: wide,
      height: long,
    })),
  );
  return [...lying, ...upright];
}

/**
 * Lays a planned sheet out in pixels. Marks and words lie outside every piece: those for which
 * there is no room are left out. `sizes`: pixels of each piece as it lies, in the order of the places.
 * @example gangLayout({ stock: 's', width: 35.4, length: 35.4, places: [{ piece: 'a', copy: 0, x: 5, y: 5, width: 25.4, height: 25.4, turned: false }], cuts: [], rests: [], cost: null }, { margin: { left: 5, right: 5, top: 5, bottom: 5 }, marks: false, labels: false }, 100, [{ width: 100, height: 100 }]).width // 100
 */
export function gangLayout(
  sheet: CutSheetPlan,
  { margin, marks, labels }: Pick<SheetRules, 'margin' | 'marks' | 'labels'>,
  ppi: number,
  sizes: readonly { width: number; height: number }[],
): GangLayout {
  const px = (mm: number) => Math.round((mm / MM_PER_INCH) * ppi);
  const width = Math.floor(
    ((sheet.width - margin.left - margin.right) / MM_PER_INCH) * ppi + 1e-6,
  );
  const height = Math.floor(
    ((sheet.length - margin.top - margin.bottom) / MM_PER_INCH) * ppi + 1e-6,
  );
  // A piece that ends where the printer's margin begins may be rounded beyond it by a pixel.
  const at = (mm: number, long: number, most: number) =>
    Math.max(0, Math.min(px(mm), most - long));
  const boxes = sheet.places.map((p: CutPlace, i): Rect => ({
    left: at(p.x - margin.left, sizes[i]!.width, width),
    top: at(p.y - margin.top, sizes[i]!.height, height),
    ...sizes[i]!,
  }));
  const within = (r: Rect) =>
    r.left >= 0 && r.top >= 0 && r.left + r.width <= width && r.top + r.height <= height;
  const free = (r: Rect) => within(r) && !boxes.some((b) => cross(r, b));
  const aside = px(MARK.wide * 8);
  return {
    width,
    height,
    places: boxes.map(({ left, top }) => ({ left, top })),
    marks: marks ? boxes.flatMap((b) => marksOf(b, px)).filter(free) : [],
    words: labels
      ? boxes.flatMap((b, place) => {
          const words = {
            left: b.left + aside,
            top: b.top + b.height + px(WORDS.off),
            width: b.width - 2 * aside,
            height: px(WORDS.high),
          };
          return words.width > 0 && free(words)
            ? [{ place, left: words.left, top: words.top, wide: words.width }]
            : [];
        })
      : [],
  };
}
