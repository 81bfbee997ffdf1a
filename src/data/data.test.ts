import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import type { Declaration } from '@/core/edition';
import { gsm, minor, mm } from '@/core/units';
import {
  ALL,
  addOrder,
  addOrderEvent,
  addPaper,
  addWork,
  assignNumber,
  checkLedger,
  declareEdition,
  getEdition,
  getOrder,
  papersPage,
  moveStock,
  openDatabase,
  readLog,
  readSettings,
  saveSettings,
  shipOrder,
  spoilImpression,
} from '.';
import type { OpenDatabase, Writing, Refused } from '.';

const at = '2026-03-01T10:00:00.000Z';
const of3: Declaration = { kind: 'limited', scope: 'perSize', size: 3, artistsProofs: 1 };
let home: string;
let db: OpenDatabase;
let workId: number;
let editionId: number;
let paperId: number;

beforeEach(async () => {
  home = await mkdtemp(join(tmpdir(), 'data-'));
  db = await openDatabase(home);
  workId = (
    await db.write((tx) =>
      addWork(tx, {
        title: 'Salt Pans',
        artist: 'A. Person',
        year: 2025,
        kind: 'painting',
        medium: 'tempera',
        width: mm(300),
        height: mm(400),
        price: minor(90000),
        createdAt: at,
      }),
    )
  ).id;
  paperId = await db.write((tx) =>
    addPaper(tx, {
      name: 'Linen 300',
      maker: 'Mill',
      base: 'cotton',
      surface: 'matte',
      weight: gsm(300),
      thickness: mm(0.5),
      sheetWidth: mm(500),
      sheetHeight: mm(700),
      price: minor(500),
      reorderPoint: 5,
      printerSetting: 'matte thick',
      permanence: '',
      note: '',
      createdAt: at,
    }),
  );
  editionId = await db.write((tx) =>
    declareEdition(tx, { workId, sizeKey: 'isoA-A3', declaration: of3, at }),
  );
});
afterEach(async () => {
  db.close();
  await rm(home, { recursive: true, force: true });
});

const number = (tx: Writing) =>
  assignNumber(tx, { editionId, series: 'number', sizeKey: 'isoA-A3', at });
const order = (impression: number) => ({
  customer: { name: 'T. Venn', street: '1 Lane', town: 'Merrow', country: 'Nowhere' },
  workId,
  sizeKey: 'isoA-A3',
  paperId,
  editionId,
  series: 'number' as const,
  impression,
  channel: 'own site',
  price: minor(12000),
  placedAt: at,
  dueOn: '2026-03-05',
});

it('gives each number once, also to many at the same time', async () => {
  const results = await Promise.allSettled(
    Array.from({ length: 6 }, () => db.write(number)),
  );
  const given = results.filter((r) => r.status === 'fulfilled').map((r) => r.value);
  expect(given.sort()).toEqual([1, 2, 3]);
  const refused = results
    .filter((r) => r.status === 'rejected')
    .map((r) => (r.reason as Refused).code);
  expect(refused).toEqual(['soldOut', 'soldOut', 'soldOut']);
});

it('prints a number again only after it was spoiled', async () => {
  await db.write(number);
  const again = () =>
    db.write((tx) =>
      assignNumber(tx, {
        editionId,
        series: 'number',
        requested: 1,
        sizeKey: 'isoA-A3',
        at,
      }),
    );
  await expect(again()).rejects.toThrow('numberTaken');
  await db.write((tx) =>
    spoilImpression(tx, { editionId, series: 'number', number: 1, reason: 'scuffed', at }),
  );
  expect(await again()).toBe(1);
  expect((await getEdition(db.read, editionId))?.impressions).toMatchObject([
    { number: 1, printing: 2 },
  ]);
});

it('never enlarges, and never changes after the first number', async () => {
  const redeclare = (declaration: Declaration) =>
    db.write((tx) => declareEdition(tx, { workId, sizeKey: 'isoA-A3', declaration, at }));
  await expect(redeclare({ ...of3, size: 4 })).rejects.toThrow('enlarged');
  await db.write(number);
  await expect(redeclare({ ...of3, size: 2 })).rejects.toThrow('closedToChange');
  await expect(
    db.write((tx) => declareEdition(tx, { workId, sizeKey: 'all', declaration: of3, at })),
  ).rejects.toThrow('otherSchool');
});

it('the database itself refuses to change or remove facts', async () => {
  await db.write(number);
  for (const statement of [
    sql`UPDATE ledger SET number = 9 WHERE seq = 2`,
    sql`DELETE FROM ledger WHERE seq = 2`,
    sql`INSERT OR REPLACE INTO ledger SELECT * FROM ledger WHERE seq = 2`,
    sql`DELETE FROM log_line`,
    sql`UPDATE edition SET size_key = 'all'`,
  ])
    await expect(db.read.run(statement)).rejects.toMatchObject({
      cause: { message: expect.stringMatching(/append-only|out of order/) as string },
    });
  expect(await checkLedger(db.read)).toEqual({ sound: true, entries: 2 });
});

it('names the first entry that was tampered with behind its back', async () => {
  await db.write(number);
  await db.write(number);
  await db.read.run(sql`DROP TRIGGER ledger_no_update`);
  await db.read.run(sql`UPDATE ledger SET number = 9 WHERE seq = 2`);
  expect(await checkLedger(db.read)).toEqual({ sound: false, brokenAt: 2, why: 'changed' });
});

it('takes an order, reserves the number, and sells it when it ships', async () => {
  await db.write(number);
  const row = await db.write((tx) => addOrder(tx, order(1)));
  await expect(db.write((tx) => addOrder(tx, order(1)))).rejects.toThrow('notFree');
  await expect(db.write((tx) => shipOrder(tx, row.number, at))).rejects.toThrow('noLabel');
  const label = { carrier: 'C', service: 'S', tracking: 'T1', cost: 610 };
  await db.write((tx) => addOrderEvent(tx, row, 'labelled', label, at));
  await db.write((tx) => shipOrder(tx, row.number, at));
  await expect(db.write((tx) => shipOrder(tx, row.number, at))).rejects.toThrow(
    'alreadyShipped',
  );
  expect((await getEdition(db.read, editionId))?.impressions[0]).toMatchObject({
    state: 'sold',
    order: row.number,
  });
  const story = await readLog(db.read, { editionId, series: 'number', impression: 1 }, 20);
  expect(story.map((l) => l.what).sort()).toEqual([
    'edition.assigned',
    'edition.ordered',
    'edition.shipped',
    'order.labelled',
    'order.shipped',
    'order.taken',
  ]);
});

it('a refused write leaves nothing behind', async () => {
  await expect(db.write((tx) => addOrder(tx, order(2)))).rejects.toThrow('neverNumbered');
  expect(await getOrder(db.read, '0401')).toBeUndefined();
  expect(await db.read.query.customers.findMany()).toEqual([]);
});

it('adds stock movements up and keeps settings apart', async () => {
  const move = (pieces: number) =>
    db.write((tx) => moveStock(tx, { of: 'paper', ref: paperId, pieces, reason: 'x', at }));
  await move(20);
  await move(-16);
  expect((await papersPage(db.read, ALL)).rows).toMatchObject([
    { sheets: 4, level: 'low' },
  ]);
  await db.write((tx) => saveSettings(tx, { units: 'inch' }));
  await db.write((tx) => saveSettings(tx, { tone: 'dark' }));
  expect(await readSettings(db.read)).toMatchObject({
    units: 'inch',
    tone: 'dark',
    currency: 'EUR',
  });
});
