import { foldMovements } from '@/core/paper';
import { lastMovements, onItsWayOf, readSettings } from '@/data';
import { materialsLasting, rowId, studio, todayOf } from '@/studio';
import { materialWritten } from './materialForm';

const SHOWN = 5;
const MOVEMENTS = 200;

/** The packing material on the shelf, one kind of it picked. */
export async function loadMaterials(query: Record<string, string | undefined>) {
  const db = (await studio()).db.read;
  const settings = await readSettings(db);
  const today = todayOf(settings);
  const shelf = await materialsLasting(db, today);
  const materials = shelf.map(({ pieces, ...m }) => ({ ...m, stock: pieces }));
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
    today,
    coming: picked && (await onItsWayOf(db, 'material', picked.id)),
    adding: query.new === '1' || materials.length === 0,
    editing: query.edit === '1' && picked ? materialWritten(picked, settings) : null,
    currency,
  };
}

export type MaterialsView = Awaited<ReturnType<typeof loadMaterials>>;
