import { mm, pixelsFor, mmOf } from '../../units';
import type { PixelRect, PrintPlan } from '../printPlan';
import { chooseSheet } from './packPieces';
import type { Piece, SheetChoice } from './packPieces';
import type { SheetPiece } from './kinds';

/** A place of the picture that is to be seen at every size, as shares of the whole picture. */
export interface ProofPlace {
  x: number;
  y: number;
  tests: SheetPiece['tests'];
}

/** A final size whose pieces are wanted. */
export interface ProofSize {
  sizeKey: string;
  sizeLabel: string;
  plan: PrintPlan;
  standMm: number;
}

export interface ProofWish {
  ppi: number;
  /** Sheets to choose from, mm. */
  sheets: readonly SheetChoice[];
  /** What the printer cannot print at each edge, mm. */
  margin: number;
  /** A piece, mm. */
  piece: { width: number; height: number };
  sizes: readonly ProofSize[];
  places: readonly ProofPlace[];
  /** Pixels of the whole picture, for it to lie small on the sheet; null: it does not. */
  overview: { width: number; height: number } | null;
  /** Pixels of a control strip that is to lie on it; null: none does. */
  strip: { width: number; height: number } | null;
}

/** A row of words on a sheet, pixels. */
export interface WordsPlace {
  left: number;
  top: number;
  wide: number;
}

export interface ProofLayout {
  /** mm. */
  sheet: SheetChoice;
  /** Pixels. */
  width: number;
  height: number;
  waste: number;
  pieces: (SheetPiece & { words: WordsPlace })[];
  overview: {
    plan: PrintPlan;
    place: PixelRect;
    /** Lines of the frames, and the number of each place in its corner. */
    marks: PixelRect[];
    numbers: (WordsPlace & { number: number })[];
  } | null;
  /** Where the control strip lies, and its row of words. */
  strip: { place: PixelRect; words: WordsPlace } | null;
  foot: WordsPlace[];
  /** The line that is 100 mm long, with its ends. */
  check: { line: PixelRect[]; words: WordsPlace };
}

export type ProofProblem =
  | { code: 'nothing' }
  /** The place, counted from 0, is not in the picture as that size is cropped. */
  | { code: 'outside'; place: number; sizeLabel: string }
  /** No sheet holds all pieces. */
  | { code: 'noRoom' };

/** Lengths on a sheet, mm: under a piece for its caption, at the foot, between pieces, lines. */
const CAPTION = 7.5;
const FOOT = 19;
const GUTTER = 4;
const LINE = 0.25;
const LINE_OF_WORDS = 3.6;
const CHECK = 100;
const OVERVIEW = 62;
const NUMBER = 4;

const linePixels = (ppi: number) => Math.max(1, pixelsFor(mm(LINE), ppi));

/** A frame of four lines. */
const frame = ({ left, top, width, height }: PixelRect, thick: number): PixelRect[] => [
  { left, top, width, height: thick },
  { left, top: top + height - thick, width, height: thick },
  { left, top, width: thick, height },
  { left: left + width - thick, top, width: thick, height },
];

/** The piece of a print about a place of the picture; null when the place is cropped away. */
function regionAbout(
  { x, y }: ProofPlace,
  whole: { width: number; height: number },
  { image, source }: PrintPlan,
  width: number,
  height: number,
): PixelRect | null {
  const across = ((x * whole.width - source.left) / source.width) * image.width;
  const down = ((y * whole.height - source.top) / source.height) * image.height;
  if (across < 0 || across > image.width || down < 0 || down > image.height) return null;
  const w = Math.min(width, image.width);
  const h = Math.min(height, image.height);
  const from = (at: number, long: number, most: number) =>
    Math.round(Math.min(most - long, Math.max(0, at - long / 2)));
  return {
    left: from(across, w, image.width),
    top: from(down, h, image.height),
    width: w,
    height: h,
  };
}

/**
 * Lays a resolution proof out: every place at every size, each piece as large as it was
 * wished for and at the final size's pixels; on the sheet with the least waste.
 * `whole`: pixels of the picture.
 */
