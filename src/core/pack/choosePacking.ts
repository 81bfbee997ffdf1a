import { mm } from '../units';
import type { Millimetres, Size } from '../units';
import type { Contents } from './contents';
import type { PackRules } from './rules';
import type { PackingMaterial } from './stock';
import { WAYS, tubeNeeded, wayOf } from './ways';
import type { Lacking, Packing, WayId } from './ways';

/** How a parcel is packed, and what was lacking for the ways that were tried before it. */
export interface ChosenPacking {
  packing: Packing;
  notFlat: Lacking[];
}

export interface NoPacking {
  packing: null;
  /** What is lacking, by the way of packing. */
  lacking: Record<WayId, Lacking[]>;
  /** What would do: the board's size, and the tube. */
  needed: { flat: Size | null; tubeDiameter: Millimetres; tubeLength: Millimetres };
}

/**
 * Flat (sleeves, board, rigid mailer) when nothing is over the limit and the shelf has all of
 * it; otherwise rolled in the shortest tube that is wide enough for the heaviest paper.
 */
export function choosePacking(
  contents: Contents,
  materials: readonly PackingMaterial[],
  rules: PackRules,
): ChosenPacking | NoPacking {
  const lacking: Record<WayId, Lacking[]> = { flat: [], rolled: [] };
  for (const way of WAYS) {
    const found = way.choose(contents, materials, rules);
    if ('packing' in found) return { packing: found.packing, notFlat: lacking.flat };
    lacking[way.way] = found.lacking;
  }
  const { prints } = contents;
  const { diameter, length } = tubeNeeded(prints, rules);
  const widest = (side: 'width' | 'height') =>
    mm(Math.max(...prints.map((p) => p[side])) + 2 * rules.boardMargin);
  return {
    packing: null,
    lacking,
    needed: {
      flat:
        prints.length === 0 ? null : { width: widest('width'), height: widest('height') },
      tubeDiameter: diameter,
      tubeLength: length,
    },
  };
}

/** What a packing takes from the shelf: each material once, with its pieces. */
export function takenFrom(
  packing: Packing,
): { id: number; name: string; pieces: number }[] {
  const names =
    packing.way === 'flat'
      ? [
          ...packing.sleeves.map((s) => s.sleeve),
          ...(packing.board ? [packing.board] : []),
          packing.mailer,
        ]
      : [packing.tube];
  const ids = wayOf(packing.way).takes(packing);
  return [...new Set(ids)].map((id) => ({
    id,
    name: names.find((m) => m.id === id)?.name ?? '',
    pieces: ids.filter((x) => x === id).length,
  }));
}
