import { HUES, WORKING_TO_XYZ, apply, hueOf, labOf } from '../../colour';
import type { Vector } from '../../colour';
import { SAME } from './agreement';
import type { Agreement, Part } from './agreement';
import { perspectivePoint } from './perspective';
import type { Way } from './perspective';

/** A picture as light: three channels of the working space, linear, white 1, row by row. */
export interface LinearPicture {
  width: number;
  height: number;
  data: Float32Array;
}

/** Where in a photograph a picture lies, and how well it does. */
export interface Placed {
  way: Way;
  agreement: Agreement;
}

/** Parts along the longer side of a picture. */
const ALONG = 144;
/** Every second pixel of a part is read. */
const STEP = 2;
/** Outermost parts that are left out: their edge may not be the print's. */
const MARGIN = 1;
/** Spread of lightness, L*, up to which a part is of one colour. */
const EVEN = 3;
const { floor, max, min, round, sqrt } = Math;

/** A part of a picture, and the light of it in a photograph. */
export interface Cell {
  column: number;
  row: number;
  master: Vector;
  /** Light in the photograph, and where there, -1..1 each way. */
  seen: Vector;
  x: number;
  y: number;
  group: number;
  even: boolean;
  lab: Vector;
}

/** CIELAB of linear light of the working space. */
export const labOfLight = (light: Readonly<Vector>): Vector =>
  labOf(apply(WORKING_TO_XYZ, [...light] as Vector));

/** Adds the light at a place, between four pixels. */
export function lightIn(
  { width, height, data }: LinearPicture,
  x: number,
  y: number,
  out: Vector,
) {
  const u = min(width - 1.001, max(0, x - 0.5));
  const v = min(height - 1.001, max(0, y - 0.5));
  const [left, top] = [floor(u), floor(v)];
  const [fx, fy] = [u - left, v - top];
  const at = (top * width + left) * 3;
  const right = width > 1 ? 3 : 0;
  const below = height > 1 ? width * 3 : 0;
  for (let c = 0; c < 3; c += 1) {
    const i = at + c;
    const above = data[i]! + (data[i + right]! - data[i]!) * fx;
    const under = data[i + below]! + (data[i + below + right]! - data[i + below]!) * fx;
    out[c as 0] += above + (under - above) * fy;
  }
}

/** The group of a colour: what a print makes of it, it makes of all in it. */
export const GROUPS = 11 * (HUES.length + 1);
/** @example groupOf([55, 0, 0]) // 45 */
export function groupOf([l, a, b]: Vector): number {
  const hue = hueOf(a, b);
  const tone = min(10, max(0, floor(l / 10)));
  return tone * (HUES.length + 1) + (hue ? HUES.indexOf(hue) + 1 : 0);
}

/** @example groupName(groupOf([55, 40, 30])) // 'red, L* 55' */
export function groupName(group: number): string {
  const hue = group % (HUES.length + 1);
  const tone = floor(group / (HUES.length + 1));
  return `${hue === 0 ? 'neutral' : HUES[hue - 1]}, L* ${min(100, 10 * tone + 5)}`;
}

/** Columns and rows of parts of a picture. */
export function gridOf({ width, height }: LinearPicture): {
  columns: number;
  rows: number;
} {
  const size = max(width, height) / ALONG;
  return { columns: max(1, round(width / size)), rows: max(1, round(height / size)) };
}

/**
 * Parts that are not seen to be the picture: something else, or plain ones outside of all that are the
 * picture, where a print may have been cut off. Where nothing can be told at all, none.
 */
function elsewhere({ parts, columns }: Agreement): Set<number> {
  const told = parts.filter((p) => !p.plain);
  const same = told.filter((p) => p.alike >= SAME);
  if (same.length === 0) return new Set();
  const [rows, across] = [same.map((p) => p.row), same.map((p) => p.column)];
  const outside = (p: Part) =>
    p.row < min(...rows) ||
    p.row > max(...rows) ||
    p.column < min(...across) ||
    p.column > max(...across);
  return new Set(
    parts
      .filter((p) => (!p.plain && p.alike < SAME) || outside(p))
      .map((p) => p.row * columns + p.column),
  );
}

/** The parts of a picture that lie in a photograph, and are it there. */
export function cellsOf(
  picture: LinearPicture,
  photograph: LinearPicture,
  { way, agreement }: Placed,
): Cell[] {
  const { columns, rows } = gridOf(picture);
  const wrong = elsewhere(agreement);
  const cells: Cell[] = [];
  const seen: Vector = [0, 0, 0];
  for (let row = MARGIN; row < rows - MARGIN; row += 1)
    for (let column = MARGIN; column < columns - MARGIN; column += 1) {
      const part =
        floor((row * agreement.rows) / rows) * agreement.columns +
        floor((column * agreement.columns) / columns);
      if (wrong.has(part)) continue;
      const [x0, x1] = [column, column + 1].map((c) =>
        round((c * picture.width) / columns),
      ) as [number, number];
      const [y0, y1] = [row, row + 1].map((r) => round((r * picture.height) / rows)) as [
        number,
        number,
      ];
      const master: Vector = [0, 0, 0];
      seen.fill(0);
      let [n, sum, squares] = [0, 0, 0];
      let outside = false;
      for (let y = y0; y < y1 && !outside; y += STEP)
        for (let x = x0; x < x1; x += STEP) {
          const at = perspectivePoint(way, x + 0.5, y + 0.5);
          if (
            at.x < 1 ||
            at.y < 1 ||
            at.x > photograph.width - 1 ||
            at.y > photograph.height - 1
          ) {
            outside = true;
            break;
          }
          const i = (y * picture.width + x) * 3;
          for (let c = 0; c < 3; c += 1) master[c as 0] += picture.data[i + c]!;
          lightIn(photograph, at.x, at.y, seen);
          // Roots are nearly even in lightness.
          const root = 100 * sqrt(max(0, picture.data[i + 1]!));
          sum += root;
          squares += root * root;
          n += 1;
        }
      if (outside || n === 0) continue;
      const light = master.map((v) => v / n) as Vector;
      const lab = labOfLight(light);
      const middle = perspectivePoint(way, (x0 + x1) / 2, (y0 + y1) / 2);
      cells.push({
        column,
        row,
        master: light,
        seen: seen.map((v) => v / n) as Vector,
        x: (2 * middle.x) / photograph.width - 1,
        y: (2 * middle.y) / photograph.height - 1,
        group: groupOf(lab),
        even: squares / n - (sum / n) ** 2 < EVEN ** 2,
        lab,
      });
    }
  return cells;
}
