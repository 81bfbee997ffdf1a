import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createClient } from '@libsql/client';
import { openDatabase } from './database';
import { NewerStudio, refuseNewerFolder } from './version';

let home: string;
beforeEach(async () => {
  home = await mkdtemp(join(tmpdir(), 'version-'));
});
afterEach(() => rm(home, { recursive: true }));

it('opens what it wrote itself, and what is not there yet', async () => {
  await refuseNewerFolder(home);
  (await openDatabase(home)).close();
  await refuseNewerFolder(home);
  (await openDatabase(home)).close();
});

it('refuses a studio of a later version, and writes nothing to it', async () => {
  (await openDatabase(home)).close();
  const client = createClient({ url: `file:${join(home, 'studio.db')}` });
  const migrations = async () =>
    (await client.execute('SELECT count(*) AS n FROM __drizzle_migrations')).rows[0]!.n;
  await client.execute(
    "INSERT INTO __drizzle_migrations (hash, created_at) VALUES ('later', 4102444800000)",
  );
  const before = await migrations();
  await expect(refuseNewerFolder(home)).rejects.toThrow(NewerStudio);
  await expect(openDatabase(home)).rejects.toThrow(/later version of Glassine/);
  expect(await migrations()).toBe(before);
  client.close();
});

/** Another process, which has a database to itself for a while. */
const HOLDER = `
  const { createClient } = require('@libsql/client');
  const client = createClient({ url: 'file:' + process.argv[1] });
  (async () => {
    await client.execute('PRAGMA locking_mode = EXCLUSIVE');
    await client.execute('CREATE TABLE held (id)');
    console.log('held');
    setTimeout(() => client.close(), 500);
  })();
`;

it('waits for a process that has the database to itself for a moment', async () => {
  const path = join(home, 'studio.db');
  const holder = spawn(process.execPath, ['-e', HOLDER, path]);
  const gone = once(holder, 'exit');
  await once(holder.stdout, 'data');
  const hasty = createClient({ url: `file:${path}`, timeout: 0 });
  await expect(hasty.execute('SELECT 1 FROM sqlite_master')).rejects.toThrow(/locked/);
  hasty.close();
  await refuseNewerFolder(home);
  await gone;
});
