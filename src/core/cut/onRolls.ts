import { liesOn, partOfRoll, rollLimits } from './blocks';
import type { Usable } from './blocks';
import { leastLength } from './bound';
import { EveryPattern } from './everyPattern';
import type { Laid } from './layOut';
import type { OnStock, Step } from './onSheets';
import { SEED, stepsFor } from './onSheets';
import { packRoll } from './packRoll';
import type { ReadJob } from './readJob';
import { joined, piecesIn, renumbered } from './region';
import type { Region } from './region';
import { Search } from './search';
import type { Block } from './search';

const weightOf = (band: Region, blocks: readonly Block[]) =>
  piecesIn(band).reduce((w, b) => w + blocks[b]!.weight, 0);

/** Bands that lie within a length: those with the most in them for their length. */
function withinLength(
  bands: readonly Region[],
  most: number,
  blocks: readonly Block[],
): { kept: Region[]; left: number[] } {
  const kept: Region[] = [];
  const left: number[] = [];
  let length = 0;
  const sorted = bands
    .map((band) => ({ band, worth: weightOf(band, blocks) / band.height }))
    .sort((a, b) => b.worth - a.worth);
  for (const { band } of sorted)
    if (length + band.height <= most) {
      kept.push(band);
      length += band.height;
    } else left.push(...piecesIn(band));
  return { kept, left };
}

/** Bands as parts that the trimmer, and whoever prints them, can handle in one. */
function parts(job: ReadJob['job'], usable: Usable, bands: readonly Region[]): Region[][] {
  // A roll wider than the longest cut is cut off band by band.
  if (usable.stock.width > (job.longestCut ?? Infinity)) return bands.map((b) => [b]);
  const most = partOfRoll(job, usable);
  if (most === Infinity) return [[...bands]];
  const all: { bands: Region[]; height: number }[] = [];
  for (const band of [...bands].sort((a, b) => b.height - a.height)) {
    const room = all.find((p) => p.height + band.height <= most);
    if (room) {
      room.bands.push(band);
      room.height += band.height;
    } else all.push({ bands: [band], height: band.height });
  }
  return all.map((p) => p.bands);
}

/** Lays pieces along one roll after another, each as short as can be; `before`: what was cut off of them already. */
export function* packOnRolls(
  read: ReadJob,
  ids: readonly number[],
  before: readonly Laid[] = [],
): Generator<Step, OnStock, void> {
  const { job, blocks, rolls } = read;
  // What was cut off of a roll already is there no more.
  const begun = new Map<string, number>();
  for (const { usable, height } of before)
    if (usable.stock.kind === 'roll')
      begun.set(usable.stock.id, (begun.get(usable.stock.id) ?? 0) + height + usable.ends);
  const laid: Laid[] = [];
  let left = [...ids];
  let [bound, proved]: [number | null, boolean] = [null, false];
  for (const usable of rolls) {
    const { stock, width, ends } = usable;
    const most = usable.height - (begun.get(stock.id) ?? 0);
    begun.delete(stock.id);
    const fit = left.filter((i) => liesOn(job, blocks[i]!, { ...usable, height: most }));
    if (fit.length === 0) continue;
    const search = new Search(blocks, rollLimits(job, usable), SEED);
    const least = leastLength(
      fit.map((i) => blocks[i]!),
      width,
    );
    const every = EveryPattern.of(
      fit.map((i) => blocks[i]!),
      search.limits,
      {
        width,
        height: most,
      },
    );
    // Of a roll that is parted once more every pattern is not every way.
    const inOne = stock.width <= (job.longestCut ?? Infinity) ? partOfRoll(job, usable) : 0;
    const pattern = every?.fitting(every.all, width, Math.min(most, inOne)) ?? null;
    const asLaid = (all: readonly Region[]) =>
      parts(job, usable, withinLength(all, most, blocks).kept).map((segment): Laid => {
        const height = segment.reduce((h, b) => h + b.height, 0);
        return { usable, region: joined(width, height, false, segment), height };
      });
    let bands: Region[];
    let shown: readonly Region[] | null = null;
    let shownLaid: Laid[] | null = null;
    if (every && pattern) {
      const take = every.toTake();
      const region = every.region(pattern, width, pattern.height, take);
      bands = [renumbered(region, fit)];
    } else {
      const packing = packRoll(
        search,
        fit,
        { width, most, bound: least },
        stepsFor(fit.length),
      );
      for (;;) {
        const step = packing.next();
        if (step.done) {
          bands = step.value.bands;
          break;
        }
        const { share, best } = step.value;
        if (best && best.bands !== shown) {
          shown = best.bands;
          shownLaid = [...laid, ...asLaid(shown)];
        }
        yield { share, laid: shownLaid };
      }
    }
    const within = withinLength(bands, most, blocks);
    const segments = asLaid(bands);
    laid.push(...segments);
    left = left.filter((i) => !fit.includes(i) || within.left.includes(i));
    if (rolls.length === 1 && within.left.length === 0) {
      const length = segments.reduce((sum, s) => sum + ends + s.height, 0);
      const proven = pattern && segments.length === 1 ? length : least + ends;
      [bound, proved] = [proven, proven === length];
    }
  }
  return { laid, left, bound, proved };
}
