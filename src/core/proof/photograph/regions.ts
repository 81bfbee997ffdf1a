import type { Place } from '../../capture/geometry';
import { HUES, WORKING_TO_XYZ, apply, colourDifference, hueOf, labOf } from '../../colour';
import type { Vector } from '../../colour';
import type { PatchReading } from '../cgats';
import { compareStrips } from '../compareStrips';
import type { StripDrift } from '../compareStrips';
import type { Agreement } from './agreement';
import { fieldAt, lightField } from './lightField';
import type { LightField, LightSample } from './lightField';
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

/** A grey card: its place in the photograph, pixels, and what part of the light it throws back. */
export interface GreyCard extends Place {
  reflectance: number;
}

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

/** Parts along the longer side of a picture. */
const ALONG = 96;
/** Every second pixel of a part is read. */
const STEP = 2;
/** Outermost parts that are left out: their edge may not be the print's. */
const MARGIN = 1;
/** Spread of lightness, L*, up to which a part is of one colour. */
const EVEN = 3;
/** Light of a channel below which a part says nothing of the fall of light. */
const DARK = 0.004;
const { abs, exp, floor, hypot, log, max, min, round, sqrt } = Math;

interface Cell {
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

const labOfLight = (light: Readonly<Vector>): Vector =>
  labOf(apply(WORKING_TO_XYZ, [...light] as Vector));

function lightIn(
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
const GROUPS = 11 * (HUES.length + 1);
function groupOf([l, a, b]: Vector): number {
  const hue = hueOf(a, b);
  const tone = min(10, max(0, floor(l / 10)));
  return tone * (HUES.length + 1) + (hue ? HUES.indexOf(hue) + 1 : 0);
}

/** The parts of a picture that lie in a photograph, and are it there. */
function cellsOf(
  picture: LinearPicture,
  photograph: LinearPicture,
  { way, agreement }: Placed,
): Cell[] {
  const size = max(picture.width, picture.height) / ALONG;
  const columns = max(1, round(picture.width / size));
  const rows = max(1, round(picture.height / size));
  const wrong = new Set(
    agreement.parts
      .filter((p) => !p.plain && p.alike < 0.3)
      .map((p) => p.row * agreement.columns + p.column),
  );
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

/** How far outside of a picture its white border is looked for, shares of its longer side. */
const RINGS = [0.012, 0.02, 0.03];
const ALONG_SIDE = 48;
/** A border is of one light: most of it, within so much (logarithm). */
const OF_ONE_LIGHT = 0.05;
const MOST_OF_IT = 0.6;

/** Light in the border around a picture, where it is of one colour all around. */
function borderOf(
  picture: LinearPicture,
  photograph: LinearPicture,
  way: Way,
): LightSample[][] {
  const side = max(picture.width, picture.height);
  const channels: LightSample[][] = [[], [], []];
  let taken: LightField | null = null;
  for (const share of RINGS) {
    const out = share * side;
    const places: Place[] = [];
    for (let k = 0; k < ALONG_SIDE; k += 1) {
      const [x, y] = [picture.width, picture.height].map(
        (v) => (v * (k + 0.5)) / ALONG_SIDE,
      ) as [number, number];
      places.push({ x, y: -out }, { x, y: picture.height + out });
      places.push({ x: -out, y }, { x: picture.width + out, y });
    }
    const ring: LightSample[][] = [[], [], []];
    for (const place of places) {
      const light: Vector = [0, 0, 0];
      let n = 0;
      const reach = 0.003 * side;
      let inside = true;
      for (let dy = -1; dy <= 1; dy += 1)
        for (let dx = -1; dx <= 1; dx += 1) {
          const at = perspectivePoint(way, place.x + dx * reach, place.y + dy * reach);
          inside &&=
            at.x > 1 &&
            at.y > 1 &&
            at.x < photograph.width - 1 &&
            at.y < photograph.height - 1;
          if (!inside) continue;
          lightIn(photograph, at.x, at.y, light);
          n += 1;
        }
      if (!inside || light.some((v) => v / n < DARK)) continue;
      const at = perspectivePoint(way, place.x, place.y);
      light.forEach((v, c) =>
        ring[c]!.push({
          x: (2 * at.x) / photograph.width - 1,
          y: (2 * at.y) / photograph.height - 1,
          value: log(v / n),
          weight: 1,
          group: null,
        }),
      );
    }
    const green = ring[1]!;
    if (green.length < places.length * 0.4) continue;
    const field = lightField(green, 0);
    const near = green.map((s) => abs(s.value - fieldAt(field, s.x, s.y)) < OF_ONE_LIGHT);
    if (near.filter(Boolean).length < MOST_OF_IT * green.length) continue;
    const first = taken;
    if (
      first &&
      green.some(
        (s) => abs(fieldAt(field, s.x, s.y) - fieldAt(first, s.x, s.y)) > OF_ONE_LIGHT,
      )
    )
      continue;
    taken ??= field;
    ring.forEach((list, c) => channels[c]!.push(...list.filter((_, i) => near[i])));
  }
  return channels;
}

/** Light of a grey card, as if it were white. */
function cardOf(
  { x, y, reflectance }: GreyCard,
  photograph: LinearPicture,
): LightSample[][] {
  const light: Vector = [0, 0, 0];
  let n = 0;
  const reach = max(2, max(photograph.width, photograph.height) / 250);
  for (let dy = -2; dy <= 2; dy += 1)
    for (let dx = -2; dx <= 2; dx += 1, n += 1)
      lightIn(photograph, x + (dx * reach) / 2, y + (dy * reach) / 2, light);
  return light.map((v) => [
    {
      x: (2 * x) / photograph.width - 1,
      y: (2 * y) / photograph.height - 1,
      value: log(max(1e-5, v / n / reflectance)),
      weight: 1,
      group: null,
    },
  ]);
}

/** The fall of light by channel, from the parts of pictures and what is known to be white. */
function fieldsOf(
  pictures: readonly Cell[][],
  white: readonly LightSample[][],
): LightField[] {
  return [0, 1, 2].map((c) => {
    const samples: LightSample[] = [];
    let weight = 0;
    pictures.forEach((cells, p) =>
      cells.forEach((cell) => {
        const [own, seen] = [cell.master[c as 0], cell.seen[c as 0]];
        if (own < DARK || seen < DARK) return;
        const w = (own / (own + 0.02)) * (cell.even ? 1 : 0.4);
        weight += w;
        samples.push({
          x: cell.x,
          y: cell.y,
          value: log(seen / own),
          weight: w,
          group: cell.group + p * GROUPS,
        });
      }),
    );
    const known = white[c]!;
    // What is white counts as much as all that is printed.
    const each = max(1, weight) / max(1, known.length);
    samples.push(...known.map((s) => ({ ...s, weight: each })));
    return lightField(samples, GROUPS * pictures.length);
  });
}

const printedOf = (cell: Cell, fields: readonly LightField[]): Vector =>
  labOfLight(
    cell.seen.map((v, c) => v / exp(fieldAt(fields[c]!, cell.x, cell.y))) as Vector,
  );

/** Beyond this what runs around a print cannot be the white of its paper: L* in the middle, darker or lighter than the original, and a* or b*. */
const NOT_WHITE = { darker: 18, lighter: 9, colour: 14 };

/** How far all of a print is off in the middle; by it a border that is not white is known. */
function couldBeWhite(cells: readonly Cell[], fields: readonly LightField[]): boolean {
  const middle = (c: 0 | 1 | 2) => {
    const off = cells.map((cell) => printedOf(cell, fields)[c] - cell.lab[c]);
    return off.sort((a, b) => a - b)[off.length >> 1]!;
  };
  const lightness = middle(0);
  return (
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
  const white = known && (given.card ? true : couldBeWhite(cells, fields));
  if (known && !white) fields = fieldsOf(pictures, [[], [], []]);
  const originals = new Map(beside.map((c) => [`${c.column} ${c.row}`, c]));
  const regions = cells.flatMap((cell): Region[] => {
    const seen = printedOf(cell, fields);
    const { column, row, lab, even } = cell;
    if (beside.length === 0) return [{ column, row, master: lab, printed: seen, even }];
    const other = originals.get(`${column} ${row}`);
    if (!other) return [];
    const own = printedOf(other, fields);
    const printed = seen.map((v, c) => lab[c as 0] + v - own[c as 0]) as Vector;
    return [{ column, row, master: lab, printed, even: even && other.even }];
  });
  const light = cells.map((cell) => fieldAt(fields[1]!, cell.x, cell.y));
  const size = max(picture.width, picture.height) / ALONG;
  return {
    columns: max(1, round(picture.width / size)),
    rows: max(1, round(picture.height / size)),
    regions,
    white:
      beside.length > 0 ? 'original' : white ? (given.card ? 'card' : 'border') : 'none',
    falloff: (max(...light) - min(...light)) / Math.LN2,
  };
}

const named = ({ column, row }: Region, lab: Vector): PatchReading => ({
  name: `${column} ${row}`,
  lab,
});

/** Parts that are of one colour, where there are enough of them; else all. */
const telling = (regions: readonly Region[]): readonly Region[] => {
  const even = regions.filter((r) => r.even);
  return even.length >= 0.2 * regions.length ? even : regions;
};

/** How a print differs from its picture, by tone and hue and part by part. Null of no parts. */
export function differencesOf({ regions }: Pick<Regions, 'regions'>): StripDrift | null {
  const told = telling(regions);
  const drift = compareStrips(
    told.map((r) => named(r, r.printed)),
    told.map((r) => named(r, r.master)),
  );
  return 'code' in drift ? null : drift;
}

/** The main colours of a picture and how they were printed, with the share of the picture that each is. */
export function coloursOf({ regions }: Pick<Regions, 'regions'>): {
  name: string;
  master: Vector;
  printed: Vector;
  share: number;
}[] {
  const told = telling(regions);
  const groups = new Map<number, Region[]>();
  for (const region of told) {
    const group = groupOf(region.master);
    groups.set(group, [...(groups.get(group) ?? []), region]);
  }
  const mean = (list: Region[], of: (r: Region) => Vector) =>
    [0, 1, 2].map(
      (c) => list.reduce((t, r) => t + of(r)[c as 0], 0) / list.length,
    ) as Vector;
  return [...groups.entries()]
    .sort(([a], [b]) => a - b)
    .map(([group, list]) => ({
      name: String(group),
      master: mean(list, (r) => r.master),
      printed: mean(list, (r) => r.printed),
      share: list.length / told.length,
    }));
}

/** Places that are named as the worst, and how far apart they lie, parts. */
const WORST = 3;
const APART = 12;

/** Where a print differs most, CIEDE2000: places apart from each other, the worst first. */
export function worstRegions({
  regions,
}: Pick<Regions, 'regions'>): (Region & { difference: number })[] {
  const sorted = telling(regions)
    .map((r) => ({ ...r, difference: colourDifference(r.master, r.printed) }))
    .sort((a, b) => b.difference - a.difference);
  const kept: typeof sorted = [];
  for (const region of sorted) {
    if (kept.length >= WORST) break;
    if (kept.every((k) => hypot(k.column - region.column, k.row - region.row) >= APART))
      kept.push(region);
  }
  return kept;
}
