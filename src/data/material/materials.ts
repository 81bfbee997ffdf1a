import { asc, eq } from 'drizzle-orm';
import type { PackingMaterial } from '@/core/pack';
import type { Reading, Writing } from '../reading';
import { record } from '../log/log';
import { materials } from '../schema';
import { stockOf } from '../stock/stock';

export type MaterialRow = typeof materials.$inferSelect;
export type NewMaterial = Omit<MaterialRow, 'id' | 'supplier' | 'deliveryDays'> &
  Partial<Pick<MaterialRow, 'supplier' | 'deliveryDays'>>;

/** Takes a kind of packing material onto the shelf; its pieces come by deliveries. */
export async function addMaterial(
  tx: Writing,
  material: NewMaterial,
  at: string,
): Promise<number> {
  const line = { at, what: 'material.new', detail: { name: material.name } };
  return (await record(tx, materials, material, line)).id;
}

export const getMaterial = (db: Reading, id: number): Promise<MaterialRow | undefined> =>
  db.query.materials.findFirst({ where: eq(materials.id, id) });

export const listMaterialRows = (db: Reading): Promise<MaterialRow[]> =>
  db.select().from(materials).orderBy(asc(materials.kind), asc(materials.id));

/** Packing material with what is left of it, as packing is reckoned with it. */
export async function listMaterials(db: Reading): Promise<PackingMaterial[]> {
  const [stock, rows] = await Promise.all([
    stockOf(db, 'material'),
    db.select().from(materials).orderBy(asc(materials.id)),
  ]);
  return rows.map(({ width, height, thickness, ...m }): PackingMaterial => {
    const left = stock.get(m.id) ?? 0;
    return m.kind === 'tube'
      ? {
          ...m,
          kind: 'tube',
          diameter: width,
          length: height,
          wall: thickness,
          stock: left,
        }
      : { ...m, kind: m.kind, width, height, thickness, stock: left };
  });
}
