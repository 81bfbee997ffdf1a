import { LASTING_RULES, stockLasts } from '@/core/paper';
import type { Lasting } from '@/core/paper';
import { daysAfter } from '@/core/days';
import { listMaterialRows, stockOf, usesOfMaterials } from '@/data';
import type { MaterialRow, Reading } from '@/data';

/** Packing material with what is left of it, and how long that lasts; null where it cannot be told. */
export interface MaterialLasts extends MaterialRow {
  pieces: number;
  lasting: Lasting | null;
}

/** All packing material, with how long each lasts at the pace of late. */
export async function materialsLasting(
  db: Reading,
  today: string,
): Promise<MaterialLasts[]> {
  const since = daysAfter(today, -7 * LASTING_RULES.weeks);
  const [rows, stock, uses] = await Promise.all([
    listMaterialRows(db),
    stockOf(db, 'material'),
    usesOfMaterials(db, since),
  ]);
  return rows.map((row) => {
    const pieces = stock.get(row.id) ?? 0;
    const of = { left: pieces, coming: 0, uses: uses.get(row.id) ?? [] };
    const { deliveryDays } = row;
    return { ...row, pieces, lasting: stockLasts({ ...of, deliveryDays }, today) };
  });
}
