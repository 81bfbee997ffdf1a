import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createClient } from '@libsql/client';
import type { Client, InValue } from '@libsql/client';
import { asc } from 'drizzle-orm';
import { drizzle } from 'drizzle-orm/libsql';
import { impressionsOf } from '@/core/edition';
import type { LedgerEntry } from '@/core/edition';
import { fillLargeStudio } from '../../bench/largeStudio';
import { openDatabase } from './database';
import type { Database, OpenDatabase } from './database';
import { ALL, MOST_FOUND, PAGE_LINES } from './page';
import type { Asked, Page } from './page';
import { getOrder, ordersOfWork } from './order/orders';
import { paperNamed } from './paper/papers';
import { lastMovements } from './stock/stock';
import { readLog } from './log/log';
import { ledger, works } from './schema';
import * as facts from './schema';
import * as now from './schema';
import { impressionNow } from './schema';
import {
  countedWorks,
  customersPage,
  drawerCounts,
  editionCounts,
  editionsPage,
  findAll,
  freeImpressions,
  nearlyClosed,
  orderCounts,
  ordersDue,
  ordersPage,
  papersPage,
  papersToPrintOn,
  proofCounts,
  proofsOut,
  proofsPage,
  salesPage,
  salesSince,
  salesSums,
  sharedOut,
  worksLacking,
  worksPage,
} from '.';

const WORKS = 120;
const EACH = 6;
const ORDERS = 3;
const TODAY = '2025-06-01';
let home: string;
let db: OpenDatabase;
let read: Database;

beforeAll(async () => {
  home = await mkdtemp(join(tmpdir(), 'lists-'));
  db = await openDatabase(home);
  await fillLargeStudio(db, { works: WORKS, impressionsEach: EACH, ordersEach: ORDERS });
  read = db.read;
});
afterAll(async () => {
  db.close();
  await rm(home, { recursive: true });
});

const asked = (over: Partial<Asked> = {}): Asked => ({ ...ALL, ...over });

/** Walks every page of a list. */
async function everyLine<T>(
  page: (asked: Asked) => Promise<Page<T>>,
  over: Partial<Asked> = {},
) {
  const all: T[] = [];
  let total = 0;
  for (let n = 1; n < 100; n += 1) {
    const got = await page(asked({ ...over, page: n }));
    ({ total } = got);
    if (got.rows.length === 0) break;
    expect(got.rows.length).toBeLessThanOrEqual(PAGE_LINES);
    all.push(...got.rows);
  }
  expect(all).toHaveLength(total);
  return all;
}

const rising = (values: (number | string)[]) =>
  values.every((v, i) => i === 0 || values[i - 1]! <= v);

describe('what stands now follows from the facts', () => {
  it('impressions are what the core derives from the ledger', async () => {
    const entries: LedgerEntry[] = await read
      .select()
      .from(ledger)
      .orderBy(asc(ledger.seq));
    const rows = await read.select().from(impressionNow);
    for (const editionId of [1, 4, 77]) {
      const derived = impressionsOf(entries.filter((e) => e.editionId === editionId)).map(
        ({ series, number, state, printing, order }) => ({
          series,
          number,
          state,
          printing,
          order,
        }),
      );
      const stored = rows
        .filter((r) => r.editionId === editionId)
        .map(({ series, number, state, printing, orderNumber: order }) => ({
          series,
          number,
          state,
          printing,
          order,
        }))
        .sort((a, b) => a.number - b.number);
      expect(stored).toEqual(derived);
    }
  });

  it('orders count as their events tell', async () => {
    const all = await Promise.all(
      Array.from({ length: WORKS * ORDERS }, (_, i) =>
        getOrder(read, String(401 + i).padStart(4, '0')).then((o) => o!),
      ),
    );
    const open = all.filter((o) => o.state === 'open');
    expect(open).toHaveLength(WORKS / 4);
    expect(await orderCounts(read, TODAY)).toEqual({
      all: WORKS * ORDERS,
      open: open.length,
      shipped: all.length - open.length,
      late: open.filter((o) => o.dueOn < TODAY).length,
    });
    const gone = all.filter((o) => o.state === 'shipped').flatMap((o) => o.lines);
    const [sums, ...others] = await salesSums(read);
    expect(others).toEqual([]);
    expect(sums).toEqual({
      currency: 'EUR',
      sold: gone.length,
      gross: gone.reduce((t, l) => t + l.price, 0),
      net: gone.reduce((t, l) => t + l.price, 0) - gone.length * (4900 + 900),
      postage: gone.length * 900,
      unreckoned: 0,
    });
  });

  it('a work is counted as it stands', async () => {
    const [one, four] = await countedWorks(read, [1, 4], TODAY);
    expect(one).toMatchObject({
      reading: 'done',
      proofsOut: 0,
      proofsApproved: 1,
      editions: 1,
      numbersLeft: 1,
      priced: 1,
      ordersOpen: 0,
      ordersShipped: ORDERS,
    });
    expect(one!.work.id).toBe(1);
    expect(one!.offered).toHaveLength(4);
    expect(one!.master?.name).toBe('work-1.tif');
    expect(four).toMatchObject({ ordersOpen: 1, ordersShipped: ORDERS - 1 });
  });

  it('drawers, proofs and editions count', async () => {
    expect(await drawerCounts(read)).toEqual({
      works: WORKS,
      papers: 12,
      proofsOut: WORKS / 10,
      editions: WORKS,
      materials: 0,
      ordersOpen: WORKS / 4,
    });
    expect(await proofCounts(read)).toMatchObject({ rounds: WORKS * 2, out: WORKS / 10 });
    expect(await proofsOut(read, 500)).toHaveLength(WORKS / 10);
    expect(await editionCounts(read)).toEqual({
      declared: WORKS,
      closed: WORKS / 3,
      sold: WORKS * ORDERS - WORKS / 4,
    });
    expect((await nearlyClosed(read, 0.1, 500)).map((e) => e.left)).toEqual(
      Array.from({ length: WORKS / 3 }, () => 0),
    );
  });

  it('finds what waits', async () => {
    expect(await worksLacking(read, 'profile', 9)).toHaveLength(WORKS / 40);
    expect(await worksLacking(read, 'master', 9)).toEqual([]);
    expect(await worksLacking(read, 'sizes', 9)).toEqual([]);
    const due = await ordersDue(read, 500);
    expect(rising(due.map((o) => o.due))).toBe(true);
    expect(due).toHaveLength(WORKS / 4);
  });
});

