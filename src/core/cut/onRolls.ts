import { limitsOf } from './blocks';
import type { Usable } from './blocks';
import { leastLength } from './bound';
import { EveryPattern } from './everyPattern';
import type { Laid } from './layOut';
import type { OnStock, Step } from './onSheets';
import { stepsFor } from './onSheets';
import { packRoll } from './packRoll';
import type { ReadJob } from './readJob';
import { joined, piecesIn, renumbered } from './region';
import type { Region } from './region';
import { Search } from './search';
import type { Block } from './search';
import { whole } from './whole';

const SEED = 20;

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
function parts(
  job: ReadJob['job'],
  { stock, ends }: Usable,
  bands: readonly Region[],
): Region[][] {
  const { longestCut = Infinity, largestSheet } = job;
  // A roll wider than the longest cut is cut off band by band.
  if (stock.width > longestCut) return bands.map((b) => [b]);
  if (!largestSheet) return [[...bands]];
  const [short, long] = [
    Math.min(largestSheet.width, largestSheet.height),
    Math.max(largestSheet.width, largestSheet.height),
  ];
  const most = whole(stock.width <= short ? long : short) - ends;
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

/** Lays pieces along one roll after another, each as short as can be. */
export function* packOnRolls(
  read: ReadJob,
  ids: readonly number[],
): Generator<Step, OnStock, void> {
  const { job, blocks, rolls } = read;
  const laid: Laid[] = [];
  let left = [...ids];
  let [bound, proved]: [number | null, boolean] = [null, false];
  for (const usable of rolls) {
    const { stock, width, height: most, ends } = usable;
    const fit = left.filter((i) => {
      const { width: w, height: h, mayTurn } = blocks[i]!;
      return (w <= width && h <= most) || (mayTurn && h <= width && w <= most);
    });
    if (fit.length === 0) continue;
    const search = new Search(blocks, rollLimits(read, usable), SEED);
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
    const pattern =
      stock.width > (job.longestCut ?? Infinity)
        ? null
        : every?.fitting(every.all, width, most);
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

/** Cut off across first: after that no cut is longer than a band is high. */
function rollLimits({ job }: ReadJob, { stock, ends }: Usable) {
  const limits = limitsOf(job);
  if (job.longestCut === undefined || stock.width <= job.longestCut)
    return { across: Infinity, down: limits.down };
  return { across: limits.across, down: whole(job.longestCut) - ends };
}
