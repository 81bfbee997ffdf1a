import { NOTHING, choosePacking, parcelOf, takenFrom } from '@/core/pack';
import { minor, mm } from '@/core/units';
import type { Minor } from '@/core/units';
import { listMaterialRows, listMaterials } from '@/data';
import type { BenchSettings, PaperRow, Reading } from '@/data';
import { quotesOf } from '@/standins';
import { nominalExtent } from '@/studio';

/** What one print's packing is known to cost, and of what it is made. */
export interface PackingCost {
  amount: Minor;
  currency: string;
  pieces: { name: string; pieces: number }[];
}

/** What one print's postage is known to cost: the cheapest service that takes it as it is packed. */
export interface PostageCost {
  amount: Minor;
  currency: string;
  carrier: string;
  service: string;
}

/** How one print of a size is packed by the studio's rules, from its shelf; null where it cannot be. */
async function packedAlone(
  db: Reading,
  sizeKey: string,
  paper: PaperRow,
  { pack }: Pick<BenchSettings, 'pack'>,
) {
  const extent = nominalExtent(sizeKey);
  if (!extent) return null;
  const print = {
    line: 1,
    copies: 1,
    width: mm(extent.width),
    height: mm(extent.height),
    weight: paper.weight,
    thickness: paper.thickness,
    leastRoll: paper.leastRoll,
    certificate: true,
  };
  const contents = { ...NOTHING, prints: [print] };
  const { packing } = choosePacking(contents, await listMaterials(db), pack);
  return packing && { packing, parcel: parcelOf(contents, packing) };
}

/** What carriers ask for one print, packed; null where it cannot be packed, or none takes it. */
export async function postageCost(
  db: Reading,
  home: string,
  of: { sizeKey: string; paper: PaperRow },
  settings: Pick<BenchSettings, 'pack' | 'currency'>,
): Promise<PostageCost | null> {
  const packed = await packedAlone(db, of.sizeKey, of.paper, settings);
  const { currency } = settings;
  const quote =
    packed && quotesOf(home, packed.parcel, currency).find((q) => q.refused === null);
  if (!quote) return null;
  const { cost: amount, carrier, service } = quote;
  return { amount, currency, carrier, service };
}

/**
 * What packs one print of a size by the studio's rules, from its shelf; null where it cannot be
 * packed from there, or a piece has no price in the currency of the bench.
 */
export async function packingCost(
  db: Reading,
  sizeKey: string,
  paper: PaperRow,
  { pack, currency }: Pick<BenchSettings, 'pack' | 'currency'>,
): Promise<PackingCost | null> {
  const [packed, rows] = await Promise.all([
    packedAlone(db, sizeKey, paper, { pack }),
    listMaterialRows(db),
  ]);
  if (!packed) return null;
  const taken = takenFrom(packed.packing);
  const costs = taken.map(({ id, pieces }) => {
    const row = rows.find((r) => r.id === id);
    return row && row.cost > 0 && row.currency === currency ? row.cost * pieces : null;
  });
  if (costs.some((c) => c === null)) return null;
  const amount = costs.reduce<number>((sum, c) => sum + (c ?? 0), 0);
  return { amount: minor(amount), currency, pieces: taken };
}
