import { NOTHING, choosePacking, takenFrom } from '@/core/pack';
import { minor, mm } from '@/core/units';
import type { Minor } from '@/core/units';
import { listMaterialRows, listMaterials } from '@/data';
import type { BenchSettings, PaperRow, Reading } from '@/data';
import { nominalExtent } from '@/studio';

/** What one print's packing is known to cost, and of what it is made. */
export interface PackingCost {
  amount: Minor;
  currency: string;
  pieces: { name: string; pieces: number }[];
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
  const extent = nominalExtent(sizeKey);
  if (!extent) return null;
  const [materials, rows] = await Promise.all([listMaterials(db), listMaterialRows(db)]);
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
  const { packing } = choosePacking({ ...NOTHING, prints: [print] }, materials, pack);
  if (!packing) return null;
  const taken = takenFrom(packing);
  const costs = taken.map(({ id, pieces }) => {
    const row = rows.find((r) => r.id === id);
    return row && row.cost > 0 && row.currency === currency ? row.cost * pieces : null;
  });
  if (costs.some((c) => c === null)) return null;
  const amount = costs.reduce<number>((sum, c) => sum + (c ?? 0), 0);
  return { amount: minor(amount), currency, pieces: taken };
}