describe('lists are sorted, found and paged by the database', () => {
  it.each(['title', 'size', 'mp', 'sizes', 'sold', null, 'no such column'])(
    'works by %s: every work once',
    async (sort) => {
      const ids = await everyLine((a) => worksPage(read, a), { sort });
      expect(new Set(ids).size).toBe(WORKS);
      const rows = await read.select().from(works);
      const byId = new Map(rows.map((w) => [w.id, w]));
      if (sort === 'title') expect(rising(ids.map((id) => byId.get(id)!.title))).toBe(true);
      if (sort === null) expect(rising(ids.map((id) => -id))).toBe(true);
      if (sort === 'size')
        expect(rising(ids.map((id) => byId.get(id)!.width * byId.get(id)!.height))).toBe(
          true,
        );
    },
  );

  it.each(['number', 'what', 'customer', 'placed', 'due', 'price'] as const)(
    'orders by %s, down',
    async (sort) => {
      const rows = await everyLine((a) => ordersPage(read, a, 'all'), { sort, down: true });
      const key = { placed: 'placedAt', due: 'dueOn' }[sort as string] ?? sort;
      const values = rows.map((r) => r[key as keyof typeof r] as string | number);
      expect(rising([...values].reverse())).toBe(true);
    },
  );

  it('orders by state: the open ones by their day, then the shipped', async () => {
    const rows = await everyLine((a) => ordersPage(read, a, 'all'), { sort: 'state' });
    expect(rows.findIndex((r) => r.shippedAt !== null)).toBe(WORKS / 4);
    expect(rising(rows.slice(0, WORKS / 4).map((r) => r.dueOn))).toBe(true);
    const open = await everyLine((a) => ordersPage(read, a, 'open'));
    expect(open.map((o) => o.number)).toEqual(
      rows.slice(0, WORKS / 4).map((r) => r.number),
    );
    expect(await everyLine((a) => ordersPage(read, a, 'shipped'))).toHaveLength(
      WORKS * ORDERS - WORKS / 4,
    );
  });

  it('finds orders by number, name, title and pencilled number', async () => {
    const find = (words: string) =>
      everyLine((a) => ordersPage(read, a, 'all'), { find: words });
    expect((await find('0403')).map((o) => o.number)).toEqual(['0403']);
    const orla = await find('orla');
    expect(orla.length).toBeGreaterThan(10);
    orla.forEach((o) => expect(o.customer).toMatch(/^Orla/));
    const winter = await find('wint');
    expect(winter.length).toBeGreaterThan(20);
    winter.forEach((o) => expect(o.what).toMatch(/^Winter/));
    const pencilled = await find('2/7');
    expect(pencilled).toHaveLength(WORKS / 3);
    pencilled.forEach((o) => expect([o.impression, o.of]).toEqual([2, 7]));
    expect(await find('no such thing')).toEqual([]);
    expect(await find('"; DROP TABLE orders; --')).toEqual([]);
  });

  it('editions, proofs and sales: every line once', async () => {
    for (const sort of ['work', 'size', 'of', 'here', 'ordered', 'sold', 'left', null]) {
      const rows = await everyLine((a) => editionsPage(read, a), { sort });
      expect(new Set(rows.map((r) => r.id)).size).toBe(WORKS);
      rows.forEach((r) =>
        expect([r.here + r.ordered + r.sold, r.out]).toEqual([EACH, EACH]),
      );
    }
    expect(await everyLine((a) => editionsPage(read, a), { find: '4/8' })).toHaveLength(
      WORKS / 3,
    );
    for (const sort of ['work', 'paper', 'sent', 'back', 'cost', 'verdict', null])
      expect(await everyLine((a) => proofsPage(read, a), { sort })).toHaveLength(WORKS * 2);
    const sales = await everyLine((a) => salesPage(read, a));
    expect(sales.reduce((t, s) => t + s.sold, 0)).toBe(WORKS * ORDERS - WORKS / 4);
    expect(rising(sales.map((s) => -Number(s.gross)))).toBe(true);
  });

  it('offers only impressions that are here', async () => {
    const free = await freeImpressions(read, {}, 5000);
    expect(free).toHaveLength(WORKS * (EACH - ORDERS));
    expect((await freeImpressions(read, { workId: 3 }, 50)).map((f) => f.number)).toEqual([
      4, 5, 6,
    ]);
    expect(await freeImpressions(read, { find: '1/6' }, 50)).toEqual([]);
  });
});

