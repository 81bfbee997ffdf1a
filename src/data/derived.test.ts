import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createClient } from '@libsql/client';
import { fillLargeStudio } from '../../bench/largeStudio';
import { migrationsBefore } from '../../e2e/support/migrationsBefore';
import { unpackBefore } from '../../e2e/support/studioBefore';
import { openDatabase } from './database';
import type { OpenDatabase } from './database';

let home: string;
beforeEach(() => {
  home = join(mkdtempSync(join(tmpdir(), 'derived-')), 'studio');
});
afterEach(() => rmSync(join(home, '..'), { recursive: true }));

/** What the facts say, summed over all of them; each against the table that keeps up with them. */
const HELD: Record<string, { kept: string; said: string }> = {
  'sales by work, size, channel': {
    kept: `SELECT work_id, size_key, channel, currency, sold, gross_minor, net_minor, postage_minor, unreckoned, usual_fees
      FROM sale_now WHERE work_id > 0 ORDER BY 1, 2, 3, 4`,
    said: `SELECT l.work_id, l.size_key, o.channel, l.currency,
        sum((n.state <> 'returned') * l.quantity), sum(n.price_minor - n.refund_minor),
        sum(CASE WHEN s.cost_minor IS NULL OR s.fees_minor IS NULL THEN 0 ELSE n.price_minor - n.refund_minor
          - (n.state <> 'returned') * s.cost_minor
          - CAST(round(s.fees_minor * CASE n.price_minor WHEN 0 THEN 1.0 ELSE 1.0 * (n.price_minor - n.refund_minor) / n.price_minor END) AS integer)
          - s.postage_minor END),
        sum(coalesce(s.postage_minor, 0)),
        sum(CASE WHEN s.cost_minor IS NULL OR s.fees_minor IS NULL THEN l.quantity ELSE 0 END),
        sum(CASE WHEN s.basis = 'usual' THEN l.quantity ELSE 0 END)
      FROM order_line l JOIN line_now n ON n.line_id = l.id JOIN orders o ON o.id = l.order_id
      LEFT JOIN line_sale s ON s.id = (SELECT max(id) FROM line_sale WHERE line_id = l.id)
      WHERE n.shipped_at IS NOT NULL AND l.work_id IS NOT NULL GROUP BY 1, 2, 3, 4 ORDER BY 1, 2, 3, 4`,
  },
  'sales by month': {
    kept: 'SELECT month, currency, sold, gross_minor FROM sale_month ORDER BY 1, 2',
    said: `SELECT substr(coalesce((SELECT e.payload ->> 'on' FROM order_event e WHERE e.kind = 'shipped' AND e.parcel_id = n.parcel_id),
          n.shipped_at), 1, 7), l.currency, sum((n.state <> 'returned') * l.quantity),
        sum(n.price_minor - n.refund_minor)
      FROM order_line l JOIN line_now n ON n.line_id = l.id WHERE n.shipped_at IS NOT NULL GROUP BY 1, 2 ORDER BY 1, 2`,
  },
  'what is left of lots': {
    kept: 'SELECT lot_id, paper_id, kind, round(`left`, 6) FROM lot_now ORDER BY 1',
    said: `SELECT l.id, l.paper_id, l.kind, round(CASE l.kind WHEN 'roll' THEN l.height_mm ELSE l.pieces END
        - coalesce((SELECT sum(u.amount) FROM lot_use u WHERE u.lot_id = l.id), 0), 6)
      FROM lot l ORDER BY 1`,
  },
  tallies: {
    kept: 'SELECT what, n FROM tally WHERE n <> 0 ORDER BY what',
    said: `SELECT * FROM (SELECT 'work' AS what, count(*) AS n FROM work UNION ALL SELECT 'paper', count(*) FROM paper
      UNION ALL SELECT 'material', count(*) FROM material
      UNION ALL SELECT 'customer', count(*) FROM customer WHERE merged_into IS NULL
      UNION ALL SELECT 'order', count(*) FROM orders UNION ALL SELECT 'order.' || state, count(*) FROM order_now GROUP BY state
      UNION ALL SELECT 'edition', count(*) FROM edition
      UNION ALL SELECT 'edition.sold', count(*) FROM impression_now WHERE series = 'number' AND state IN ('sold', 'lost')
      UNION ALL SELECT 'edition.closed', count(*) FROM edition_now n WHERE n.kind = 'limited' AND n.size <=
        (SELECT count(*) FROM impression_now i WHERE i.edition_id = n.edition_id AND i.series = 'number' AND i.state <> 'spoiled'))
      WHERE n <> 0 ORDER BY what`,
  },
  'works as their list is sorted': {
    kept: 'SELECT work_id, pixels, sizes, sold FROM work_now ORDER BY 1',
    said: `SELECT w.id, (SELECT f.width_px * f.height_px FROM master m JOIN file f ON f.sha256 = m.sha256 WHERE m.work_id = w.id ORDER BY m.id DESC LIMIT 1),
        (SELECT count(*) FROM size_event e WHERE e.work_id = w.id AND e.kind = 'offered' AND e.id =
          (SELECT max(id) FROM size_event x WHERE x.work_id = e.work_id AND x.size_key = e.size_key)),
        (SELECT count(*) FROM line_now l WHERE l.work_id = w.id AND l.state = 'shipped')
      FROM work w ORDER BY 1`,
  },
  'orders of customers': {
    kept: `SELECT customer_id, k.orders, k.last_at FROM customer_now k JOIN customer c ON c.id = k.customer_id
      WHERE c.merged_into IS NULL ORDER BY 1`,
    said: `SELECT coalesce(c.merged_into, c.id) AS root, count(o.id), max(o.placed_at)
      FROM customer c LEFT JOIN orders o ON o.customer_id = c.id GROUP BY root ORDER BY 1`,
  },
  'what works lack': {
    kept: 'SELECT what, work_id FROM work_lack ORDER BY 1, 2',
    said: `SELECT * FROM (SELECT 'master' AS what, id FROM work WHERE id NOT IN (SELECT work_id FROM master)
      UNION ALL SELECT 'sizes', id FROM work WHERE id IN (SELECT work_id FROM master)
        AND id NOT IN (SELECT work_id FROM size_event e WHERE kind = 'offered' AND id =
          (SELECT max(id) FROM size_event x WHERE x.work_id = e.work_id AND x.size_key = e.size_key))
      UNION ALL SELECT 'profile', m.work_id FROM master m JOIN file f ON f.sha256 = m.sha256
        WHERE m.id IN (SELECT max(id) FROM master GROUP BY work_id) AND f.icc_description IS NULL AND m.assumed_space IS NULL)
      ORDER BY 1, 2`,
  },
  'sizes of no limited edition': {
    kept: 'SELECT work_id, size_key FROM open_size ORDER BY 1, 2',
    said: `SELECT work_id, size_key FROM size_event e WHERE kind = 'offered' AND id =
        (SELECT max(id) FROM size_event x WHERE x.work_id = e.work_id AND x.size_key = e.size_key)
      AND NOT EXISTS (SELECT 1 FROM edition d JOIN ledger l ON l.edition_id = d.id AND l.kind = 'declared'
        WHERE d.work_id = e.work_id AND d.size_key IN (e.size_key, 'all') AND l.payload ->> 'kind' = 'limited')
      ORDER BY 1, 2`,
  },
};

