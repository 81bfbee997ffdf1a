import assert from 'node:assert/strict';
import { cpSync, existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { createClient } from '@libsql/client';
import type { StudioServer } from '../support/studioServer';
import type { Attack } from './attack';
import { glassine } from './commandLine';

/** Tables whose rows are facts, of the kinds that were rewritten once. */
const FACTS = ['edition', 'ledger', 'movement', 'order_event'];

/** Changes a database past the application. */
async function byHand(home: string, ...statements: string[]): Promise<void> {
  const client = createClient({ url: `file:${join(home, 'studio.db')}` });
  try {
    for (const statement of statements) await client.execute(statement);
  } finally {
    client.close();
  }
}

/** The same studio in another folder, to be spoiled. */
function copied({ home }: StudioServer, name: string): string {
  const copy = `${home}-${name}`;
  rmSync(copy, { recursive: true, force: true });
  cpSync(home, copy, {
    recursive: true,
    filter: (path) => !/\/(running|backups)(\/|$)/.test(path),
  });
  return copy;
}

/** The guards of a table: their names, and how they are made again. */
const guardsOf = async (home: string, table: string) => {
  const client = createClient({ url: `file:${join(home, 'studio.db')}` });
  try {
    const { rows } = await client.execute(
      `SELECT name, sql FROM sqlite_master WHERE type = 'trigger' AND tbl_name = '${table}'`,
    );
    return rows.map((r) => ({ name: r.name as string, sql: r.sql as string }));
  } finally {
    client.close();
  }
};

export const ledgerAttacks: Attack[] = [
  {
    name: 'no fact is changed, replaced or taken out, by whatever hand',
    quick: true,
    async run({ own }) {
      const tables: string[] = [];
      for (const table of FACTS) {
        const before = await own.rows(`SELECT * FROM ${table}`);
        if (before.length === 0) continue;
        tables.push(table);
        const column = Object.keys(before[0]!)[1]!;
        for (const statement of [
          `UPDATE ${table} SET ${column} = ${column}`,
          `DELETE FROM ${table}`,
          `INSERT OR REPLACE INTO ${table} SELECT * FROM ${table}`,
        ])
          await assert.rejects(() => byHand(own.home, statement), statement);
        assert.deepEqual(await own.rows(`SELECT * FROM ${table}`), before);
      }
      assert.ok(tables.includes('ledger') && tables.includes('edition'));
      return `${tables.join(', ')} as they were`;
    },
  },
  {
    name: 'what a hand changes past the guards is named by the check',
    quick: false,
    async run({ own }) {
      const sound = copied(own, 'sound');
      const plain = await glassine(['check'], sound);
      assert.match(plain.said, /the ledger holds/);
      const named: string[] = [];
      for (const [what, table, statement, again] of [
        [
          'an edition of another size',
          'edition',
          "UPDATE edition SET size_key = 'isoA-A1'",
          true,
        ],
        [
          'the last entry cut off',
          'ledger',
          'DELETE FROM ledger WHERE seq = (SELECT max(seq) FROM ledger)',
          true,
        ],
        ['a guard taken away', 'ledger', 'SELECT 1', false],
      ] as const) {
        const home = copied(own, 'spoiled');
        const guards = await guardsOf(home, table);
        assert.ok(guards.length > 0);
        const made = again ? guards.map((g) => g.sql) : [];
        await byHand(
          home,
          ...guards.map((g) => `DROP TRIGGER ${g.name}`),
          statement,
          ...made,
        );
        const { code, said } = await glassine(['check'], home);
        assert.equal(code, 1, `${what}: ${said}`);
        assert.match(said, /ledger: /, what);
        named.push(`${what}: ${/ledger: (.{0,60})/.exec(said)![1]}`);
        rmSync(home, { recursive: true });
      }
      rmSync(sound, { recursive: true });
      return named.join('; ');
    },
  },
  {
    name: 'a backup that was tampered with, or leads out of the store, is not restored',
    quick: false,
    async run({ own }) {
      const home = copied(own, 'kept');
      const folder = `${home}-again`;
      const restores = async (archive: string) => {
        rmSync(folder, { recursive: true, force: true });
        const { code, said } = await glassine(['restore', archive, folder], home);
        assert.equal(existsSync(folder), code === 0, said);
        return said;
      };
      const whole = join(home, 'whole.zip');
      assert.equal((await glassine(['backup', whole], home)).code, 0);
      assert.match(await restores(whole), /restored as it was/);
      const bytes = readFileSync(whole);
      let refused = 0;
      for (const share of [0.1, 0.5, 0.9, 0.999]) {
        const spoiled = Buffer.from(bytes);
        const at = Math.floor(share * spoiled.length);
        spoiled[at] = spoiled[at]! ^ 0xff;
        writeFileSync(whole, spoiled);
        assert.doesNotMatch(await restores(whole), /restored as it was/, `byte ${at}`);
        refused += 1;
      }
      writeFileSync(whole, bytes.subarray(0, bytes.length / 2));
      assert.doesNotMatch(await restores(whole), /restored as it was/);
      // A row whose hash is a path.
      await byHand(
        home,
        `INSERT INTO document (order_id, parcel_id, kind, name, sha256, at)
         SELECT p.order_id, p.id, 'label', 'label.pdf', '../../../../../../etc/passwd', '2026-11-05T10:00:00.000Z'
         FROM parcel p LIMIT 1`,
      );
      const crafted = join(home, 'crafted.zip');
      await glassine(['backup', crafted], home);
      assert.match(await restores(crafted), /no hash/);
      rmSync(folder, { recursive: true, force: true });
      rmSync(home, { recursive: true });
      return `${refused + 2} refused, one restored`;
    },
  },
];