describe('search', () => {
  it('finds a title, a customer, a paper, a number n/N', async () => {
    const kinds = async (find: string) =>
      (await findAll(read, find, 12)).map((h) => h.kind);
    expect(await kinds('pans 1')).toContain('work');
    expect((await findAll(read, 'Low Pans 1', 3))[0]).toMatchObject({
      title: 'Low Pans 1',
    });
    expect(await kinds('orla saltreach')).toContain('order');
    expect(await kinds('vatm')).toContain('paper');
    const hits = await findAll(read, ' 5 / 7 ', 12);
    expect(hits).toHaveLength(12);
    hits.forEach((h) => expect(h).toMatchObject({ kind: 'impression', number: 5, of: 7 }));
    expect(await findAll(read, '  ', 12)).toEqual([]);
    expect(await findAll(read, '*"(', 12)).toEqual([]);
  });

  it('follows an edit of a title and of a name', async () => {
    await db.write(async (tx) => {
      await tx.run("UPDATE work SET title = 'Élan of Reeds' WHERE id = 9");
      await tx.run("UPDATE customer SET name = 'Quennel Bray' WHERE id = 12");
    });
    expect(await findAll(read, 'elan', 5)).toMatchObject([{ kind: 'work', workId: 9 }]);
    expect(await findAll(read, 'quenn', 5)).toMatchObject([
      { kind: 'order', number: '0412' },
      { kind: 'customer', customerId: 12 },
    ]);
  });
});

describe('what is found of several kinds', () => {
  it.each([
    [6, [3, 3], 'aaabbb'],
    [6, [1, 9], 'abbbbb'],
    [5, [9, 9], 'aaabb'],
    [4, [0, 2], 'bb'],
    [3, [2, 2, 2], 'abc'],
    [0, [2], ''],
  ])('%i of %j are shared out', (limit, counts, said) => {
    const lists = counts.map((n, i) => Array<string>(n).fill('abc'[i]!));
    expect(sharedOut(limit, lists).join('')).toBe(said);
  });
});