async function holds(db: OpenDatabase): Promise<void> {
  for (const [name, { kept, said }] of Object.entries(HELD)) {
    const rows = async (sql: string) =>
      (await db.read.all<object>(sql)).map((row) => Object.values(row));
    const found = await rows(said);
    expect([name, await rows(kept)]).toEqual([name, found]);
  }
}

it('keeps up with facts that are written one by one', async () => {
  const db = await openDatabase(home);
  await fillLargeStudio(db, { works: 24, impressionsEach: 6, ordersEach: 3 });
  await holds(db);
  const at = '2026-02-03T10:00:00.000Z';
  await db.write(async (tx) => {
    // One comes back whole and one damaged, one goods line leaves, a size is withdrawn.
    const back = `INSERT INTO order_event (order_id, line_id, parcel_id, kind, payload, at) VALUES`;
    await tx.run(
      `${back} (1, 1, NULL, 'returned', '{"how":"whole","refund":25000}', '${at}')`,
    );
    await tx.run(
      `${back} (2, 2, NULL, 'returned', '{"how":"damaged","refund":5000}', '${at}')`,
    );
    await tx.run(`INSERT INTO size_event (work_id, size_key, kind, layout, at)
      SELECT work_id, size_key, 'withdrawn', layout, '${at}' FROM size_event WHERE work_id = 5`);
    await tx.run(`INSERT INTO work (title, artist, year, kind, medium, width_mm, height_mm, price_minor, currency, created_at)
      SELECT 'Without a master', artist, year, kind, medium, width_mm, height_mm, price_minor, currency, created_at FROM work WHERE id = 1`);
    await tx.run('UPDATE customer SET merged_into = 1 WHERE id IN (3, 4)');
  });
  await holds(db);
  const [lack] = await db.read.all<{ n: number }>(
    "SELECT count(*) AS n FROM work_lack WHERE what = 'sizes'",
  );
  expect(lack!.n).toBe(1);
  db.close();
});

it('starts from what a studio of the version before had sold, to the cent', async () => {
  await migrationsBefore(
    '0014_sums_that_keep_up',
    join(home, '../migrations'),
    async () => {
      await unpackBefore(home);
      (await openDatabase(home)).close();
    },
  );
  const raw = openDatabaseBefore();
  const { sums, found } = await raw.read();
  raw.close();
  const db = await openDatabase(home);
  expect(await db.read.all(SUMS)).toEqual(sums);
  for (const { kind, ref, words } of found) {
    const hits = await db.read.all<{ id: number }>(
      `SELECT rowid AS id FROM ${kind}_search WHERE ${kind}_search MATCH '"${words}"'`,
    );
    expect(hits.map((h) => h.id)).toContain(ref);
  }
  expect(found.length).toBeGreaterThan(10);
  await holds(db);
  db.close();
});

const SUMS = `SELECT month, currency, sold, gross_minor, net_minor, postage_minor, unreckoned
  FROM sale_month ORDER BY 1, 2`;

/** The database as the version before left it, read without migrating it. */
function openDatabaseBefore() {
  const client = createClient({ url: `file:${join(home, 'studio.db')}` });
  const rows = async (sql: string) => (await client.execute(sql)).rows;
  return {
    close: () => client.close(),
    read: async () => ({
      sums: (await rows(SUMS)).map((r) => ({ ...r })),
      found: (await rows('SELECT kind, ref, text FROM search')).map((r) => ({
        kind: r.kind as string,
        ref: r.ref as number,
        words: (r.text as string).split(/[^\p{L}\p{N}]+/u).find((w) => w.length > 2)!,
      })),
    }),
  };
}
