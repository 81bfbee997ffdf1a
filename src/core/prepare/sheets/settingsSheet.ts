import { mm, pixelsFor } from '../../units';
import type { PixelRect, PrintPlan } from '../printPlan';
import { layOutSettingsEitherWay } from './layOutSettings';

/** Width to height of a cell that shows a piece of the picture. */
const PIECE = 1.25;

export interface SettingsSheetWish {
  /** The paper, mm. */
  sheet: { width: number; height: number };
  ppi: number;
  /** White at the edges, mm. */
  margin: number;
  /** Whether a cell shows the whole picture, or a piece at its full size. */
  of: 'whole' | 'piece';
  columns: number;
  count: number;
  plan: Pick<PrintPlan, 'image'>;
  /** Pixels of a control strip that is to lie on it; null: none does. */
  strip: { width: number; height: number } | null;
}

/** The cells of a settings sheet in its pixels, lying or standing; null where they get too small. */
export const layOutSettingsSheet = (wish: SettingsSheetWish) => {
  const { sheet, ppi, margin, of, columns, count, plan, strip } = wish;
  return layOutSettingsEitherWay({
    width: pixelsFor(mm(sheet.width), ppi),
    height: pixelsFor(mm(sheet.height), ppi),
    ppi,
    margin,
    columns,
    count,
    strip,
    proportion: of === 'whole' ? plan.image.width / plan.image.height : PIECE,
  });
};

/** Times a cell that the reduced copy of the whole picture is as large. */
const FINER = 2;

/** The whole printed picture in a cell, made of a reduced copy of it. */
export function cellWhole({ width, height }: PixelRect): PrintPlan {
  const image = { left: 0, top: 0, width, height };
  const source = { left: 0, top: 0, width: width * FINER, height: height * FINER };
  return { width, height, image, source, factor: 1 / FINER };
}

/**
 * A piece of the print (pixels) as large as a cell, about a place of its picture (0..1): never
 * beyond the picture's edge.
 */
export function cellPiece(
  { image }: Pick<PrintPlan, 'image'>,
  { x, y }: { x: number; y: number },
  cell: { width: number; height: number },
): PixelRect {
  const width = Math.min(cell.width, image.width);
  const height = Math.min(cell.height, image.height);
  const from = (at: number, most: number, long: number) =>
    Math.round(Math.min(most - long, Math.max(0, at * most - long / 2)));
  return {
    left: from(x, image.width, width),
    top: from(y, image.height, height),
    width,
    height,
  };
}

/** The part of the picture (0..1) that a cell shows: all that is printed, or its piece. */
export function partInCell(
  plan: Pick<PrintPlan, 'image' | 'source' | 'factor'>,
  picture: { width: number; height: number },
  desk: { of: 'whole' | 'piece'; x: number; y: number },
  cell: { width: number; height: number },
): [left: number, top: number, width: number, height: number] {
  const { source, factor } = plan;
  const piece =
    desk.of === 'whole'
      ? { left: 0, top: 0, width: source.width * factor, height: source.height * factor }
      : cellPiece(plan, desk, cell);
  return [
    (source.left + piece.left / factor) / picture.width,
    (source.top + piece.top / factor) / picture.height,
    piece.width / factor / picture.width,
    piece.height / factor / picture.height,
  ];
}
