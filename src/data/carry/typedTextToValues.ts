import { sql } from 'drizzle-orm';
import { FINISH_VALUES } from '@/core/finish';
import type { Versioned } from '@/core/facts';
import { PRICE_VALUES } from '@/core/price';
import type { Writing } from '../reading';
import { readSettings } from '../settings/settings';
import { unguarded } from './unguarded';
import type { CarryStep } from './step';

async function rewrite<T extends object>(
  tx: Writing,
  table: 'price' | 'finish',
  fact: Versioned<T>,
  typedIn: string,
): Promise<void> {
  const rows = await tx.all<{ id: number; input: string }>(
    sql`SELECT id, input FROM ${sql.raw(table)} WHERE input ->> 'version' IS NULL`,
  );
  await unguarded(tx, table, async () => {
    for (const { id, input } of rows) {
      const typed = JSON.parse(input) as Record<string, unknown>;
      const values = JSON.stringify(fact.write(fact.read({ ...typed, typedIn })));
      await tx.run(sql`UPDATE ${sql.raw(table)} SET input = ${values} WHERE id = ${id}`);
    }
  });
}

/**
 * Prices and finishes were kept as they were typed, and read again under whatever units and
 * currency held. They become values, under those that hold at the move, for good.
 */
export const typedTextToValues: CarryStep = {
  name: 'typed text to values',
  async run(tx) {
    const { currency, units } = await readSettings(tx);
    await rewrite(tx, 'price', PRICE_VALUES, currency);
    await rewrite(tx, 'finish', FINISH_VALUES, units);
  },
};
