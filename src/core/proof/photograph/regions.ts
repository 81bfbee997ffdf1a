import { medianOf } from '../../capture/medianOf';
import type { Vector } from '../../colour';
import { cellsOf, gridOf, labOfLight } from './cells';
import type { Cell, LinearPicture, Placed } from './cells';
import { fieldAt } from './lightField';
import type { LightField } from './lightField';
import { borderOf, cardOf, fieldsOf } from './white';
import type { GreyCard } from './white';

/** What tells how light white paper is in a photograph. */
export type WhiteFrom =
  /** The white that runs around the print. */
  | 'border'
  /** A grey card beside it. */
  | 'card'
  /** The original beside it: what both have in common falls out. */
  | 'original'
  /** Nothing: only how parts differ from each other is told. */
  | 'none';

/** A part of a picture, and how it was printed there; CIELAB over white paper. */
export interface Region {
  column: number;
  row: number;
  master: Vector;
  printed: Vector;
  /** Of one colour all over. */
  even: boolean;
}

export interface Regions {
  columns: number;
  rows: number;
  regions: Region[];
  white: WhiteFrom;
  /** Between the lightest and the darkest place of the photograph's picture, stops, as the light fell. */
  falloff: number;
}

const { exp, floor, hypot, max, min } = Math;

const printedOf = (cell: Cell, fields: readonly LightField[]): Vector =>
  labOfLight(
    cell.seen.map((v, c) => v / exp(fieldAt(fields[c]!, cell.x, cell.y))) as Vector,
  );

/** Beyond this what runs around a print cannot be the white of its paper: L* in the middle, darker or lighter than the original, and a* or b*. */
const NOT_WHITE = { darker: 18, lighter: 9, colour: 14, over: 1.5 };
/** Share of the parts that may be lighter yet: glare. */
const LIGHTEST = 0.01;

/** Lightness from which paper is bare, and up to which a picture cannot have come out so. */
const BARE = { paper: 96, picture: 88 };

/** Whether bare paper lies where a picture has a colour: the print was cut off there. */
const isBare = (printed: Vector, master: Vector): boolean =>
  printed[0] > BARE.paper && master[0] < BARE.picture;

/** How far all of a print is off in the middle; by it a border that is not white is known. */
function couldBeWhite(cells: readonly Cell[], fields: readonly LightField[]): boolean {
  const printed = cells.map((cell) => printedOf(cell, fields));
  const middle = (c: 0 | 1 | 2) =>
    medianOf(cells.map(({ lab }, i) => printed[i]![c] - lab[c]));
  const lightness = middle(0);
  const lightest = printed.map(([l]) => l).sort((a, b) => b - a);
  return (
    // Nothing printed is lighter than the paper.
    lightest[floor(cells.length * LIGHTEST)]! < 100 + NOT_WHITE.over &&
    lightness > -NOT_WHITE.darker &&
    lightness < NOT_WHITE.lighter &&
    hypot(middle(1), middle(2)) < NOT_WHITE.colour
  );
}

/**
 * A print in a photograph held against its picture, part by part: light that falls off taken out, white made
 * white by the border around the print, a grey card, or the original that lies beside it. Null where
 * too little of the picture lies in the photograph.
 */
export function regionsOf(
  picture: LinearPicture,
  photograph: LinearPicture,
  proof: Placed,
  given: { original?: Placed | null; card?: GreyCard | null } = {},
): Regions | null {
  const cells = cellsOf(picture, photograph, proof);
  if (cells.length < 40) return null;
  const beside = given.original ? cellsOf(picture, photograph, given.original) : [];
  const pictures = beside.length > 0 ? [cells, beside] : [cells];
  const border = given.card
    ? cardOf(given.card, photograph)
    : borderOf(picture, photograph, proof.way);
  const known = border[1]!.length > 0;
  let fields = fieldsOf(pictures, border);
  const white = known && couldBeWhite(cells, fields);
  if (known && !white) fields = fieldsOf(pictures, [[], [], []]);
  const originals = new Map(beside.map((c) => [`${c.column} ${c.row}`, c]));
  const regions = cells.flatMap((cell): Region[] => {
    const seen = printedOf(cell, fields);
    const { column, row, lab, even } = cell;
    if (isBare(seen, lab)) return [];
    if (beside.length === 0) return [{ column, row, master: lab, printed: seen, even }];
    const other = originals.get(`${column} ${row}`);
    if (!other) return [];
    const own = printedOf(other, fields);
    const printed = seen.map((v, c) => lab[c as 0] + v - own[c as 0]) as Vector;
    return [{ column, row, master: lab, printed, even: even && other.even }];
  });
  const light = cells.map((cell) => fieldAt(fields[1]!, cell.x, cell.y));
  return {
    ...gridOf(picture),
    regions,
    white:
      beside.length > 0 ? 'original' : white ? (given.card ? 'card' : 'border') : 'none',
    falloff: (max(...light) - min(...light)) / Math.LN2,
  };
}
