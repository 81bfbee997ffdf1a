import { gutterOf } from './blocks';
import type { Copy, Usable } from './blocks';
import { cutSequence } from './sequence';
import type { Box } from './sequence';
import { eachPlace } from './region';
import type { Region } from './region';
import { isKept } from './toldPlan';
import type { CutJob, CutPlace, CutSheetPlan } from './types';
import { inMm, whole } from './whole';

/** What lies on one sheet, or on one length of a roll. */
export interface Laid {
  usable: Usable;
  region: Region;
  /** Of a roll: how long the part with pieces is; of a sheet all of it. */
  height: number;
}

interface Spot {
  block: number;
  x: number;
  y: number;
  turned: boolean;
}

const spotsOf = ({ region }: Laid): Spot[] => {
  const spots: Spot[] = [];
  eachPlace(region, (block, x, y, of) => spots.push({ block, x, y, turned: of.turned }));
  return spots.sort((a, b) => a.y - b.y || a.x - b.x);
};

const dueOf = ({ piece }: Copy) => piece.due ?? Infinity;

/**
 * Of equal pieces it does not matter which lies where: what is due first comes on the first
 * sheet, and what belongs together on one; what is held keeps its place. Sheets come in the order in which they are due.
 */
function shared(
  laid: readonly Laid[],
  copies: readonly Copy[],
  { begun = [], holds = [] }: CutJob,
): Map<Laid, Spot[]> {
  const keepsOrder = begun.length;
  const isHeld = ({ piece, copy }: Copy) =>
    holds.some((h) => h.piece === piece.id && h.copy === copy);
  const earliest = (l: Laid) => Math.min(...spotsOf(l).map((s) => dueOf(copies[s.block]!)));
  const sorted = [
    ...laid.slice(0, keepsOrder),
    ...laid.slice(keepsOrder).sort((a, b) => {
      const [x, y] = [earliest(a), earliest(b)];
      return x === y ? 0 : x - y;
    }),
  ];
  const spots = new Map(sorted.map((l) => [l, spotsOf(l)]));
  const kinds = new Map<string, Spot[]>();
  for (const list of spots.values())
    for (const spot of list) {
      const { piece } = copies[spot.block]!;
      const key = `${piece.width} ${piece.height} ${piece.mayTurn}`;
      if (!isHeld(copies[spot.block]!)) kinds.set(key, [...(kinds.get(key) ?? []), spot]);
    }
  for (const same of kinds.values()) {
    const order = same
      .map((s) => s.block)
      .sort((a, b) => {
        const [x, y] = [copies[a]!, copies[b]!];
        const due = dueOf(x) === dueOf(y) ? 0 : dueOf(x) - dueOf(y);
        const group = (x.piece.group ?? x.piece.id).localeCompare(
          y.piece.group ?? y.piece.id,
        );
        return due || group || a - b;
      });
    same.forEach((spot, i) => (spot.block = order[i]!));
  }
  return spots;
}

/** One sheet with its places, its cuts in order and what is left over. */
function sheetPlan(
  job: CutJob,
  { usable, height }: Laid,
  spots: readonly Spot[],
  copies: readonly Copy[],
): CutSheetPlan {
  const { stock, left, top, ends } = usable;
  const trim = whole(job.trim);
  const width = whole(stock.width);
  const boxes = spots.map(({ block, x, y, turned }): Box => {
    const { piece } = copies[block]!;
    const [w, h] = turned ? [piece.height, piece.width] : [piece.width, piece.height];
    return { x: left + x + trim, y: top + y + trim, width: whole(w), height: whole(h) };
  });
  // Of a roll no more is cut off than pieces lie on.
  const deepest = Math.max(...boxes.map((b) => b.y + b.height + trim));
  const long =
    stock.kind === 'sheet'
      ? whole(stock.height)
      : Math.min(height, deepest - top + gutterOf(job)) + ends;
  const from = job.keepFrom && {
    width: whole(job.keepFrom.width),
    height: whole(job.keepFrom.height),
  };
  const keeps = (rest: Box) => isKept(rest, from);
  const longestCut = job.longestCut === undefined ? Infinity : whole(job.longestCut);
  const sequence = cutSequence({ x: 0, y: 0, width, height: long }, boxes, {
    longestCut,
    keeps,
  });
  if (!sequence) throw new Error(`no straight cuts part sheet ${stock.id}`);
  const places = spots.map(({ block, turned }, i): CutPlace => {
    const { piece, copy } = copies[block]!;
    const box = boxes[i]!;
    return {
      piece: piece.id,
      copy,
      x: inMm(box.x),
      y: inMm(box.y),
      width: inMm(box.width),
      height: inMm(box.height),
      turned,
    };
  });
  const price = stock.price;
  const share = stock.kind === 'sheet' ? 1 : long / whole(stock.length);
  return {
    stock: stock.id,
    width: stock.width,
    length: inMm(long),
    places,
    cuts: sequence.cuts.map(({ down, at, from, to }) =>
      down
        ? { x1: inMm(at), y1: inMm(from), x2: inMm(at), y2: inMm(to) }
        : { x1: inMm(from), y1: inMm(at), x2: inMm(to), y2: inMm(at) },
    ),
    rests: sequence.rests.map((r) => ({
      x: inMm(r.x),
      y: inMm(r.y),
      width: inMm(r.width),
      height: inMm(r.height),
      kept: false,
    })),
    cost: price === undefined ? null : Math.round(price * share),
  };
}

/** All sheets laid out. Throws where one cannot be cut apart: regions are parted by straight cuts. */
export function layOutSheets(
  job: CutJob,
  laid: readonly Laid[],
  copies: readonly Copy[],
): CutSheetPlan[] {
  const plans: CutSheetPlan[] = [];
  for (const [one, spots] of shared(laid, copies, job)) {
    const plan = sheetPlan(job, one, spots, copies);
    plans.push(plan);
  }
  return plans;
}