describe('what is found too often', () => {
  it('is cut only when there is more than is listed', async () => {
    const rows = (from: number, n: number) =>
      Array.from(
        { length: n },
        (_, i) => `('Quill ${from + i}', '', '', 'X', 'quill ${from + i}')`,
      );
    const add = (from: number, n: number) =>
      db.write(async (tx) => {
        await tx.run(
          `INSERT INTO customer (name, street, town, country, key) VALUES ${rows(from, n).join(', ')}`,
        );
      });
    await add(0, MOST_FOUND);
    const all = { total: MOST_FOUND, newestOnly: false };
    expect(await customersPage(read, asked({ find: 'quill' }))).toMatchObject(all);
    await add(MOST_FOUND, 1);
    const cut = { total: MOST_FOUND, newestOnly: true };
    expect(await customersPage(read, asked({ find: 'quill' }))).toMatchObject(cut);
  });

  it('is cut at the newest, and says so', async () => {
    const many = Array.from(
      { length: MOST_FOUND + 40 },
      (_, i) => `('Ottoline ${i}', '', 'Reedholm', 'X', 'ottoline ${i}')`,
    );
    await db.write(async (tx) => {
      await tx.run(
        `INSERT INTO customer (name, street, town, country, key) VALUES ${many.join(', ')}`,
      );
    });
    const cut = await customersPage(read, asked({ find: 'ottoline' }));
    expect(cut).toMatchObject({ total: MOST_FOUND, newestOnly: true });
    const one = await customersPage(read, asked({ find: `ottoline ${MOST_FOUND + 39}` }));
    expect(one).toMatchObject({ total: 1, newestOnly: false });
    expect(await customersPage(read, asked({ find: 'ottoline 3' }))).toMatchObject({
      newestOnly: false,
    });
  });
});

describe('query plans', () => {
  let client: Client;
  const seen: { sql: string; params: unknown[] }[] = [];
  let watched: Database;
  beforeAll(() => {
    client = createClient({ url: `file:${join(home, 'studio.db')}` });
    watched = drizzle(client, {
      schema: { ...facts, ...now },
      logger: { logQuery: (sql, params) => seen.push({ sql, params }) },
    });
  });
  afterAll(() => client.close());

  /** The steps of the plans of every query that some reading sends. */
  async function plans(reading: (db: Database) => Promise<unknown>): Promise<string> {
    seen.length = 0;
    await reading(watched);
    const steps: string[] = [];
    for (const { sql, params } of [...seen]) {
      const plan = await client.execute({
        sql: `EXPLAIN QUERY PLAN ${sql}`,
        args: params as InValue[],
      });
      steps.push(...plan.rows.map((r) => r.detail as string));
    }
    return steps.join('\n');
  }

  const paged: [string, (db: Database) => Promise<unknown>][] = [
    ['works, newest', (d) => worksPage(d, asked())],
    ['works by title', (d) => worksPage(d, asked({ sort: 'title' }))],
    ['orders, newest', (d) => ordersPage(d, asked(), 'all')],
    ['orders by day', (d) => ordersPage(d, asked({ sort: 'due' }), 'all')],
    ['orders by price', (d) => ordersPage(d, asked({ sort: 'price', down: true }), 'all')],
    ['orders by state', (d) => ordersPage(d, asked({ sort: 'state' }), 'all')],
    ['open orders', (d) => ordersPage(d, asked(), 'open')],
    ['proofs, newest', (d) => proofsPage(d, asked())],
    ['papers by name', (d) => papersPage(d, asked())],
    ['papers to print on', (d) => papersToPrintOn(d, 40)],
    ['log book', (d) => readLog(d, {}, 50)],
    ['log of a work', (d) => readLog(d, { workId: 7 }, 50)],
    ['customers by name', (d) => customersPage(d, asked())],
    ['orders due', (d) => ordersDue(d, 40)],
    ['proofs out', (d) => proofsOut(d, 40)],
    ['sales by gross', (d) => salesPage(d, asked())],
    ['editions, as declared', (d) => editionsPage(d, asked())],
  ];
  it.each(paged)('%s: walked along an index, nothing is sorted', async (_, reading) => {
    expect(await plans(reading)).not.toMatch(/USE TEMP B-TREE/);
  });

  const pointed: [string, (db: Database) => Promise<unknown>][] = [
    ['counted works', (d) => countedWorks(d, [3, 4], TODAY)],
    ['one order', (d) => getOrder(d, '0412')],
    ['what left lately', (d) => salesSince(d, '2026-01-01')],
    ['orders of a work', (d) => ordersOfWork(d, 3, 60)],
    [
      'log of an impression',
      (d) => readLog(d, { editionId: 3, series: 'number', impression: 2 }, 9),
    ],
    ['a paper by its name', (d) => paperNamed(d, 'Sheet 3')],
    ['movements of a paper', (d) => lastMovements(d, 'paper', 3, 40)],
    ['find words', (d) => findAll(d, 'orla', 9)],
    ['find a number', (d) => findAll(d, '2/7', 9)],
  ];
  it.each(pointed)('%s: no table is read whole', async (_, reading) => {
    const steps = await plans(reading);
    const whole = steps
      .split('\n')
      .filter(
        (s) => /^SCAN /.test(s) && !/json_each|^SCAN c( |$)|VIRTUAL TABLE|CONSTANT/.test(s),
      );
    expect(whole).toEqual([]);
  });
});