export function layOutProof(
  wish: ProofWish,
  whole: { width: number; height: number },
): ProofLayout | ProofProblem {
  const { ppi, sizes, places, overview } = wish;
  const px = (length: number) => pixelsFor(mm(length), ppi);
  if (sizes.length === 0 || places.length === 0) return { code: 'nothing' };
  const wanted: (Omit<SheetPiece, 'place'> & Piece)[] = [];
  for (const [i, place] of places.entries())
    for (const { sizeKey, sizeLabel, plan, standMm } of sizes) {
      const region = regionAbout(
        place,
        whole,
        plan,
        px(wish.piece.width),
        px(wish.piece.height),
      );
      if (!region) return { code: 'outside', place: i, sizeLabel };
      wanted.push({
        number: i + 1,
        sizeKey,
        sizeLabel,
        factor: plan.factor,
        region,
        tests: place.tests,
        standMm,
        width: region.width,
        height: region.height + px(CAPTION),
        group: i,
      });
    }
  const scale = overview && px(OVERVIEW) / Math.max(overview.width, overview.height);
  const small = overview &&
    scale && {
      width: Math.round(overview.width * scale),
      height: Math.round(overview.height * scale),
    };
  const margin = Math.max(px(wish.margin), 1);
  const strip = wish.strip && {
    width: wish.strip.width,
    height: wish.strip.height + px(CAPTION) / 2,
  };
  const packed = chooseSheet(
    [...wanted, ...(small ? [{ ...small, aside: true }] : []), ...(strip ? [strip] : [])],
    wish.sheets.map((s) => ({ ...s, width: px(s.width), height: px(s.height) })),
    { margin, gutter: px(GUTTER), foot: px(FOOT) },
  );
  if (!packed) return { code: 'noRoom' };
  const { width, height } = packed.sheet;
  const pieces = wanted.map(({ width: wide, height: _, group: __, ...piece }, i) => {
    const place = packed.places[i]!;
    const words = {
      left: place.left,
      top: place.top + piece.region.height + px(0.6),
      wide,
    };
    return { ...piece, place, words };
  });
  const thick = linePixels(ppi);
  const at = small ? packed.places[wanted.length] : undefined;
  const stripAt = packed.places.at(-1);
  const footTop = height - margin - px(FOOT) + px(2);
  const inner = width - 2 * margin;
  const row = (i: number): WordsPlace => ({
    left: margin,
    top: footTop + i * px(LINE_OF_WORDS),
    wide: inner,
  });
  const long = Math.min(inner, px(CHECK));
  const lineTop = footTop + Math.round(2.6 * px(LINE_OF_WORDS));
  const tick = px(2.4);
  return {
    sheet: {
      name: packed.sheet.name,
      width: mmOf(width, ppi),
      height: mmOf(height, ppi),
    },
    width,
    height,
    waste: packed.waste,
    pieces,
    overview: small && at ? overviewAt(small, at, whole, wish, pieces) : null,
    strip:
      wish.strip && stripAt
        ? {
            place: { ...stripAt, ...wish.strip },
            words: {
              ...stripAt,
              top: stripAt.top + wish.strip.height + px(0.6),
              wide: wish.strip.width,
            },
          }
        : null,
    foot: [row(0), row(1)],
    check: {
      line: [
        { left: margin, top: lineTop, width: long, height: thick },
        { left: margin, top: lineTop - tick / 2, width: thick, height: tick },
        {
          left: margin + long - thick,
          top: lineTop - tick / 2,
          width: thick,
          height: tick,
        },
      ].map((r) => ({ ...r, top: Math.round(r.top) })),
      words: { left: margin, top: lineTop + px(1), wide: inner },
    },
  };
}

/** The whole picture small, with a frame where each piece of it is. */
function overviewAt(
  small: { width: number; height: number },
  at: { left: number; top: number },
  whole: { width: number; height: number },
  { sizes, ppi }: ProofWish,
  pieces: readonly SheetPiece[],
): NonNullable<ProofLayout['overview']> {
  const thick = linePixels(ppi);
  const image = { left: 0, top: 0, ...small };
  const source = { left: 0, top: 0, ...whole };
  const frames = pieces.map(({ number, sizeKey, region }) => {
    const { plan } = sizes.find((s) => s.sizeKey === sizeKey)!;
    const toPicture = plan.source.width / plan.image.width;
    const scale = small.width / whole.width;
    const x = (plan.source.left + region.left * toPicture) * scale;
    const y = (plan.source.top + region.top * toPicture) * scale;
    const width = Math.max(3 * thick, Math.round(region.width * toPicture * scale));
    const height = Math.max(3 * thick, Math.round(region.height * toPicture * scale));
    return {
      number,
      left: at.left + Math.round(Math.min(small.width - width, Math.max(0, x))),
      top: at.top + Math.round(Math.min(small.height - height, Math.max(0, y))),
      width: Math.min(width, small.width),
      height: Math.min(height, small.height),
    };
  });
  return {
    plan: { ...small, image, source, factor: small.width / whole.width },
    place: { ...at, ...small },
    marks: frames.flatMap((rect) => frame(rect, thick)),
    // Once for each place: its frames at several sizes lie in one another.
    numbers: frames
      .filter((f, i) => frames.findIndex((g) => g.number === f.number) === i)
      .map(({ number, left, top }) => ({
        number,
        left: left + thick,
        top: top + thick,
        wide: pixelsFor(mm(NUMBER), ppi),
      })),
  };
}
