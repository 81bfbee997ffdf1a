import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createClient } from '@libsql/client';
import { openDatabase } from './database';
import type { OpenDatabase } from './database';
import { REGISTER, tablesThat } from './register';
import { restoreBefore } from '../../e2e/support/studioBefore';

let home: string;
let db: OpenDatabase;
beforeAll(async () => {
  home = join(mkdtempSync(join(tmpdir(), 'register-')), 'studio');
  await restoreBefore(home);
  db = await openDatabase(home);
});
afterAll(() => {
  db.close();
  rmSync(home, { recursive: true });
});

const names = async (sql: string) =>
  (await db.read.all<{ name: string }>(sql)).map((r) => r.name);
const columns = (table: string) =>
  db.read.all<{ name: string; type: string; pk: number }>(`PRAGMA table_info(${table})`);

it('every table has an entry, and every entry a table', async () => {
  const tables = await names(
    `SELECT name FROM pragma_table_list WHERE type IN ('table', 'virtual')
     AND name NOT LIKE 'sqlite_%' AND name <> '__drizzle_migrations' AND schema = 'main'
     AND name NOT IN (SELECT name FROM pragma_table_list WHERE type = 'shadow')`,
  );
  expect(tables.sort()).toEqual(Object.keys(REGISTER).sort());
});

/** Puts a row of made-up values into a table that has none; what it refers to does not matter here. */
async function oneRow(table: string): Promise<void> {
  const [there] = await db.read.all(`SELECT 1 FROM ${table} LIMIT 1`);
  if (there) return;
  const all = await db.read.all<{ name: string; type: string }>(
    `PRAGMA table_info(${table})`,
  );
  const value = ({ name, type }: { name: string; type: string }) =>
    type === 'text' || type === 'TEXT'
      ? /recipe|input|contents/.test(name)
        ? `'{"version":1}'`
        : `'x'`
      : '1';
  const client = createClient({ url: `file:${join(home, 'studio.db')}` });
  await client.execute('PRAGMA foreign_keys = OFF');
  await client.execute(
    `INSERT INTO ${table} (${all.map((c) => c.name).join(', ')}) VALUES (${all.map(value).join(', ')})`,
  );
  client.close();
}

const FACTS = tablesThat((r) => r.kind === 'fact');

it.each(FACTS)('of %s no row is changed, taken away or replaced', async (table) => {
  await oneRow(table);
  const before = await db.read.all(`SELECT * FROM ${table} LIMIT 1`);
  // A table without a row would let all of it pass: each has one.
  expect(before).toHaveLength(1);
  const all = await columns(table);
  const key = all.filter((c) => c.pk > 0).map((c) => c.name);
  const [first] = all.filter((c) => c.pk === 0);
  const tried = (sql: string) => db.write(async (tx) => void (await tx.run(sql)));
  const column = first?.name ?? key[0]!;
  for (const sql of [
    `UPDATE ${table} SET ${column} = ${column}`,
    `UPDATE OR REPLACE ${table} SET ${column} = ${column}`,
    `DELETE FROM ${table}`,
  ])
    await expect(tried(sql)).rejects.toThrow();
  const other = (column: { name: string; pk: number }) =>
    column.pk > 0 ? column.name : `NULL AS ${column.name}`;
  for (const sql of [
    `REPLACE INTO ${table} SELECT * FROM ${table}`,
    `INSERT OR REPLACE INTO ${table} SELECT ${all.map(other).join(', ')} FROM ${table}`,
    `INSERT INTO ${table} SELECT * FROM ${table} WHERE true LIMIT 1
       ON CONFLICT DO UPDATE SET ${column} = excluded.${column}`,
  ])
    // Where the key is the content itself, bringing it again is no fault; it changes nothing.
    await tried(sql).catch(() => undefined);
  expect(await db.read.all(`SELECT * FROM ${table} LIMIT 1`)).toEqual(before);
});

it('a fact that is derived from is derived from by every insert: no trigger was lost', async () => {
  const triggers = await db.read.all<{ name: string; tbl: string; sql: string }>(
    "SELECT name, tbl_name AS tbl, sql FROM sqlite_master WHERE type = 'trigger'",
  );
  const derived = tablesThat((r) => r.kind === 'derived');
  const writes = (table: string) =>
    triggers.filter((t) =>
      new RegExp(`\\b(INTO|UPDATE|FROM) \`?${table}\`?\\b`).test(t.sql),
    );
  for (const table of derived)
    expect([table, writes(table).length > 0]).toEqual([table, true]);
  for (const table of FACTS) {
    const own = triggers.filter((t) => t.tbl === table).map((t) => t.name);
    for (const end of ['no_update', 'no_delete']) expect(own).toContain(`${table}_${end}`);
  }
});

it('every column with a hash is one that names a stored file, or says what else it names', async () => {
  const found: Record<string, string[]> = {};
  for (const table of Object.keys(REGISTER)) {
    const hashes = (await columns(table))
      .filter((c) => /text/i.test(c.type))
      .map((c) => c.name)
      .filter((name) => /sha256|hash|photograph|picture$/.test(name));
    if (hashes.length > 0) found[table] = hashes.sort();
  }
  const told = Object.fromEntries(
    Object.entries(REGISTER)
      .map(([table, r]) => [
        table,
        [...(r.files ?? []), ...Object.keys(r.otherHashes ?? {})].sort(),
      ])
      .filter(([, hashes]) => hashes!.length > 0),
  );
  expect(found).toEqual(told);
});
