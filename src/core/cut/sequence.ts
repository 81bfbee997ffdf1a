/** A rectangle of a sheet, in whole units. */
export interface Box {
  x: number;
  y: number;
  width: number;
  height: number;
}

export interface Sequence {
  /** Straight cuts in order: where, from where to where. */
  cuts: { down: boolean; at: number; from: number; to: number }[];
  rests: Box[];
  /** Area of the rests that are kept. */
  kept: number;
}

export interface SequenceRules {
  longestCut: number;
  keeps(rest: Box): boolean;
}

/** Pieces in one hand up to which every order is tried. */
const EVERY_ORDER = 9;
const MOST_STATES = 4000;

interface Done {
  kept: number;
  cuts: number;
  /** The cut made first, and the two parts; null where the part is a piece, or rest. */
  first: { down: boolean; at: number } | null;
}

const right = (b: Box) => b.x + b.width;
const foot = (b: Box) => b.y + b.height;
const keyOf = (b: Box) => `${b.x} ${b.y} ${b.width} ${b.height}`;
const partsAt = (b: Box, down: boolean, at: number): [Box, Box] =>
  down
    ? [
        { ...b, width: at - b.x },
        { ...b, x: at, width: right(b) - at },
      ]
    : [
        { ...b, height: at - b.y },
        { ...b, y: at, height: foot(b) - at },
      ];

/** Lines along edges of pieces that cut through none of them. */
function openLines(pieces: readonly Box[], hand: Box, down: boolean): number[] {
  const from = (p: Box) => (down ? p.x : p.y);
  const to = (p: Box) => (down ? right(p) : foot(p));
  const [low, high] = [from(hand), to(hand)];
  const sorted = [...pieces].sort((a, b) => from(a) - from(b));
  const lines = new Set<number>();
  let reach = low;
  for (const p of sorted) {
    if (from(p) >= reach) {
      lines.add(reach);
      lines.add(from(p));
    }
    reach = Math.max(reach, to(p));
  }
  lines.add(reach);
  return [...lines].filter((at) => at > low && at < high);
}

const better = (a: Done, b: Done) => a.kept - b.kept || b.cuts - a.cuts;

/**
 * In which order a sheet is cut apart: each cut straight from edge to edge of the part in hand,
 * none through a piece, none longer than the trimmer makes; every piece ends up by itself.
 * Of all orders the one that keeps the largest left-overs, then the one with the fewest cuts
 * (of many pieces: what can be cut off all of them at once is cut first).
 * Null where no such order exists.
 */
export function cutSequence(
  sheet: Box,
  pieces: readonly Box[],
  rules: SequenceRules,
): Sequence | null {
  const known = new Map<string, Done | null>();

  function solve(hand: Box, inside: readonly Box[]): Done | null {
    if (inside.length === 0) {
      const kept = rules.keeps(hand) ? hand.width * hand.height : 0;
      return { kept, cuts: 0, first: null };
    }
    const [only] = inside;
    if (inside.length === 1 && keyOf(only!) === keyOf(hand))
      return { kept: 0, cuts: 0, first: null };
    const key = keyOf(hand);
    const before = known.get(key);
    if (before !== undefined) return before;
    const every = inside.length <= EVERY_ORDER && known.size < MOST_STATES;
    let best: Done | null = null;
    for (const { down, at } of candidates(hand, inside, every)) {
      const [a, b] = partsAt(hand, down, at);
      const within = (part: Box) =>
        inside.filter(
          (p) =>
            p.x >= part.x &&
            p.y >= part.y &&
            right(p) <= right(part) &&
            foot(p) <= foot(part),
        );
      const one = solve(a, within(a));
      const two = one && solve(b, within(b));
      if (!one || !two) continue;
      const done: Done = {
        kept: one.kept + two.kept,
        cuts: one.cuts + two.cuts + 1,
        first: { down, at },
      };
      if (best === null || better(done, best) > 0) best = done;
      if (!every) break;
    }
    known.set(key, best);
    return best;
  }

  function candidates(hand: Box, inside: readonly Box[], every: boolean) {
    const lines = [true, false].flatMap((down) =>
      (down ? hand.height : hand.width) > rules.longestCut
        ? []
        : openLines(inside, hand, down).map((at) => ({ down, at })),
    );
    if (every) return lines;
    const rest = ({ down, at }: { down: boolean; at: number }) => {
      // Cut off without a piece: its area; else what lies free beside the cut.
      const [a, b] = partsAt(hand, down, at);
      const empty = (part: Box) =>
        inside.every(
          (p) =>
            p.x >= right(part) ||
            right(p) <= part.x ||
            p.y >= foot(part) ||
            foot(p) <= part.y,
        );
      const free = [a, b].find(empty);
      return free ? free.width * free.height : -(down ? hand.height : hand.width);
    };
    return lines
      .map((line) => ({ ...line, order: rest(line) }))
      .sort((a, b) => b.order - a.order);
  }

  const all = solve(sheet, pieces);
  if (!all) return null;
  const out: Sequence = { cuts: [], rests: [], kept: all.kept };
  (function walk(hand: Box, inside: readonly Box[]): void {
    const done = solve(hand, inside)!;
    if (done.first === null) {
      if (inside.length === 0) out.rests.push(hand);
      return;
    }
    const { down, at } = done.first;
    out.cuts.push(
      down
        ? { down, at, from: hand.y, to: foot(hand) }
        : { down, at, from: hand.x, to: right(hand) },
    );
    for (const part of partsAt(hand, down, at))
      walk(
        part,
        inside.filter(
          (p) =>
            p.x >= part.x &&
            p.y >= part.y &&
            right(p) <= right(part) &&
            foot(p) <= foot(part),
        ),
      );
  })(sheet, pieces);
  return out;
}
