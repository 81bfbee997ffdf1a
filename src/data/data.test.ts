import { mkdtemp, readdir, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import type { Declaration } from '@/core/edition';
import { gsm, minor, mm } from '@/core/units';
import { impressionLine, orderOf } from '../../e2e/support/orders';
import { sheets } from '../../e2e/support/paperLots';
import {
  ALL,
  addBooking,
  addOrderEvent,
  addPaper,
  addWork,
  assignNumber,
  checkLedger,
  customerCount,
  customersPage,
  declareEdition,
  getEdition,
  getOrder,
  heldBy,
  mergeCustomers,
  papersPage,
  receiveLot,
  takeFromLot,
  openDatabase,
  readLog,
  readSettings,
  saveSettings,
  removeOrderLine,
  returnImpression,
  sealParcel,
  shipParcel,
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
        currency: 'EUR',
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
      currency: 'EUR',
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
const take = (tx: Writing, impression: number) =>
  orderOf(
    tx,
    impressionLine({ workId, sizeKey: 'isoA-A3', paperId, editionId, impression }),
    { at },
  );

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
  expect(await checkLedger(db.read)).toEqual({ sound: true, entries: 2, faults: [] });
});

it('names the first entry that was tampered with behind its back', async () => {
  await db.write(number);
  await db.write(number);
  await db.read.run(sql`DROP TRIGGER ledger_no_update`);
  await db.read.run(sql`UPDATE ledger SET number = 9 WHERE seq = 2`);
  expect(await checkLedger(db.read)).toEqual({
    sound: false,
    entries: 3,
    faults: [
      { code: 'entry', brokenAt: 2, why: 'changed' },
      { code: 'guards', names: ['ledger_no_update'] },
      { code: 'shownOtherwise', editionId: 1 },
    ],
  });
});

/** Seals the one parcel of an order as if all of it had been counted and weighed. */
async function seal(tx: Writing, number: string): Promise<void> {
  const order = (await getOrder(tx, number))!;
  const [parcel] = order.parcels;
  const booking = await addBooking(tx, {
    parcelId: parcel!.id,
    carrier: 'C',
    service: 'S',
    reference: `${number}-1`,
    at,
  });
  await sealParcel(tx, order, parcel!, {
    carrier: 'C',
    service: 'S',
    tracking: 'T1',
    cost: minor(610),
    currency: 'EUR',
    weighed: null,
    contents: {
      way: 'flat',
      notFlat: [],
      spare: null,
      parts: null,
      total: null,
      outside: null,
      tolerance: null,
      lines: [],
      to: order.to,
      quotes: [],
      note: '',
    },
    documents: [],
    used: [],
    booking,
    at,
  });
}

const ship = (number: string, when = { at, on: at.slice(0, 10) }) =>
  db.write(async (tx) => {
    const order = (await getOrder(tx, number))!;
    await shipParcel(tx, order, order.parcels[0]!, when);
  });

it('takes an order, reserves the number, and sells it when it ships', async () => {
  await db.write(number);
  const row = await db.write((tx) => take(tx, 1));
  await expect(db.write((tx) => take(tx, 1))).rejects.toThrow('notFree');
  await expect(ship(row.number)).rejects.toThrow('noLabel');
  await db.write((tx) => seal(tx, row.number));
  expect((await getOrder(db.read, row.number))!.state).toBe('sealed');
  await ship(row.number);
  await expect(ship(row.number)).rejects.toThrow('alreadyShipped');
  expect((await getEdition(db.read, editionId))?.impressions[0]).toMatchObject({
    state: 'sold',
    order: row.number,
  });
  const story = await readLog(db.read, { orderId: row.id }, 20);
  expect(story.map((l) => l.what).sort()).toEqual([
    'edition.ordered',
    'edition.shipped',
    'order.line',
    'order.sealed',
    'order.shipped',
    'order.taken',
  ]);
});

