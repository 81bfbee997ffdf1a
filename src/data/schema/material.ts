import { integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { PackingMaterial } from '@/core/pack';
import type { Grams } from '@/core/units';
import { currency, id, mm, money } from './columns';

/** Packing material; sizes inside. A tube has its diameter in `width` and its length in `height`. */
export const materials = sqliteTable('material', {
  id: id(),
  kind: text('kind').$type<PackingMaterial['kind']>().notNull(),
  name: text('name').notNull(),
  width: mm('width_mm').notNull(),
  height: mm('height_mm').notNull(),
  thickness: mm('thickness_mm').notNull(),
  mass: real('mass_g').$type<Grams>().notNull(),
  cost: money('cost_minor').notNull(),
  currency: currency(),
  /** At so many pieces left it is to be ordered again. */
  reorderPoint: integer('reorder_point').notNull(),
  supplier: text('supplier').notNull().default(''),
  /** Days from ordering to its delivery. */
  deliveryDays: integer('delivery_days'),
});
