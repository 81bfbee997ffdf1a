import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import type { Reading } from '../reading';
import { openEmpty } from '../database';

interface Guard {
  name: string;
  sql: string;
}

/** The triggers of a database: what refuses changes of facts, and what derives from them. */
async function guardsOf(db: Reading): Promise<Guard[]> {
  const rows = await db.all<Guard>(
    sql`SELECT name, sql FROM sqlite_master WHERE type = 'trigger' ORDER BY name`,
  );
  // How a name is quoted, and where a line ends, is no matter.
  const plain = (text: string) => text.replace(/[`"]/g, '').replace(/\s+/g, ' ').trim();
  return rows.map((row) => ({ name: row.name, sql: plain(row.sql) }));
}

let shipped: Promise<Guard[]> | null = null;

/** The triggers that this version ships, read from a database made by its migrations alone. */
async function readShipped(): Promise<Guard[]> {
  const folder = await mkdtemp(join(tmpdir(), 'glassine-guards-'));
  const { db, close } = await openEmpty(join(folder, 'empty.db'));
  try {
    return await guardsOf(db);
  } finally {
    close();
    await rm(folder, { recursive: true, force: true });
  }
}

/** Names of triggers that are missing, were changed, or are none that this version ships. */
export async function oddGuards(db: Reading): Promise<string[]> {
  const wanted = await (shipped ??= readShipped().catch((error: unknown) => {
    shipped = null;
    throw error;
  }));
  const there = new Map((await guardsOf(db)).map((g) => [g.name, g.sql]));
  const odd = wanted.filter((g) => there.get(g.name) !== g.sql).map((g) => g.name);
  const known = new Set(wanted.map((g) => g.name));
  return [...odd, ...[...there.keys()].filter((name) => !known.has(name))];
}
