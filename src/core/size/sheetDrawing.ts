import { mm } from '../units';
import type { Millimetres } from '../units';
import type { FitResult } from './fit';
import { eachSide } from './layout';
import type { SizeRules } from './rules';

/** What a line of the drawing is, for how it is drawn. */
export type LineKind =
  | 'paper'
  | 'sheet'
  | 'image'
  | 'bleed'
  | 'unprintable'
  | 'trimMark'
  | 'centreMark'
  | 'sign'
  | 'dimension';

/** A straight line, mm from the paper's top left corner. */
export interface DrawnLine {
  kind: LineKind;
  x1: number;
  y1: number;
  x2: number;
  y2: number;
}

export type SignPlace = 'number' | 'title' | 'signature';

/** What stands at a place of the drawing: a measure, or where something is written by hand. */
export interface DrawnLabel {
  x: number;
  y: number;
  /** Reads from below. */
  upright: boolean;
  says: { kind: 'length'; length: Millimetres } | { kind: 'place'; place: SignPlace };
}

/** A measure: its ends along the top (or, upright, along the right), and where its line runs. */
export interface DrawnMeasure {
  from: number;
  to: number;
  at: number;
  upright: boolean;
  length: Millimetres;
}

export interface SheetDrawing {
  lines: DrawnLine[];
  measures: DrawnMeasure[];
  labels: DrawnLabel[];
}

interface Box {
  left: number;
  top: number;
  right: number;
  bottom: number;
}

const MARK = 5;
const MARK_GAP = 2;
const HAIR = 0.05;
/** A pencilled line is written this far below the image, or in the middle of less room. */
const WRITTEN_AT = 9;

const line = (
  kind: LineKind,
  x1: number,
  y1: number,
  x2: number,
  y2: number,
): DrawnLine => ({
  kind,
  x1,
  y1,
  x2,
  y2,
});

const outline = (kind: LineKind, b: Box): DrawnLine[] => [
  line(kind, b.left, b.top, b.right, b.top),
  line(kind, b.right, b.top, b.right, b.bottom),
  line(kind, b.right, b.bottom, b.left, b.bottom),
  line(kind, b.left, b.bottom, b.left, b.top),
];

const grown = (b: Box, by: number): Box => ({
  left: b.left - by,
  top: b.top - by,
  right: b.right + by,
  bottom: b.bottom + by,
});

/** Paper, sheet and image of a print as boxes, mm from the paper's top left corner. */
export function boxesOf(fit: FitResult): { paper: Box; sheet: Box; image: Box } {
  const { beyond, paper, sheet } = fit;
  const box = (left: number, top: number, width: number, height: number): Box => ({
    left,
    top,
    right: left + width,
    bottom: top + height,
  });
  return {
    paper: box(0, 0, paper.width, paper.height),
    sheet: box(beyond, beyond, sheet.width, sheet.height),
    image: box(beyond + fit.left, beyond + fit.above, fit.image.width, fit.image.height),
  };
}

/** Marks outside the corners of a sheet, where it is cut, and at the middle of its edges. */
export function cutMarks(sheet: Box, bleed: number): DrawnLine[] {
  const from = bleed + MARK_GAP;
  const to = from + MARK;
  const { left, top, right, bottom } = sheet;
  const [x, y] = [(left + right) / 2, (top + bottom) / 2];
  const upDown = (kind: LineKind, at: number) => [
    line(kind, at, top - to, at, top - from),
    line(kind, at, bottom + from, at, bottom + to),
  ];
  const across = (kind: LineKind, at: number) => [
    line(kind, left - to, at, left - from, at),
    line(kind, right + from, at, right + to, at),
  ];
  return [
    ...upDown('trimMark', left),
    ...upDown('trimMark', right),
    ...across('trimMark', top),
    ...across('trimMark', bottom),
    ...upDown('centreMark', x),
    ...across('centreMark', y),
  ];
}

/** Where number, title and signature are pencilled: number left, title in the middle, signature right. */
export function signPlaces(
  fit: FitResult,
  rules: Pick<SizeRules, 'signingRoomMm'>,
): { place: SignPlace; from: number; to: number; y: number }[] {
  if (fit.below < rules.signingRoomMm) return [];
  const { image } = boxesOf(fit);
  const width = image.right - image.left;
  const y = image.bottom + Math.min(WRITTEN_AT, fit.below / 2);
  const at = (place: SignPlace, from: number, to: number) => ({
    place,
    from: image.left + from * width,
    to: image.left + to * width,
    y,
  });
  return [at('number', 0, 0.16), at('title', 0.34, 0.66), at('signature', 0.74, 1)];
}

