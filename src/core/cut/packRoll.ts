import { fullBands } from './fullBands';
import { eachPlace, filled, freeRegion, joined, room } from './region';
import type { Region } from './region';
import type { Packing, Search } from './search';

export interface PackedRoll {
  /** From edge to edge of the roll, one under another. */
  bands: Region[];
  length: number;
  left: number[];
}

export interface RollSaid {
  share: number;
  best: PackedRoll | null;
}

/** Pieces taken out at once. */
const TAKEN = 6;
/** How often all of a band is taken out, and another with it; and how often the emptier of two. */
const WHOLE = 0.7;
const EMPTIER = 0.7;
/** How often a band is made a little higher instead of beginning another, and by how much at most. */
const HIGHER = 0.5;
const HIGHER_BY = 0.3;
/** How loose the search is at its beginning and end, as shares of the length. */
const LOOSE = 0.003;
const TIGHT = 0.00005;
/** How far what is left together counts against length. */
const TOGETHER = 0.02;
/** How often the longer side lies across the roll, of pieces that may turn. */
const LONG_ACROSS = 0.65;
const SAID_EVERY = 100;

/** A region without the free strips at its foot. */
export function shortest(region: Region): Region {
  let foot = 0;
  eachPlace(region, (_, __, y, of) => (foot = Math.max(foot, y + of.height)));
  return foot === region.height ? region : cutOff(region, foot);
}

function cutOff(region: Region, height: number): Region {
  if (region.strips === null) return freeRegion(region.width, height);
  if (region.across)
    return joined(
      region.width,
      height,
      true,
      region.strips.map((s) => (s.height > height ? cutOff(s, height) : s)),
    );
  const strips = region.strips.filter((s) => !s.isFree);
  const used = strips.reduce((h, s) => h + s.height, 0);
  if (used < height) strips.push(freeRegion(region.width, height - used));
  else if (used > height) {
    const last = strips.pop()!;
    strips.push(cutOff(last, last.height - (used - height)));
  }
  return joined(region.width, height, false, strips);
}

/** A strip with free room under it. */
const roomUnder = (region: Region, height: number): Region =>
  joined(region.width, height, false, [
    region,
    freeRegion(region.width, height - region.height),
  ]);

/** How much of a band is free, whatever its height. */
const loss = (band: Region) => band.worth / (band.height * Math.sqrt(band.height));
const lengthOf = (bands: readonly Region[]) => bands.reduce((h, b) => h + b.height, 0);

/**
 * Bands from edge to edge that are searched for: a few pieces or whole bands are taken out and put
 * back, each into the band where it costs the least room, or it begins a band of its own.
 */
