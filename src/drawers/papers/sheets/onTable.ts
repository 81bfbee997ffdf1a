import type { CutSheetPlan } from '@/core/cut';

/** The table that sheets lie on: its width, and how much of its height is wanted, drawing units. */
export const TABLE = { width: 744, height: 560 };
/** Between sheets; above them their width, under them their name; how much of a roll is seen beyond its cut. */
const GAP = 34;
const ABOVE = 26;
const BELOW = 26;
const STUB = 34;
const LARGEST = 0.62;
const SMALLEST = 0.16;

/** A sheet on the table: where its corner lies, drawing units. */
export interface OnTable {
  x: number;
  y: number;
  width: number;
  height: number;
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
  let x = 14;
  let y = ABOVE;
  let deepest = 0;
  for (const sheet of sheets) {
    const width = sheet.width * scale;
    const height = sheet.length * scale;
    if (x > 14 && x + width > TABLE.width) {
      x = 14;
      y += deepest + ABOVE + BELOW;
      deepest = 0;
    }
    placed.push({ x, y, width, height });
    deepest = Math.max(deepest, height + (rolls.has(sheet.stock) ? STUB : 0));
    x += width + GAP;
  }
  return { scale, height: y + deepest + BELOW, sheets: placed };
}

/** Lays sheets on the table in rows, all to one scale: the largest at which they are all in sight. */
export function layOnTable(
  sheets: readonly CutSheetPlan[],
  rolls: ReadonlySet<string>,
): Table {
  const widest = Math.max(1, ...sheets.map((s) => s.width));
  const most = Math.min(LARGEST, (TABLE.width - 28) / widest);
  for (let scale = most; scale > SMALLEST; scale *= 0.96) {
    const laid = rows(sheets, rolls, scale);
    if (laid.height <= TABLE.height) return laid;
  }
  return rows(sheets, rolls, Math.min(most, SMALLEST));
}

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