it('a sale belongs to the month that it was where the studio is', async () => {
  const months = () => db.read.all('SELECT month, sold FROM sale_month ORDER BY month');
  await db.write(number);
  await db.write(number);
  const evening = { at: '2027-01-01T04:00:00.000Z', on: '2026-12-31' };
  const first = await db.write((tx) => take(tx, 1));
  await db.write((tx) => seal(tx, first.number));
  await ship(first.number, evening);
  expect(await months()).toEqual([{ month: '2026-12', sold: 1 }]);
  // Facts of an earlier version say no day: theirs is that of the instant.
  const second = await db.write((tx) => take(tx, 2));
  await db.write((tx) => seal(tx, second.number));
  await db.write(async (tx) => {
    const order = (await getOrder(tx, second.number))!;
    const parcelId = order.parcels[0]!.id;
    await addOrderEvent(tx, order, { kind: 'shipped', payload: {}, parcelId }, evening.at);
  });
  expect(await months()).toEqual([
    { month: '2026-12', sold: 1 },
    { month: '2027-01', sold: 1 },
  ]);
});

it('a line taken out gives its number back; one that came back is free, or is not', async () => {
  for (let i = 0; i < 3; i += 1) await db.write(number);
  const row = await db.write((tx) => take(tx, 1));
  const state = async (n: number) =>
    (await getEdition(db.read, editionId))!.impressions.find((i) => i.number === n)!.state;
  await db.write(async (tx) => {
    const order = (await getOrder(tx, row.number))!;
    await removeOrderLine(tx, order, order.lines[0]!, at);
  });
  expect(await state(1)).toBe('numbered');
  const again = await db.write((tx) => take(tx, 1));
  await db.write((tx) => seal(tx, again.number));
  await ship(again.number);
  await db.write(async (tx) => {
    const order = (await getOrder(tx, again.number))!;
    await returnImpression(tx, heldBy(order.lines[0]!, order, at)!, 'damaged');
  });
  expect(await state(1)).toBe('damaged');
  await expect(db.write((tx) => take(tx, 1))).rejects.toThrow('notFree');
  expect(await checkLedger(db.read)).toMatchObject({ sound: true });
});

it('a customer is found again, never inserted twice, and merged by hand', async () => {
  for (let i = 0; i < 3; i += 1) await db.write(number);
  const line = (impression: number) =>
    impressionLine({ workId, sizeKey: 'isoA-A3', paperId, editionId, impression });
  const named = (impression: number, name: string, street = '3 Weir Lane') =>
    db.write((tx) => orderOf(tx, line(impression), { at, name, street }));
  await named(1, 'Orla Brandt');
  await named(2, 'ORLA  Brändt');
  expect(await customerCount(db.read)).toBe(1);
  const other = await named(3, 'Orla Brandt', '9 Kiln Lane');
  expect(await customerCount(db.read)).toBe(2);
  await db.write((tx) => mergeCustomers(tx, { from: 2, into: 1, at }));
  expect(await customerCount(db.read)).toBe(1);
  expect((await getOrder(db.read, other.number))!.customer.id).toBe(1);
  expect((await customersPage(db.read, ALL)).rows).toMatchObject([{ id: 1, orders: 3 }]);
  await expect(
    db.write((tx) => mergeCustomers(tx, { from: 2, into: 1, at })),
  ).rejects.toThrow('sameCustomer');
});

it('a refused write leaves nothing behind', async () => {
  await expect(db.write((tx) => take(tx, 2))).rejects.toThrow('neverNumbered');
  expect(await getOrder(db.read, '0401')).toBeUndefined();
  expect(await db.read.query.customers.findMany()).toEqual([]);
});

it('takes what is used off what came in, and keeps settings apart', async () => {
  const lotId = await db.write((tx) => receiveLot(tx, sheets(paperId, 20, at, 500, 700)));
  await db.write((tx) =>
    takeFromLot(tx, { lotId, amount: 16, kind: 'test', reason: 'x', at }),
  );
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

it('opens the file of its folder, whatever address of a database stands in the environment', async () => {
  const before = process.env.DATABASE_URL;
  process.env.DATABASE_URL = 'http://127.0.0.1:1';
  const other = await mkdtemp(join(tmpdir(), 'one-machine-'));
  try {
    const opened = await openDatabase(other);
    expect(await opened.read.query.works.findMany()).toEqual([]);
    opened.close();
    expect(await readdir(other)).toContain('studio.db');
  } finally {
    if (before === undefined) delete process.env.DATABASE_URL;
    else process.env.DATABASE_URL = before;
    await rm(other, { recursive: true });
  }
});
