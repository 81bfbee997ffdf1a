import { colourDifference } from '../../colour';
import type { Vector } from '../../colour';
import type { PatchReading } from '../cgats';
import { compareStrips } from '../compareStrips';
import type { StripDrift } from '../compareStrips';
import { groupName, groupOf } from './cells';
import type { Region, Regions } from './regions';

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
      name: groupName(group),
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
    if (
      kept.every((k) => Math.hypot(k.column - region.column, k.row - region.row) >= APART)
    )
      kept.push(region);
  }
  return kept;
}
