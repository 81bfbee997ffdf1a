import { inProcess } from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { loadEditions } from '@/drawers/editions/view';
import { writeCertificateCode } from '@/documents';
import type { LedgerFault } from '@/core/edition';
import { checkLedger, numberingOf } from '@/data';

let here: InProcess;
beforeEach(async () => {
  here = await inProcess({ editionOf: 9, numbered: 3, orders: 1 });
  await here.open.db.write((tx) =>
    tx.run(`INSERT INTO work (title, artist, year, kind, medium, width_mm, height_mm, price_minor, created_at)
      SELECT 'Another Work', artist, year, kind, medium, width_mm, height_mm, price_minor, created_at FROM work WHERE id = 1`),
  );
});
afterEach(() => here.end());

const run = (...statements: string[]) =>
  here.open.db.write(async (tx) => {
    for (const sql of statements) await tx.run(sql);
  });

/** Changes something as only somebody with the file in hand can: the guard is put back after. */
async function unguarded(trigger: string, sql: string): Promise<void> {
  const [guard] = await here.rows<{ sql: string }>(
    `SELECT sql FROM sqlite_master WHERE name = '${trigger}'`,
  );
  await run(`DROP TRIGGER ${trigger}`, sql, guard!.sql);
}

const faults = async (): Promise<LedgerFault[]> =>
  (await checkLedger(here.open.db.read)).faults;

it('a sound ledger has no fault', async () => {
  expect(await checkLedger(here.open.db.read)).toMatchObject({ sound: true, faults: [] });
});

it('the work and the size of an edition are in its hashed declaration: a row that names another is found', async () => {
  const code = async () => {
    const of = { editionId: here.editionId, series: 'number' as const, number: 1 };
    const { hash } = (await numberingOf(here.open.db.read, of))!;
    return loadEditions({ code: writeCertificateCode({ ...of, proof: hash }) });
  };
  expect((await code()).check).toMatchObject({
    found: true,
    words: expect.stringContaining('Genuine: Slack Water'),
  });
  await unguarded('edition_no_update', 'UPDATE edition SET work_id = 2');
  expect(await faults()).toMatchObject([
    { code: 'otherWork', declared: { workId: 1, title: 'Slack Water' } },
  ]);
  expect((await code()).check).toMatchObject({
    found: false,
    words: expect.stringContaining('this edition is of “Slack Water”'),
  });
  await unguarded('edition_no_update', "UPDATE edition SET work_id = 1, size_key = 'zzz'");
  expect(await faults()).toMatchObject([{ code: 'otherWork' }]);
});

it('a work that is called otherwise since is said by both its names', async () => {
  await run("UPDATE work SET title = 'Low Water' WHERE id = 1");
  const of = { editionId: here.editionId, series: 'number' as const, number: 1 };
  const { hash } = (await numberingOf(here.open.db.read, of))!;
  const { check } = await loadEditions({
    code: writeCertificateCode({ ...of, proof: hash }),
  });
  expect(check!.words).toContain('Slack Water (now called Low Water)');
});

it.each(['edition', 'ledger', 'movement', 'order_event', 'log_line', 'sealed_parcel'])(
  'no row of %s is replaced, by whichever key',
  async (table) => {
    const before = await here.rows(`SELECT * FROM ${table}`);
    const columns = (await here.rows<{ name: string }>(`PRAGMA table_info(${table})`)).map(
      (c) => c.name,
    );
    const [key, ...others] = columns;
    for (const select of [
      columns.join(', '),
      [`9000 + ${key}`, ...others].join(', '),
      [`(SELECT max(${key}) + 1 FROM ${table}) AS ${key}`, ...others].join(', '),
    ])
      await run(
        `INSERT OR REPLACE INTO ${table} (${columns.join(', ')}) SELECT ${select} FROM ${table} LIMIT 1`,
      ).catch(() => undefined);
    const after = await here.rows(`SELECT * FROM ${table}`);
    expect(after.slice(0, before.length)).toEqual(before);
  },
);

it('an entry cannot take the place of another by its hash', async () => {
  const before = await here.rows('SELECT seq FROM ledger');
  await expect(
    run(
      `INSERT OR REPLACE INTO ledger (seq, edition_id, kind, series, number, at, payload, previous_hash, hash)
       SELECT (SELECT max(seq) + 1 FROM ledger), edition_id, kind, series, number, at, payload,
         (SELECT hash FROM ledger ORDER BY seq DESC LIMIT 1), hash FROM ledger WHERE seq = 2`,
    ),
  ).rejects.toThrow();
  expect(await here.rows('SELECT seq FROM ledger')).toEqual(before);
});

it('entries that were cut off at the end are missed by a backup, by certificates, by the log', async () => {
  const [head] = await here.rows<{ seq: number; hash: string }>(
    'SELECT seq, hash FROM ledger ORDER BY seq DESC LIMIT 1',
  );
  await run(
    `INSERT INTO job (kind, spec, state, stage, at, result) VALUES ('backup', '{}', 'done', '', '2026-11-02',
      '${JSON.stringify({ ledger: { entries: head!.seq, hash: head!.hash } })}')`,
  );
  expect(await faults()).toEqual([]);
  const cut = `DELETE FROM ledger WHERE seq = ${head!.seq}`;
  await unguarded('ledger_no_delete', cut);
  expect(await faults()).toContainEqual(
    expect.objectContaining({ code: 'cutOff', known: head!.seq, by: 'backup' }),
  );
  await run("DELETE FROM job WHERE kind = 'backup'");
  expect(await faults()).toContainEqual(
    expect.objectContaining({ code: 'cutOff', known: head!.seq, by: 'log' }),
  );
  // The log is cut off, too; a certificate went out.
  await run(
    `INSERT INTO document (order_id, line_id, kind, name, sha256, at)
      VALUES (1, 1, 'certificate', 'c.pdf', '${'a'.repeat(64)}', '2026-11-02')`,
  );
  await unguarded('log_line_no_delete', "DELETE FROM log_line WHERE what LIKE 'edition.%'");
  await unguarded('ledger_no_delete', 'DELETE FROM ledger WHERE seq > 1');
  expect(await faults()).toContainEqual(
    expect.objectContaining({ code: 'cutOff', by: 'certificate' }),
  );
});

it.each([
  ['DROP TRIGGER ledger_no_delete', 'ledger_no_delete'],
  ['DROP TRIGGER movement_no_replace', 'movement_no_replace'],
  ['CREATE TRIGGER helps AFTER INSERT ON ledger BEGIN DELETE FROM log_line; END', 'helps'],
])('%s is found', async (sql, name) => {
  await run(sql);
  expect(await faults()).toEqual([{ code: 'guards', names: [name] }]);
});

it.each([
  "UPDATE impression_now SET state = 'sold' WHERE number = 3",
  'DELETE FROM impression_now WHERE number = 3',
  'UPDATE edition_now SET size = 99',
  'UPDATE impression_now SET printing = 2 WHERE number = 1',
])('what is shown is derived anew: %s is found', async (sql) => {
  await run(sql);
  expect(await faults()).toEqual([{ code: 'shownOtherwise', editionId: here.editionId }]);
});
