import { choosePacking } from './choosePacking';
import { NOTHING } from './contents';
import type { Contents, GoodsToPack, PrintToPack } from './contents';
import type { PackRules } from './rules';
import type { PackingMaterial } from './stock';
import { WAYS, wayOf } from './ways';
import type { WayId } from './ways';

/** One line on its way into a parcel. */
export type Thing = { print: PrintToPack } | { goods: GoodsToPack };

const added = (c: Contents, thing: Thing): Contents =>
  'print' in thing
    ? { ...c, prints: [...c.prints, thing.print] }
    : { ...c, goods: [...c.goods, thing.goods] };

/**
 * The way in which contents travel: as packing is chosen with the shelf as it is; where the
 * shelf takes them in no way, flat up to the limit, else rolled. Null for nothing.
 */
function wayOfContents(
  contents: Contents,
  materials: readonly PackingMaterial[],
  rules: PackRules,
): WayId | null {
  const { prints, goods } = contents;
  if (prints.length + goods.length === 0) return null;
  const chosen = choosePacking(contents, materials, rules);
  if (chosen.packing) return chosen.packing.way;
  const longest = Math.max(0, ...prints.map((p) => Math.max(p.width, p.height)));
  return longest <= rules.flatLimit ? 'flat' : 'rolled';
}

const PARTS_THEM: readonly string[] = ['tooMany', 'tooThick', 'goodsDoNotRoll', 'tooLarge'];

/** Whether contents go together in a way; what the shelf lacks is ordered, and is no hindrance. */
function goTogether(
  way: WayId,
  contents: Contents,
  materials: readonly PackingMaterial[],
  rules: PackRules,
): boolean {
  const found = wayOf(way).choose(contents, materials, rules);
  return 'packing' in found || !found.lacking.some((l) => PARTS_THEM.includes(l));
}

/**
 * Which of the parcels takes one more thing: the first that travels the same way and is not
 * full. An empty one takes anything. -1: a parcel is begun for it.
 */
export function parcelFor(
  thing: Thing,
  parcels: readonly Contents[],
  materials: readonly PackingMaterial[],
  rules: PackRules,
): number {
  const way = wayOfContents(added(NOTHING, thing), materials, rules) ?? WAYS[0]!.way;
  return parcels.findIndex((contents) => {
    const its = wayOfContents(contents, materials, rules);
    if (its === null) return true;
    return its === way && goTogether(way, added(contents, thing), materials, rules);
  });
}

/**
 * Things in as few parcels as they travel well in: all that goes flat together, all that is
 * rolled together, goods with what lies flat. Answers the numbers of their lines, parcel by
 * parcel. Prints are laid first, so that goods find them.
 * @example one sheet of 30 x 40 cm, one of 70 x 100 cm and a book: [[1, 3], [2]]
 */
export function splitParcels(
  prints: readonly PrintToPack[],
  goods: readonly GoodsToPack[],
  materials: readonly PackingMaterial[],
  rules: PackRules,
): number[][] {
  const parcels: Contents[] = [];
  const things: Thing[] = [
    ...prints.map((print) => ({ print })),
    ...goods.map((g) => ({ goods: g })),
  ];
  for (const thing of things) {
    const at = parcelFor(thing, parcels, materials, rules);
    if (at === -1) parcels.push(added(NOTHING, thing));
    else parcels[at] = added(parcels[at]!, thing);
  }
  return parcels.map((c) =>
    [...c.prints, ...c.goods].map((x) => x.line).sort((a, b) => a - b),
  );
}
