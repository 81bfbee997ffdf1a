import { mkdirSync, readdirSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { layOutBench, packAll, tickAll } from '../../../../e2e/support/orderBench';
import type { BenchOf } from '../../../../e2e/support/orderBench';
import { inProcess } from '../../../../e2e/support/inProcess';
import type { InProcess } from '../../../../e2e/support/inProcess';
import { shareOut } from '@/core/order';
import { minor } from '@/core/units';
import { addBooking, addPrice, listMaterials, moveStock } from '@/data';
import { carriersOf } from '@/standins';
import { voidLeftBookings } from '@/studio/open/voidLeftBookings';
import { cancelOrder } from './lineActions';
import { openAgain, seal, ship, tickPart, weigh } from './parcelActions';
import { loadOrderBench } from './view';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

let here: InProcess;
let order: string;
let bench: BenchOf;
beforeAll(async () => {
  here = await inProcess({ orders: 5, numbered: 6 });
  order = here.orderNumbers[0]!;
  bench = await layOutBench(order);
});
afterAll(() => here.end());

const label = { carrier: 'Lantern Post', service: 'flat, tracked', cost: '500' };
const view = (number = order) => loadOrderBench(number, {});
const books = () =>
  readdirSync(join(here.open.home, 'carrier-books'), { recursive: true }).filter((f) =>
    String(f).endsWith('.json'),
  );
const sealed = () => here.rows("SELECT id FROM booking_event WHERE kind = 'kept'");

it('lists what belongs into the parcel, and what it will weigh', async () => {
  const { picked } = await view();
  expect(picked!.parts!.map((p) => p.part)).toEqual([
    'print',
    'sleeve',
    'board',
    'mailer',
    'certificate',
    'note',
  ]);
  // 0.3 m x 0.4 m of 300 g/m2.
  expect(picked!.parts!.find((p) => p.part === 'print')!.mass).toBeCloseTo(36, 6);
});

it('seals nothing that was not counted twice and weighed', async () => {
  expect(await seal({ ...bench.sent, ...label })).toMatchObject({
    ok: false,
    message: expect.stringContaining('counted twice'),
  });
  await tickAll(
    bench,
    (part, count) => count === 'first' || !part.startsWith('certificate'),
  );
  expect((await view()).picked!.open!.counted).toBe(false);
  expect(await weigh({ ...bench.sent, grams: '' })).toMatchObject({ ok: true });
  // What was not counted twice does not lie on the scales.
  expect((await view()).picked!.scales).toMatchObject({
    agrees: false,
    suspects: expect.arrayContaining([expect.objectContaining({ part: 'certificate' })]),
  });
  await tickAll(bench);
  expect(await seal({ ...bench.sent, ...label })).toMatchObject({
    message: expect.stringContaining('Look again before sealing'),
  });
  expect(await weigh({ ...bench.sent, grams: '' })).toMatchObject({ ok: true });
});

it('a tick that is taken back is not counted; every tick is kept as it was made', async () => {
  const before = await here.rows("SELECT id FROM order_event WHERE kind = 'tick'");
  const note = { ...bench.sent, part: 'note', count: 'second' };
  await tickPart({ ...note, on: 'no' });
  expect((await view()).picked!.open!.counted).toBe(false);
  await tickPart({ ...note, on: 'yes' });
  expect((await view()).picked!.open!.counted).toBe(true);
  const after = await here.rows("SELECT id FROM order_event WHERE kind = 'tick'");
  expect(after.length).toBe(before.length + 2);
});

it('another mailer re-opens its own line and no other', async () => {
  const mailer = bench.parts.find((p) => p.startsWith('mailer'))!;
  const id = Number(mailer.split(':')[1]);
  const { stock } = (await listMaterials(here.open.db.read)).find((m) => m.id === id)!;
  const move = (pieces: number) =>
    here.open.db.write((tx) =>
      moveStock(tx, { of: 'material', ref: id, pieces, reason: 'damp', at: '2026-11-03' }),
    );
  await move(-stock);
  const { picked } = await view();
  expect(picked!.open!.counted).toBe(false);
  const missing = picked!.parts!.filter((p) => !picked!.ticks.first.includes(p.key));
  expect(missing.map((p) => p.part)).toEqual(['mailer']);
  await move(stock);
  expect((await view()).picked!.open!.counted).toBe(true);
});

it.each([
  [{ service: 'by balloon' }, /does not take the parcel/],
  [{ carrier: 'Nobody' }, /does not take the parcel/],
  [{ cost: '501' }, /another price by now/],
  [{ order: '9999' }, /not there/],
  [{ parcel: '9999' }, /not there/],
  [{ carrier: '' }, /Carrier/],
])('seals nothing with %j, and books nothing', async (over, message) => {
  const answer = await seal({ ...bench.sent, ...label, ...over });
  expect(answer).toMatchObject({ ok: false, message: expect.stringMatching(message) });
  expect(await here.rows('SELECT id FROM booking')).toEqual([]);
});

it('ships nothing that has no label', async () => {
  expect(await ship(bench.sent)).toMatchObject({
    ok: false,
    message: expect.stringContaining('nothing leaves without its label'),
  });
});

/** Names of the stored files. */
function stored(): string[] {
  const folder = join(here.open.home, 'files');
  mkdirSync(folder, { recursive: true });
  const all = readdirSync(folder, { recursive: true }).map(String);
  return all.filter((name) => name.length > 60);
}

it.each([
  [
    'a line unticked',
    () => tickPart({ ...bench.sent, part: 'note', count: 'second', on: 'no' }),
    /counted twice/,
  ],
  ['90 kg noted', () => weigh({ ...bench.sent, grams: '90000' }), /Look again/],
  [
    'another weight within what the scales allow',
    async () =>
      weigh({ ...bench.sent, grams: String((await view()).picked!.weighed! + 1) }),
    /changed while/,
  ],
])(
  'with %s while it is sealed it is not sealed, and nothing of it is left',
  async (_, meanwhile, words) => {
    const before = stored();
    const [answer, done] = await Promise.all([
      seal({ ...bench.sent, ...label }),
      meanwhile(),
    ]);
    expect(done).toMatchObject({ ok: true });
    expect(answer).toMatchObject({ ok: false, message: expect.stringMatching(words) });
    expect([await sealed(), books(), stored()]).toEqual([[], [], before]);
    await tickAll(bench);
    expect(await weigh({ ...bench.sent, grams: '' })).toMatchObject({ ok: true });
  },
);

it('of eight who seal at once one has it; one booking stays, and no document of the others', async () => {
  const all = await Promise.all(
    Array.from({ length: 8 }, () => seal({ ...bench.sent, ...label })),
  );
  expect(all.filter((a) => a.ok)).toHaveLength(1);
  const documents = await here.rows<{ sha256: string }>('SELECT sha256 FROM document');
  expect(
    stored()
      .map((name) => name.slice(3))
      .sort(),
  ).toEqual(documents.map((d) => d.sha256).sort());
  expect(await sealed()).toHaveLength(1);
  expect(books()).toHaveLength(1);
  const rows = await here.rows<{ n: number }>('SELECT count(*) AS n FROM sealed_parcel');
  expect(rows[0]!.n).toBe(1);
});

it('a seal is one write: label, documents, and three pieces less on the shelf', async () => {
  const [moved] = await here.rows<{ n: number }>(
    `SELECT -sum(pieces) AS n FROM movement WHERE reason LIKE 'order ${order}%'`,
  );
  expect(moved!.n).toBe(3);
  expect((await view()).picked!.documents.map((d) => d.kind).sort()).toEqual([
    'certificate',
    'label',
    'packing slip',
  ]);
  for (const again of [
    () => seal({ ...bench.sent, ...label }),
    () => tickPart({ ...bench.sent, part: 'note', count: 'first', on: 'no' }),
    () => weigh({ ...bench.sent, grams: '5' }),
  ])
    expect(await again()).toMatchObject({
      ok: false,
      message: expect.stringContaining('sealed already'),
    });
});

it('what was sealed stays as it was, whatever the shelf, the prices and the rules say later', async () => {
  const seen = async () => {
    const { lines, ...parcel } = (await view()).picked!;
    return { ...parcel, lines: lines.map(({ work, label: n, paper }) => [work, n, paper]) };
  };
  const before = await seen();
  await here.open.db.write(async (tx) => {
    const [paper] = await here.rows<{ id: number }>('SELECT id FROM paper');
    await tx.run(
      `UPDATE paper SET weight_gsm = 900, name = 'Flax 900' WHERE id = ${paper!.id}`,
    );
    await tx.run("UPDATE work SET title = 'Another title'");
    for (const m of await listMaterials(tx)) {
      await tx.run(
        `UPDATE material SET mass_g = ${m.mass * 3}, name = 'other' WHERE id = ${m.id}`,
      );
    }
  });
  expect(await seen()).toEqual(before);
});

it('opened again, its booking is voided and its counts begin anew; sealed again, it has another', async () => {
  expect(await openAgain(bench.sent)).toMatchObject({ ok: true });
  expect(books()).toEqual([]);
  const { picked } = await view();
  expect(picked).toMatchObject({ sealed: null, weighed: null });
  expect(picked!.ticks).toEqual({ first: [], second: [] });
  expect(await ship(bench.sent)).toMatchObject({ ok: false });
  await packAll(order);
  expect(books()).toHaveLength(1);
  expect(await ship(bench.sent)).toMatchObject({ ok: true });
  expect(await ship(bench.sent)).toMatchObject({
    ok: false,
    message: 'This parcel has left already.',
  });
  expect(await openAgain(bench.sent)).toMatchObject({ ok: false });
  expect((await view()).order).toMatchObject({ state: 'shipped' });
});

it('a booking that a crash left without its parcel is voided at start, and said', async () => {
  const other = await layOutBench(here.orderNumbers[1]!);
  const post = carriersOf(here.open.home)[0]!;
  const left = { carrier: post.name, service: 'flat, tracked', reference: 'left-1' };
  const parcelId = Number(other.sent.parcel);
  await here.open.db.write((tx) =>
    addBooking(tx, { ...left, parcelId, at: new Date().toISOString() }),
  );
  await post.book(left, left.reference);
  const kept = books().length - 1;
  await voidLeftBookings(here.open.home, here.open.db);
  expect(await post.find(left.reference)).toBeNull();
  expect(books()).toHaveLength(kept);
  expect((await view(other.sent.order)).voided).toMatchObject([
    { carrier: 'Lantern Post', why: 'stopped' },
  ]);
  const log = await here.rows("SELECT detail FROM log_line WHERE what = 'booking.voided'");
  expect(log.length).toBeGreaterThan(0);
  // At the start after that there is nothing left to void, and what was kept stands.
  await voidLeftBookings(here.open.home, here.open.db);
  expect(
    await here.rows("SELECT id FROM log_line WHERE what = 'booking.voided'"),
  ).toHaveLength(log.length);
});

it('what stands is said to stand, though printer or carrier do not answer', async () => {
  const number = here.orderNumbers[4]!;
  const tray = join(here.open.home, 'label-tray');
  const away = `${tray}-away`;
  renameSync(tray, away);
  writeFileSync(tray, 'no folder');
  const { sent } = await layOutBench(number);
  await packAll(number, { seal: false });
  const quotes = async () => (await view(number)).picked!.open!.quotes;
  const { cost } = (await quotes()).find((q) => q.service === label.service)!;
  const sealing = () => seal({ ...sent, ...label, cost: String(cost) });
  expect(await sealing()).toEqual({
    ok: true,
    value: expect.stringMatching(/^Sealed.*label printer did not take the label/),
  });
  expect((await view(number)).picked!.sealed).not.toBeNull();
  rmSync(tray);
  renameSync(away, tray);

  const bookOf = () => {
    const entry = books().find((f) => String(f).includes(`${number}-`));
    return join(here.open.home, 'carrier-books', String(entry));
  };
  const book = bookOf();
  rmSync(book);
  mkdirSync(join(book, 'in the way'), { recursive: true });
  expect(await openAgain(sent)).toEqual({
    ok: true,
    value: expect.stringMatching(/^Opened again\. Lantern Post could not be told/),
  });
  expect((await view(number)).picked!.sealed).toBeNull();
  rmSync(book, { recursive: true });
  await packAll(number);
  const again = bookOf();
  rmSync(again);
  mkdirSync(join(again, 'in the way'), { recursive: true });
  mkdirSync(join(book, 'in the way'), { recursive: true });
  expect(await cancelOrder({ order: number, reason: 'moved abroad' })).toEqual({
    ok: true,
    value: expect.stringMatching(/^Cancelled; its numbers are free again\. Lantern Post/),
  });
  expect((await view(number)).order.state).toBe('cancelled');
  // A start at which the carrier is still away shuts nothing; the one after tells it.
  const voided = () =>
    here.rows("SELECT id FROM booking_event WHERE kind = 'voided' AND why = 'cancelled'");
  await voidLeftBookings(here.open.home, here.open.db);
  expect(await voided()).toEqual([]);
  rmSync(book, { recursive: true });
  rmSync(again, { recursive: true });
  await voidLeftBookings(here.open.home, here.open.db);
  expect(await voided()).toHaveLength(1);
});

it('a write that is refused leaves no booking', async () => {
  const { sent } = await layOutBench(here.orderNumbers[2]!);
  await packAll(sent.order, { seal: false });
  const held = books().length;
  const run = (sql: string) => here.open.db.write(async (tx) => void (await tx.run(sql)));
  await run(
    "CREATE TRIGGER no_room BEFORE INSERT ON sealed_parcel BEGIN SELECT RAISE(ABORT, 'full'); END",
  );
  const { quotes } = (await view(sent.order)).picked!.open!;
  const cost = String(quotes.find((q) => q.service === label.service)!.cost);
  await expect(seal({ ...sent, ...label, cost })).rejects.toThrow();
  await run('DROP TRIGGER no_room');
  expect(books()).toHaveLength(held);
  expect((await view(sent.order)).picked!.sealed).toBeNull();
  expect(await seal({ ...sent, ...label, cost })).toMatchObject({ ok: true });
});

it('what it left counts the channel’s fees and the postage that was paid', async () => {
  const number = here.orderNumbers[3]!;
  await here.open.db.write(async (tx) => {
    const [row] = await here.rows<{ work_id: number; size_key: string }>(
      'SELECT work_id, size_key FROM order_line',
    );
    await addPrice(tx, {
      workId: row!.work_id,
      sizeKey: row!.size_key,
      channel: 'own site',
      values: PRICE,
      currency: 'EUR',
      cost: minor(2000),
      fees: minor(200),
      price: minor(8000),
      net: minor(5800),
      at: '2026-11-01T00:00:00.000Z',
    });
  });
  await packAll(number);
  const [sale] = await here.rows<Record<string, number>>(
    `SELECT s.* FROM line_sale s JOIN order_line l ON l.id = s.line_id
     JOIN orders o ON o.id = l.order_id WHERE o.number = '${number}'`,
  );
  const { cost } = (await view(number)).picked!.sealed!;
  expect(sale).toMatchObject({ postage_minor: cost, cost_minor: 2000 });
  expect(shareOut(cost, [1])).toEqual([cost]);
});

const PRICE = {
  asked: null,
  printing: minor(2000),
  paper: minor(0),
  capture: minor(0),
  proofs: minor(0),
  expectedImpressions: 10,
  spoilage: 0,
  finishing: minor(0),
  packing: minor(0),
  postage: minor(0),
  hours: 0,
  hourlyRate: minor(0),
  ...{ wear: minor(0), donation: minor(0) },
  ...{ signingHours: 0, finishingHours: 0, packingHours: 0 },
  channel: 'own site',
  commission: 0,
  payment: 0.02,
  fixed: minor(0),
  margin: 0.4,
  step: minor(100),
};
