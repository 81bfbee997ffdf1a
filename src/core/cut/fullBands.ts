import { filled, freeRegion, joined } from './region';
import type { Region } from './region';
import type { Search } from './search';

/** A column of this share of its height and width is one. */
const COLUMN_FULL = 0.93;
/** Heights that are tried for a band, and how much work that may be at most. */
const HEIGHTS = 60;
const LEAST_HEIGHTS = 4;
const WORK = 4e7;
/** Highest band, as a share of the width. */
const HIGHEST = 0.6;
/** Finest parting of the width where no whole unit parts all of it. */
const CELLS = 4000;

interface Lying {
  piece: number;
  width: number;
  height: number;
  turned: boolean;
}

/** Pieces one under another, as wide as the widest. */
interface Column {
  width: number;
  area: number;
  stack: Lying[];
}

const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));

/** What widths are counted in: a unit that parts all of them exactly, where one is coarse enough. */
function cellOf(width: number, lying: readonly Lying[]): number {
  const unit = lying.reduce((u, o) => gcd(u, o.width), width);
  return width / unit <= CELLS ? unit : width / CELLS;
}

/** Columns that share no piece, for a band of a height: high pieces first, then stacks on wide ones. */
function columnsFor(height: number, lying: readonly Lying[], search: Search): Column[] {
  const rank = (o: Lying) =>
    o.height >= COLUMN_FULL * height
      ? 10 + o.height / height + search.chance() * 0.05
      : o.width / height + search.chance() * 0.1;
  const fit = lying
    .filter((o) => o.height <= height)
    .map((o) => ({ o, rank: rank(o) }))
    .sort((a, b) => b.rank - a.rank)
    .map(({ o }) => o);
  const used = new Set<number>();
  const columns: Column[] = [];
  for (const base of fit) {
    if (used.has(base.piece)) continue;
    const stack = [base];
    let [under, area] = [height - base.height, base.width * base.height];
    for (let next: Lying | null = base; next && base.width <= search.limits.across;) {
      next = null;
      let most = 0;
      for (const o of fit) {
        const its = o.width * o.height;
        if (its <= most || o.width > base.width || o.height > under) continue;
        if (used.has(o.piece) || stack.some((s) => s.piece === o.piece)) continue;
        [next, most] = [o, its];
      }
      if (!next) break;
      stack.push(next);
      under -= next.height;
      area += most;
    }
    if (area < COLUMN_FULL * base.width * height) continue;
    for (const { piece } of stack) used.add(piece);
    columns.push({ width: base.width, area, stack });
  }
  return columns;
}

/** Of some columns those that fill a width best. */
function fillWidth(columns: readonly Column[], width: number, cell: number): Column[] {
  const cells = Math.floor(width / cell + 1e-9);
  const best = new Float64Array(cells + 1);
  const taken = columns.map(({ width: wide, area }) => {
    const its = Math.floor(wide / cell + 1e-9);
    const takes = new Uint8Array(cells + 1);
    for (let c = cells; c >= its; c -= 1) {
      const more = best[c - its]! + area;
      if (more <= best[c]!) continue;
      best[c] = more;
      takes[c] = 1;
    }
    return { its, takes };
  });
  const chosen: Column[] = [];
  let c = cells;
  for (let k = columns.length - 1; k >= 0; k -= 1)
    if (taken[k]!.takes[c] === 1) {
      chosen.push(columns[k]!);
      c -= taken[k]!.its;
    }
  // Counted in parts that are not exact, they may be wider than there is room.
  chosen.sort((a, b) => b.area - a.area);
  while (chosen.reduce((w, k) => w + k.width, 0) > width) chosen.pop();
  return chosen;
}

/** A band of columns as a region. */
function bandOf(columns: readonly Column[], width: number, height: number): Region {
  const parts = columns.map((column) => {
    const strips = column.stack.map((o) =>
      filled(
        freeRegion(column.width, o.height),
        o.piece,
        o.width,
        o.height,
        o.turned,
        true,
      ),
    );
    const under = height - column.stack.reduce((h, o) => h + o.height, 0);
    if (under > 0) strips.push(freeRegion(column.width, under));
    return joined(column.width, height, false, strips);
  });
  const beside = width - columns.reduce((w, k) => w + k.width, 0);
  if (beside > 0) parts.push(freeRegion(beside, height));
  return joined(width, height, true, parts);
}

/**
 * Bands from edge to edge of a roll of which at least a share (`good`) is pieces: one after
 * another the fullest that is found among several heights, each of columns that a knapsack
 * chooses. What makes no such band any more is `left`. It tells how much of the pieces lies, 0..1.
 */
export function* fullBands(
  search: Search,
  blocks: readonly number[],
  width: number,
  good: number,
): Generator<number, { bands: Region[]; left: number[] }, void> {
  let lying = blocks.flatMap((piece): Lying[] => {
    const { width: w, height: h } = search.blocks[piece]!;
    const [upright, turned] = search.ways(piece, width);
    return [
      ...(upright ? [{ piece, width: w, height: h, turned: false }] : []),
      ...(turned && (w !== h || !upright)
        ? [{ piece, width: h, height: w, turned: true }]
        : []),
    ];
  });
  const cell = cellOf(width, lying);
  const most = Math.min(HIGHEST * width, search.limits.down);
  const bands: Region[] = [];
  const lies = new Set<number>();
  while (lying.length > 0) {
    const any = () => lying[Math.floor(search.chance() * lying.length)]!.height;
    const tries = Math.floor(WORK / lying.length ** 2);
    const wanted = Math.max(LEAST_HEIGHTS, Math.min(HEIGHTS, tries));
    const heights = new Set<number>();
    for (let n = 0; n < 3 * wanted && heights.size < wanted; n += 1) {
      const height = any() + (search.chance() < 0.5 ? any() : 0);
      if (height <= most) heights.add(height);
    }
    let best: { columns: Column[]; height: number; share: number } | null = null;
    for (const height of heights) {
      const columns = fillWidth(columnsFor(height, lying, search), width, cell);
      const share = columns.reduce((a, k) => a + k.area, 0) / (width * height);
      if (!best || share > best.share) best = { columns, height, share };
    }
    if (!best || best.share < good) break;
    bands.push(bandOf(best.columns, width, best.height));
    for (const { stack } of best.columns) for (const { piece } of stack) lies.add(piece);
    lying = lying.filter((o) => !lies.has(o.piece));
    yield lies.size / blocks.length;
  }
  return { bands, left: blocks.filter((b) => !lies.has(b)) };
}
