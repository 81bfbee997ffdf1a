import { foldMovements } from '@/core/paper';
import { lastMovements, listMaterialRows, readSettings, stockOf } from '@/data';
import { rowId, studio } from '@/studio';
import { materialForm } from './materialForm';

const SHOWN = 5;
const MOVEMENTS = 200;

/** The packing material on the shelf, one kind of it picked. */
export async function loadMaterials(query: Record<string, string | undefined>) {
  const db = (await studio()).db.read;
  const [rows, stock, settings] = await Promise.all([
    listMaterialRows(db),
    stockOf(db, 'material'),
    readSettings(db),
  ]);
  const materials = rows.map((m) => ({ ...m, stock: stock.get(m.id) ?? 0 }));
  const asked = rowId(query.material ?? '');
  const picked = materials.find((m) => m.id === asked) ?? materials[0] ?? null;
  const { currency } = settings;
  return {
    materials,
    picked,
    movements: picked
      ? foldMovements(await lastMovements(db, 'material', picked.id, MOVEMENTS))
          .slice(-SHOWN)
          .reverse()
      : [],
    adding: query.new === '1' || materials.length === 0,
    editing:
      query.edit === '1' && picked
        ? materialForm.write(
            { ...picked, cost: picked.currency === currency ? picked.cost : null },
            settings,
          )
        : null,
    currency,
  };
}

export type MaterialsView = Awaited<ReturnType<typeof loadMaterials>>;
