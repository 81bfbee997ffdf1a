import type { CutSheetPlan } from '@/core/cut';

/** The table that sheets lie on: its width, and how much of its height is wanted, drawing units. */
export const TABLE = { width: 744, height: 560 };
/** Between sheets; above them their width, under them their name; how much of a roll is seen beyond its cut. */
const GAP = 34;
const ABOVE = 30;
const BELOW = 26;
const STUB = 34;
const LEFT = 14;
const WAYS = 14;
/** Beside a roll its width is written. */
const BESIDE = 20;
const LARGEST = 0.62;
const SMALLEST = 0.16;

/** A sheet on the table: where its corner lies, drawing units. */
export interface OnTable {
  x: number;
  y: number;
  width: number;
  height: number;
  /** A roll lies along the table: what is its left edge lies at the bottom. */
  lying: boolean;
}

export interface Table {
  /** Drawing units for a millimetre: one for all. */
  scale: number;
  height: number;
  sheets: OnTable[];
}

function rows(
  sheets: readonly CutSheetPlan[],
  rolls: ReadonlySet<string>,
  scale: number,
): Table {
  const placed: OnTable[] = [];
  let x = LEFT;
  // At the right of the first row stand the ways to take the drawing out.
  let y = ABOVE + WAYS;
  let deepest = 0;
  for (const sheet of sheets) {
    const lying = rolls.has(sheet.stock);
    const [width, height] = lying
      ? [sheet.length * scale, sheet.width * scale]
      : [sheet.width * scale, sheet.length * scale];
    const [before, after] = lying ? [BESIDE, STUB] : [0, 0];
    if (x > LEFT && x + before + width + after > TABLE.width) {
      x = LEFT;
      y += deepest + ABOVE + BELOW;
      deepest = 0;
    }
    placed.push({ x: x + before, y, width, height, lying });
    deepest = Math.max(deepest, height);
    x += before + width + after + GAP;
  }
  return { scale, height: y + deepest + BELOW, sheets: placed };
}

/** Lays sheets on the table in rows, all to one scale: the largest at which they are all in sight. */
export function layOnTable(
  sheets: readonly CutSheetPlan[],
  rolls: ReadonlySet<string>,
): Table {
  const room = (s: CutSheetPlan) =>
    rolls.has(s.stock)
      ? (TABLE.width - LEFT - BESIDE - STUB) / s.length
      : (TABLE.width - 2 * LEFT) / s.width;
  const most = Math.min(LARGEST, ...sheets.map(room));
  for (let scale = most; scale > SMALLEST; scale *= 0.96) {
    const laid = rows(sheets, rolls, scale);
    if (laid.height <= TABLE.height) return laid;
  }
  return rows(sheets, rolls, Math.min(most, SMALLEST));
}

interface Box {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** Where a place of a sheet (mm) is on the table (drawing units). */
export const pointOn = (
  on: OnTable,
  { width }: Pick<CutSheetPlan, 'width'>,
  scale: number,
  p: { x: number; y: number },
): { x: number; y: number } =>
  on.lying
    ? { x: on.x + p.y * scale, y: on.y + (width - p.x) * scale }
    : { x: on.x + p.x * scale, y: on.y + p.y * scale };

/** Where a part of a sheet (mm) is on the table (drawing units). */
export function boxOn(
  on: OnTable,
  sheet: Pick<CutSheetPlan, 'width'>,
  scale: number,
  box: Box,
): Box {
  const corner = on.lying ? { x: box.x + box.width, y: box.y } : box;
  const [width, height] = on.lying ? [box.height, box.width] : [box.width, box.height];
  return {
    ...pointOn(on, sheet, scale, corner),
    width: width * scale,
    height: height * scale,
  };
}

/** The upper left corner on its sheet (mm) of a part that lies on the table (drawing units). */
export const cornerOf = (
  on: OnTable,
  { width }: Pick<CutSheetPlan, 'width'>,
  scale: number,
  box: Box,
): { x: number; y: number } =>
  on.lying
    ? { x: width - (box.y + box.height - on.y) / scale, y: (box.x - on.x) / scale }
    : { x: (box.x - on.x) / scale, y: (box.y - on.y) / scale };

/** Which way on its sheet something goes that goes this way on the table. */
export const wayOn = ({ lying }: Pick<OnTable, 'lying'>, dx: number, dy: number) =>
  lying ? { x: -dy, y: dx } : { x: dx, y: dy };

/** Lines that a piece is drawn to when it is let go near them, mm. */
const NEAR = 4;

/** Where something of this size comes to lie that is let go at a place: at an edge that is near, else there. */
export function snapped(
  sheet: CutSheetPlan,
  size: { width: number; height: number },
  at: { x: number; y: number },
  {
    margin,
    gap,
    edge,
  }: {
    margin: { left: number; right: number; top: number; bottom: number };
    /** Between two pieces, and between a piece and the margin. */
    gap: number;
    edge: number;
  },
  others: readonly { x: number; y: number; width: number; height: number }[],
): { x: number; y: number } {
  const near = (v: number, lines: readonly number[]) => {
    const best = lines.reduce(
      (a, b) => (Math.abs(b - v) < Math.abs(a - v) ? b : a),
      Infinity,
    );
    return Math.abs(best - v) <= NEAR ? best : Math.round(v);
  };
  const within = (v: number, low: number, high: number) =>
    Math.max(low, Math.min(Math.max(low, high), v));
  const left = margin.left + edge;
  const top = margin.top + edge;
  const right = sheet.width - margin.right - edge - size.width;
  const bottom = sheet.length - margin.bottom - edge - size.height;
  const xs = others.flatMap((o) => [o.x, o.x + o.width + gap, o.x - gap - size.width]);
  const ys = others.flatMap((o) => [o.y, o.y + o.height + gap, o.y - gap - size.height]);
  const exact = (v: number) => Math.round(v * 10_000) / 10_000;
  return {
    x: exact(within(near(at.x, [left, right, ...xs]), left, right)),
    y: exact(within(near(at.y, [top, bottom, ...ys]), top, bottom)),
  };
}