function* searched(
  search: Search,
  blocks: readonly number[],
  roll: { width: number; most: number; bound: number },
  steps: number,
): Generator<RollSaid, PackedRoll, void> {
  const area = blocks.reduce(
    (a, b) => a + search.blocks[b]!.width * search.blocks[b]!.height,
    0,
  );
  const scale = area / roll.width;
  const one = room(roll.width, scale);
  const costOf = (bands: readonly Region[]) =>
    lengthOf(bands) / scale - (TOGETHER * bands.reduce((w, b) => w + b.worth, 0)) / one;

  /** Makes a band as high as the piece, where one is nearly so and has room at its end. */
  function heighten(packing: Packing, block: number, w: number, h: number, turn: boolean) {
    let [at, least] = [-1, HIGHER_BY * h];
    packing.bins.forEach((band, i) => {
      const more = h - band.height;
      if (more <= 0 || more >= least || !band.strips || !band.across || band.fixed) return;
      const last = band.strips.at(-1)!;
      if (last.isFree && last.width >= w) [at, least] = [i, more];
    });
    if (at < 0) return false;
    const { strips } = packing.bins[at]!;
    const last = strips!.at(-1)!;
    packing.bins[at] = joined(roll.width, h, true, [
      ...strips!.slice(0, -1).map((s) => roomUnder(s, h)),
      filled(freeRegion(last.width, h), block, w, h, turn, true),
    ]);
    return true;
  }

  /** A piece that fits nowhere. */
  function open(packing: Packing, block: number): void {
    const { width, height } = search.blocks[block]!;
    const [upright, turned] = search.ways(block, roll.width);
    const often = width > height ? 1 - LONG_ACROSS : LONG_ACROSS;
    const turn = upright && turned ? search.chance() < often : turned;
    const [w, h] = turn ? [height, width] : [width, height];
    if (search.chance() < HIGHER && heighten(packing, block, w, h, turn)) return;
    packing.bins.push(filled(freeRegion(roll.width, h), block, w, h, turn, false));
  }

  function put(packing: Packing, todo: number[]): void {
    search.ordered(todo);
    for (const block of todo) if (!search.insert(packing, block)) open(packing, block);
  }

  const some = ({ bins }: Packing) => Math.floor(search.chance() * bins.length);
  let now: Region[] = [];
  const first = { bins: now, left: [] };
  put(first, [...blocks]);
  now = first.bins;
  let best = now;
  let cost = costOf(now);
  for (let step = 0; step < steps; step += 1) {
    const next: Packing = { bins: now.slice(), left: [] };
    const taken: number[] = [];
    const target = 1 + Math.floor(search.chance() * TAKEN);
    if (search.chance() < WHOLE)
      do {
        const other = some(next);
        let at = some(next);
        if (search.chance() < EMPTIER && loss(next.bins[other]!) > loss(next.bins[at]!))
          at = other;
        const [band] = next.bins.splice(at, 1);
        eachPlace(band!, (piece) => taken.push(piece));
      } while (search.chance() < WHOLE && next.bins.length > 0);
    for (let n = 0; taken.length < target && n < 2 * TAKEN; n += 1)
      search.ruin(next, taken);
    const was = new Set(now);
    next.bins = next.bins
      .filter((b) => b.count > 0)
      .map((b) => (was.has(b) ? b : shortest(b)));
    put(next, taken);
    const heat = LOOSE * (TIGHT / LOOSE) ** (step / steps);
    const its = costOf(next.bins);
    if (its < cost - heat * Math.log(search.chance() || 1e-9)) {
      [now, cost] = [next.bins, its];
      if (lengthOf(now) < lengthOf(best)) best = now;
      if (lengthOf(best) <= roll.bound) break;
    }
    if (step % SAID_EVERY === 0)
      yield {
        share: step / steps,
        best: { bands: best, length: lengthOf(best), left: [] },
      };
  }
  return { bands: best, length: lengthOf(best), left: [] };
}

/** How full bands are to be, in one try after another: the fuller, the fewer there are, and the more is left to be searched for. */
const GOOD = [0.97, 0.98, 0.96];
/** As many pieces are tried once; more than these take too long. */
const TRIED_ONCE = 100;
const MOST_FULL = 1000;
/** Of all steps those of a first search of the whole, and of fewer pieces than these. */
const FIRST = 0.15;
const FEW = 30;
const FIRST_OF_FEW = 0.7;
/** How much of a try the bands are, as it is told. */
const BUILDING = 0.7;

/** What a part of the work comes to; what it says on the way is said as that of the whole. */
function* asPart<T, S, R>(
  part: Generator<T, R, void>,
  said: (of: T) => S,
): Generator<S, R, void> {
  for (;;) {
    const step = part.next();
    if (step.done) return step.value;
    yield said(step.value);
  }
}

/**
 * Packs blocks into the shortest length of a roll, as bands from edge to edge. The whole is
 * searched for first; then full bands are built (`fullBands`), and the rest of it is searched
 * for: the shortest of all tries.
 */
export function* packRoll(
  search: Search,
  blocks: readonly number[],
  roll: { width: number; most: number; bound: number },
  steps: number,
): Generator<RollSaid, PackedRoll, void> {
  const full = blocks.length <= MOST_FULL;
  const first = !full ? 1 : blocks.length <= FEW ? FIRST_OF_FEW : FIRST;
  let best = yield* asPart(
    searched(search, blocks, roll, Math.ceil(first * steps)),
    (s): RollSaid => ({ ...s, share: first * s.share }),
  );
  const tries = !full ? [] : GOOD.slice(0, blocks.length > TRIED_ONCE ? 1 : undefined);
  const each = (1 - first) / tries.length;
  for (const [i, good] of tries.entries()) {
    if (best.length <= roll.bound) break;
    const said = (part: number): RollSaid => ({ share: first + each * (i + part), best });
    const { bands, left } = yield* asPart(
      fullBands(search, blocks, roll.width, good),
      (lying) => said(BUILDING * lying),
    );
    const some = left.length > 0 ? Math.ceil(each * steps) : 0;
    const rest = yield* asPart(searched(search, left, { ...roll, bound: 0 }, some), (s) =>
      said(BUILDING + (1 - BUILDING) * s.share),
    );
    const all = [...bands, ...rest.bands];
    if (lengthOf(all) < best.length) best = { bands: all, length: lengthOf(all), left: [] };
  }
  return best;
}
