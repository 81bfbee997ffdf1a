import { index, integer, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import type { BoughtKind } from '@/core/paper';
import { at, id } from './columns';

/** What was ordered of a supplier: so many of a paper, an ink or packing. It is on its way until a delivery of it is noted. */
export const purchases = sqliteTable(
  'purchase',
  {
    id: id(),
    /** What it is, and its row. */
    kind: text('kind').$type<BoughtKind>().notNull(),
    ref: integer('ref').notNull(),
    /** As it was called, and comes as, when it was ordered. */
    name: text('name').notNull(),
    quantity: integer('quantity').notNull(),
    supplier: text('supplier').notNull(),
    /** Days: ordered on, said to come on; null where nobody said. `at` is when it was noted. */
    orderedOn: text('ordered_on').notNull(),
    comesOn: text('comes_on'),
    at: at(),
  },
  (t) => [index('purchase_of').on(t.kind, t.ref, t.id)],
);

/** That what was ordered does not come: it was called off, or noted by mistake. */
export const purchaseEnds = sqliteTable(
  'purchase_end',
  {
    id: id(),
    purchaseId: integer('purchase_id')
      .notNull()
      .references(() => purchases.id),
    at: at(),
  },
  (t) => [uniqueIndex('purchase_ended_once').on(t.purchaseId)],
);