/** The chain of measures along one axis: what is torn away, white, image, white; then the whole. */
function measures(
  edges: number[],
  whole: [number, number][],
  gap: number,
  start: number,
  upright: boolean,
): DrawnMeasure[] {
  const sign = upright ? 1 : -1;
  const chain = edges.slice(1).flatMap((to, i) => {
    const from = edges[i]!;
    return to - from < HAIR ? [] : [{ from, to, at: start + sign * gap }];
  });
  const totals = whole.map(([from, to], i) => ({
    from,
    to,
    at: start + sign * gap * (i + 2),
  }));
  return [...chain, ...totals].map((m) => ({ ...m, upright, length: mm(m.to - m.from) }));
}

/** A measure as lines: the line itself and a stroke at each end. */
export function measureLines(m: DrawnMeasure, stroke: number): DrawnLine[] {
  const p = (along: number, across: number) =>
    m.upright ? ([across, along] as const) : ([along, across] as const);
  const between = (a: readonly [number, number], b: readonly [number, number]) =>
    line('dimension', a[0], a[1], b[0], b[1]);
  return [
    between(p(m.from, m.at), p(m.to, m.at)),
    between(p(m.from, m.at - stroke), p(m.from, m.at + stroke)),
    between(p(m.to, m.at - stroke), p(m.to, m.at + stroke)),
  ];
}

/**
 * The drawing of a print on its paper, mm from the paper's top left corner: outlines, marks,
 * where it is signed, and its measures in chains `gap` apart, along the top and the right.
 */
export function sheetDrawing(
  fit: FitResult,
  rules: Pick<SizeRules, 'signingRoomMm' | 'printerMarginMm'>,
  gap: number,
): SheetDrawing {
  const { paper, sheet, image } = boxesOf(fit);
  const bleed = Math.max(...eachSide(fit.printed.bleed));
  const lines = [...outline('paper', paper)];
  if (fit.beyond > HAIR) lines.push(...outline('sheet', sheet));
  lines.push(...outline('image', image));
  if (bleed > 0)
    lines.push(
      ...outline('bleed', {
        left: image.left - fit.printed.bleed.left,
        right: image.right + fit.printed.bleed.right,
        top: image.top - fit.printed.bleed.above,
        bottom: image.bottom + fit.printed.bleed.below,
      }),
    );
  if (rules.printerMarginMm > 0)
    lines.push(...outline('unprintable', grown(paper, -rules.printerMarginMm)));
  lines.push(...cutMarks(sheet, bleed));
  const places = signPlaces(fit, rules);
  for (const s of places) lines.push(line('sign', s.from, s.y, s.to, s.y));
  const marks = bleed + MARK_GAP + MARK - fit.beyond;
  const clear = Math.max(0, marks);
  const wholes = (edge: 'x' | 'y'): [number, number][] => {
    const own: [number, number] =
      edge === 'x' ? [sheet.left, sheet.right] : [sheet.top, sheet.bottom];
    const all: [number, number] = edge === 'x' ? [0, paper.right] : [0, paper.bottom];
    return fit.beyond > HAIR ? [own, all] : [own];
  };
  const chains = [
    ...measures(
      [0, sheet.left, image.left, image.right, sheet.right, paper.right],
      wholes('x'),
      gap,
      -clear,
      false,
    ),
    ...measures(
      [0, sheet.top, image.top, image.bottom, sheet.bottom, paper.bottom],
      wholes('y'),
      gap,
      paper.right + clear,
      true,
    ),
  ];
  return {
    lines,
    measures: chains,
    labels: places.map(({ place, from, to, y }) => ({
      x: (from + to) / 2,
      y,
      upright: false,
      says: { kind: 'place', place },
    })),
  };
}

/** What stands against printing a sheet as it is laid out. */
export type SheetCaution =
  | { code: 'unprintable'; nearest: Millimetres; margin: Millimetres }
  | { code: 'noBleed' }
  | { code: 'noRoomToSign'; below: Millimetres; wanted: Millimetres };

/**
 * Cautions of a layout: picture nearer to the paper's edge than the printer prints, picture
 * to the edge without bleed, no room to sign.
 */
export function sheetCautions(
  fit: FitResult,
  rules: Pick<SizeRules, 'signingRoomMm' | 'printerMarginMm'>,
): SheetCaution[] {
  const { bleed } = fit.printed;
  const sides = [
    fit.left - bleed.left,
    fit.right - bleed.right,
    fit.above - bleed.above,
    fit.below - bleed.below,
  ];
  const nearest = mm(fit.beyond + Math.min(...sides));
  const toEdge = Math.min(fit.left, fit.right, fit.above, fit.below) < HAIR;
  const cautions: SheetCaution[] = [];
  if (nearest < rules.printerMarginMm - HAIR)
    cautions.push({ code: 'unprintable', nearest, margin: mm(rules.printerMarginMm) });
  if (toEdge && Math.max(...eachSide(bleed)) === 0) cautions.push({ code: 'noBleed' });
  if (fit.below < rules.signingRoomMm)
    cautions.push({
      code: 'noRoomToSign',
      below: fit.below,
      wanted: mm(rules.signingRoomMm),
    });
  return cautions;
}
