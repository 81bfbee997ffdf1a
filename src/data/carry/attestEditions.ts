import { asc, sql } from 'drizzle-orm';
import { declaredFor } from '@/core/edition';
import { append, entriesOf } from '../edition/editions';
import { editions } from '../schema';
import { getWork } from '../work/works';
import type { CarryStep } from './step';

/**
 * Editions were declared without the work and the size in the hashed entry. What they are for
 * is attested, as it stands now, by an entry of its own: from here on no row can say otherwise.
 */
export const attestEditions: CarryStep = {
  name: 'work and size of editions',
  async run(tx) {
    const [clock] = await tx.all<{ at: string }>(
      sql`SELECT strftime('%Y-%m-%dT%H:%M:%fZ', 'now') AS at`,
    );
    for (const { id, workId, sizeKey } of await tx
      .select()
      .from(editions)
      .orderBy(asc(editions.id))) {
      if (declaredFor(await entriesOf(tx, id))) continue;
      const work = await getWork(tx, workId);
      if (!work) continue;
      const { title, artist } = work;
      const payload = { workId, sizeKey, title, artist };
      const fact = { editionId: id, kind: 'attested', series: null, number: null } as const;
      await append(tx, { ...fact, at: clock!.at, payload }, { workId, sizeKey });
    }
  },
};
