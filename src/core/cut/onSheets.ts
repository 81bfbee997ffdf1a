import { around } from './around';
import type { Held } from './around';
import { limitsOf, typeOf, usableOf } from './blocks';
import type { Usable } from './blocks';
import { leastRooms } from './bound';
import { EveryPattern } from './everyPattern';
import type { Laid } from './layOut';
import { openPacking } from './openPacking';
import { SheetPacker, comparedRanks, rank } from './packSheets';
import type { Bin, PackedSheets, SheetType } from './packSheets';
import type { ReadJob } from './readJob';
import { renumbered } from './region';
import { Search } from './search';
import type { Block } from './search';
import { sheetsExactly } from './sheetsExactly';
import { whole } from './whole';

/** Pieces on sheets, and those that found no place. */
export interface OnStock {
  laid: Laid[];
  left: number[];
  bound: number | null;
  proved: boolean;
}

export interface Step {
  share: number;
  laid: Laid[] | null;
}

export const SEED = 20;

/** Steps of the search for so many pieces. */
export const stepsFor = (pieces: number): number =>
  pieces <= 100 ? 24_000 : Math.max(8000, Math.round(50_000 * Math.min(1, 250 / pieces)));

/** Steps for each piece in which what is left over is brought together, where the sheets are known. */
const TIDIED = 60;
/** Ways of parting sheets around what is held that are tried. */
const PARTED = 8;

interface Begun {
  bins: Bin[];
  types: SheetType[];
  usable: Usable[];
  blocks: Block[];
  held: Set<number>;
}

/** The sheets that pieces are held on, as they are parted around them; null where they cannot be. */
function begun({ job, copies, blocks }: ReadJob, search: Search): Begun | null {
  const all: Begun = {
    bins: [],
    types: [],
    usable: [],
    blocks: [...blocks],
    held: new Set(),
  };
  const trim = whole(job.trim);
  for (const [i, { stock: id, length }] of (job.begun ?? []).entries()) {
    const stock = job.stock.find((s) => s.id === id)!;
    const usable = usableOf(job, stock);
    const height =
      stock.kind === 'sheet' ? usable.height : whole(length ?? stock.length) - usable.ends;
    const held: Held[] = [];
    for (const hold of job.holds ?? []) {
      if (hold.sheet !== i) continue;
      const block = copies.findIndex(
        (c) => c.piece.id === hold.piece && c.copy === hold.copy,
      );
      const of = blocks[block]!;
      const turned = hold.turned ?? false;
      if (hold.x === undefined || hold.y === undefined) {
        const way = hold.turned === undefined ? {} : { turned, mayTurn: false };
        all.blocks[block] = { ...of, ...way, bins: [i, i + 1] };
        continue;
      }
      const [width, high] = turned ? [of.height, of.width] : [of.width, of.height];
      const x = whole(hold.x) - usable.left - trim;
      const y = whole(hold.y) - usable.top - trim;
      if (x < 0 || y < 0 || x + width > usable.width || y + high > height) return null;
      held.push({ block, x, y, width, height: high, turned });
      all.held.add(block);
    }
    const region = around(usable.width, height, held, search.limits, () => search.chance());
    if (!region) return null;
    const area = whole(stock.width) * (height + usable.ends);
    all.types.push({ width: usable.width, height, count: 0, area, leftOver: false });
    all.usable.push({ ...usable });
    all.bins.push({ type: i, region });
  }
  return all;
}

/** Lays pieces on sheets; null where what is held cannot be parted by straight cuts. */
export function* packOnSheets(
  read: ReadJob,
  ids: readonly number[],
  leftOversOnly = false,
): Generator<Step, OnStock | null, void> {
  const { job, blocks } = read;
  const limits = limitsOf(job);
  const begin = begun(read, new Search(blocks, limits, SEED));
  if (!begin) return null;
  const sheets = read.sheets.filter(
    ({ stock: s }) => s.kind === 'sheet' && (!leftOversOnly || s.leftOver === true),
  );
  const types = [
    ...begin.types,
    ...sheets.map((u) => {
      const used = (job.begun ?? []).filter((b) => b.stock === u.stock.id).length;
      const type = typeOf(u);
      return { ...type, count: Math.max(0, type.count - used) };
    }),
  ];
  const usable = [...begin.usable, ...sheets];
  const todo = ids.filter((i) => !begin.held.has(i));
  if (types.length === 0) return { laid: [], left: [...ids], bound: null, proved: false };
  const asLaid = ({ bins }: PackedSheets): Laid[] =>
    bins
      .filter((b) => b.region.count > 0)
      .map(({ type, region }) => ({
        usable: usable[type]!,
        region,
        height: region.height,
      }));
  const of = begin.blocks;
  const rooms = types.map((t, i) => (i < begin.types.length ? { ...t, count: 1 } : t));

  let exact: PackedSheets | null = null;
  if (begin.bins.length === 0) {
    const most = {
      width: Math.max(...types.map((t) => t.width)),
      height: Math.max(...types.map((t) => t.height)),
    };
    const every = EveryPattern.of(
      todo.map((i) => of[i]!),
      limits,
      most,
    );
    const found = every && sheetsExactly(every, types);
    exact = found && {
      bins: found.bins.map((b) => ({ ...b, region: renumbered(b.region, todo) })),
      left: found.left.map((i) => todo[i]!),
    };
  }

  const [only] = types;
  const effort = exact
    ? null
    : {
        bound: leastRooms(
          [...todo, ...begin.held].map((i) => of[i]!),
          rooms,
        ),
        rival:
          types.length === 1 && !only!.leftOver
            ? openPacking(
                todo.map((i) => of[i]!),
                only!,
              )
            : Infinity,
      };

  const pack = function* (
    search: Search,
    bins: readonly Bin[],
    steps: number,
  ): Generator<Step, PackedSheets, void> {
    const packer = new SheetPacker(search, types, bins);
    const packing = exact
      ? packer.tidied(exact, TIDIED * todo.length)
      : packer.pack(todo, { steps, ...effort! });
    let shown: PackedSheets | null = null;
    let laid: Laid[] | null = null;
    for (;;) {
      const step = packing.next();
      if (step.done) return step.value;
      const { share, best } = step.value;
      if (best !== shown) [shown, laid] = [best, best && asLaid(best)];
      yield { share, laid };
    }
  };

  const steps = stepsFor(todo.length);
  let best: PackedSheets | null = null;
  // Around what is held, sheets can be parted in several ways.
  const tries = begin.held.size > 0 ? PARTED : 1;
  for (let k = 0; k < tries; k += 1) {
    const search = new Search(of, limits, SEED + k);
    const again = k === 0 ? begin : begun(read, search)!;
    const got = yield* pack(search, again.bins, Math.ceil(steps / tries));
    if (!best || comparedRanks(rank(search, types, got), rank(search, types, best)) < 0)
      best = got;
  }
  const { left } = best!;
  const laid = asLaid(best!);
  const lying = ids.filter((i) => !left.includes(i)).map((i) => of[i]!);
  // Left-overs are taken before new sheets: then the plan may be of more parts than need be.
  const fewest = exact !== null && !types.some((t) => t.leftOver);
  const bound = fewest ? laid.length : leastRooms(lying, rooms);
  return { laid, left, bound, proved: bound === laid.length };
}
