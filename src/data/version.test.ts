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
