import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { asc, getTableName, is } from 'drizzle-orm';
import { SQLiteTable } from 'drizzle-orm/sqlite-core';
import * as schema from './schema';
import { REGISTER } from './register';
import { SAID_BEFORE, restoreBefore } from '../../e2e/support/studioBefore';
import { openDatabase } from './database';
import type { OpenDatabase } from './database';
import { checkLedger } from './edition/checkLedger';
import { editionsOf } from './edition/editions';
import { findCustomers } from './order/customers';
import { getOrder } from './order/orders';
import { salesPage, salesSums } from './order/salesPage';
import { ALL } from './page';
import { finishesOf } from './finish/finishes';
import { documents, ledger, orders, prices, stockNow } from './schema';
import { readSettings } from './settings/settings';

/*
 * A backup made by the version in which an order was of one impression, restored by this one:
 * the carrying over runs while it is restored.
 */
let home: string;
let db: OpenDatabase;
beforeAll(async () => {
  home = join(mkdtempSync(join(tmpdir(), 'carried-')), 'studio');
  await restoreBefore(home);
  db = await openDatabase(home);
});
afterAll(() => {
  db.close();
  rmSync(dirname(home), { recursive: true });
});

it('has the same impressions, and the same ledger, hash by hash', async () => {
  const found = (
    await Promise.all([1, 2, 3, 4].map((workId) => editionsOf(db.read, workId)))
  )
    .flat()
    .flatMap((e) =>
      e.impressions.map(({ series, number, state, printing, order }) => ({
        editionId: e.id,
        series,
        number,
        state,
        printing,
        order,
      })),
    );
  const sorted = (all: object[]) => all.map((i) => JSON.stringify(i)).sort();
  expect(sorted(found)).toEqual(sorted(SAID_BEFORE.impressions));
  const entries = await db.read.select().from(ledger).orderBy(asc(ledger.seq));
  const before = SAID_BEFORE.hashes.length;
  expect(entries.slice(0, before).map((e) => e.hash)).toEqual(SAID_BEFORE.hashes);
  // What each edition is for is attested behind them.
  expect(new Set(entries.slice(before).map((e) => e.kind))).toEqual(new Set(['attested']));
  expect(SAID_BEFORE.ledger).toMatchObject({ sound: true, entries: before });
  expect(await checkLedger(db.read)).toMatchObject({
    sound: true,
    entries: entries.length,
    faults: [],
  });
});

it('has the same totals, to the cent', async () => {
  const [sums, ...others] = await salesSums(db.read);
  expect(others).toEqual([]);
  // What stays is told with the postage that was paid: it was left out before.
  const { net, ...same } = SAID_BEFORE.sums;
  expect(sums).toMatchObject({ currency: 'EUR', ...same });
  expect(sums!.net + sums!.postage).toBe(net);
  const { rows } = await salesPage(db.read, ALL);
  expect(rows.map((r) => ({ ...r, net: r.net + r.postage }))).toMatchObject(
    SAID_BEFORE.sales,
  );
});

it('has every order, each with the one line and the one parcel that it had', async () => {
  const rows = await db.read.select().from(orders);
  expect(rows.map((o) => o.number)).toEqual(SAID_BEFORE.orders.map((o) => o.number));
  for (const was of SAID_BEFORE.orders) {
    const order = (await getOrder(db.read, was.number))!;
    expect(order).toMatchObject({
      channel: was.channel,
      placedAt: was.placedAt,
      dueOn: was.dueOn,
      state: was.shippedAt ? 'shipped' : was.sealed ? 'sealed' : 'open',
      lines: [
        {
          kind: was.series === 'ap' ? 'artistsProof' : 'impression',
          sizeKey: was.sizeKey,
          series: was.series,
          impression: was.impression,
          price: was.price,
          currency: 'EUR',
          quantity: 1,
        },
      ],
    });
    expect(order.parcels).toHaveLength(1);
    const [parcel] = order.parcels;
    expect(parcel).toMatchObject({ shippedAt: was.shippedAt });
    expect(parcel!.sealed?.cost ?? 0).toBe(was.postage);
  }
});

it('has its documents, each with its parcel', async () => {
  const rows = await db.read.select().from(documents);
  expect(rows.map((d) => d.sha256)).toEqual(SAID_BEFORE.documents.map((d) => d.sha256));
  expect(rows.every((d) => d.parcelId !== null)).toBe(true);
});

it('has what was left of every paper and material', async () => {
  const rows = await db.read.select().from(stockNow).orderBy(stockNow.of, stockNow.ref);
  expect(rows).toMatchObject(SAID_BEFORE.stock);
});

it('knows a customer once who was there twice', async () => {
  for (const name of ['Orla Brandt', 'Édouard Tillet'])
    expect(await findCustomers(db.read, name, 9)).toHaveLength(1);
});

it('has prices and finishes as values, read under the units and the currency that held', async () => {
  const kept = await db.read.select().from(prices);
  expect(kept).toMatchObject(SAID_BEFORE.prices);
  for (const { values, currency } of kept) {
    expect(currency).toBe('EUR');
    expect(Number.isInteger(values.printing)).toBe(true);
    expect(values.margin).toBeLessThan(1);
  }
  const finishes = (
    await Promise.all([1, 2, 3].map((workId) => finishesOf(db.read, workId)))
  ).flat();
  expect(finishes.length).toBeGreaterThan(0);
  for (const { values } of finishes) expect(values.perSide).toBeGreaterThan(1);
});

it('has its rules under their names of now', async () => {
  expect(await readSettings(db.read)).toMatchObject({
    size: { printPpi: 280 },
    pack: { scaleTolerance: 20 },
  });
});

it('is carried over once: opened again, nothing changes', async () => {
  const dump = async () => {
    const tables = await db.read.all<{ name: string }>(
      "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'search%' ORDER BY name",
    );
    const counts: Record<string, unknown> = {};
    for (const { name } of tables)
      counts[name] = await db.read.all(`SELECT count(*) AS n FROM \`${name}\``);
    return counts;
  };
  const before = await dump();
  db.close();
  db = await openDatabase(home);
  expect(await dump()).toEqual(before);
});

it('kept JSON of every version before is read as the newest', async () => {
  const versioned = Object.entries(REGISTER).filter(([, r]) => r.versioned);
  expect(versioned.length).toBeGreaterThan(5);
  for (const [name] of versioned) {
    const table = Object.values(schema).find(
      (t) => is(t, SQLiteTable) && getTableName(t) === name,
    ) as SQLiteTable;
    await db.read.select().from(table);
  }
});
