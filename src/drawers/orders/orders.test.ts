import { promisedDay } from '@/core/order';
import { inProcess, SIZE } from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { addPrice, addProofReturn, addProofRound, proofsOf } from '@/data';
import { minor } from '@/core/units';
import { takeOrder } from './actions';
import { loadOrders } from './view';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

let here: InProcess;
beforeAll(async () => {
  here = await inProcess({ numbered: 4, orders: 1 });
});
afterAll(() => here.end());

const order = (over: Record<string, string> = {}) =>
  takeOrder({
    item: `${here.editionId}:number:2:${SIZE}`,
    paperId: '1',
    name: 'Brede Marl',
    street: '4 Sluice Lane',
    town: '2180 Merrow Hythe',
    country: 'Westmark',
    channel: 'gallery',
    price: '85',
    ...over,
  });
const adding = async (query: Record<string, string> = {}) =>
  (await loadOrders({ new: '1', ...query })).adding!;

it('offers what is numbered and here, with the price and the paper of its size', async () => {
  expect((await adding()).free.map((f) => [f.label, f.price, f.paperId])).toEqual([
    ['Slack Water, 2/30, 30 × 40 cm', '', null],
    ['Slack Water, 3/30, 30 × 40 cm', '', null],
    ['Slack Water, 4/30, 30 × 40 cm', '', null],
  ]);
  await here.open.db.write(async (tx) => {
    const at = '2026-11-02T12:00:00.000Z';
    const common = { workId: 1, sizeKey: SIZE };
    await addPrice(tx, {
      ...common,
      channel: 'own site',
      input: {},
      cost: minor(3000),
      fees: minor(200),
      price: minor(123_450),
      net: minor(5000),
      at,
    });
    const id = await addProofRound(tx, {
      ...common,
      paperId: 1,
      round: 1,
      route: 'own printer',
      printFileId: null,
      cost: minor(0),
      remarks: '',
      sentAt: at,
    });
    const own = (await proofsOf(tx, 1)).find((p) => p.id === id)!;
    const verdict = 'approved' as const;
    await addProofReturn(
      tx,
      { roundId: id, seen: '', toChange: '', verdict, backAt: at },
      own,
    );
  });
  expect((await adding()).free[0]).toMatchObject({ price: '1234.50', paperId: 1 });
});

it('starts with the one that was asked for', async () => {
  const { start, free } = await adding({ impression: 'number:3', size: SIZE });
  expect(start).toBe(`${here.editionId}:number:3:${SIZE}`);
  expect(free.map((f) => f.key)).toContain(start);
  expect((await adding({ item: '4/30' })).free).toHaveLength(1);
  expect((await adding({ item: 'no such' })).free).toEqual([]);
  expect((await adding({ work: '77' })).free).toEqual([]);
});

it('reserves the impression and promises a day', async () => {
  const taken = await order();
  expect(taken).toMatchObject({ ok: true, value: { workId: 1 } });
  const { number } = (taken as { value: { number: string } }).value;
  const view = await loadOrders({ find: number });
  expect(view.page.rows).toHaveLength(1);
  const [row] = view.page.rows;
  expect(row).toMatchObject({ impression: '2/30', customer: 'Brede Marl', price: 8500 });
  expect(row!.dueOn).toBe(promisedDay(row!.placedAt, view.handlingDays));
  expect((await adding()).free.map((f) => f.impression)).toEqual(['number:3', 'number:4']);
});

it('two who take the same impression: the second hears it, and nothing is half-made', async () => {
  const item = `${here.editionId}:number:3:${SIZE}`;
  const both = await Promise.all([order({ item }), order({ item, name: 'Ivo Tarn' })]);
  expect(both.map((a) => a.ok).sort()).toEqual([false, true]);
  expect(both.find((a) => !a.ok)).toMatchObject({
    message: 'This impression has gone into another order meanwhile. Choose another.',
  });
  const [row] = await here.rows<{ n: number }>(
    'SELECT count(*) AS n FROM orders WHERE impression = 3',
  );
  expect(row!.n).toBe(1);
  const loser = both[0].ok ? 'Ivo Tarn' : 'Brede Marl';
  const names = await here.rows(`SELECT name FROM customer WHERE name = '${loser}'`);
  expect(names).toHaveLength(loser === 'Ivo Tarn' ? 0 : 1);
});

it.each([
  [{ item: 'nonsense' }, 'item'],
  [{ item: `99:number:1:${SIZE}` }, 'item'],
  [{ paperId: '12' }, 'paperId'],
  [{ price: '0' }, 'price'],
  [{ name: '   ' }, 'name'],
  [{ channel: 'nowhere' }, 'channel'],
])('refuses %j at its field', async (over, field) => {
  expect(await order(over as Record<string, string>)).toMatchObject({
    ok: false,
    fields: { [field]: expect.any(String) },
  });
});

it('counts, finds and shows by state', async () => {
  const all = await loadOrders({});
  expect(all.counts.all).toBe(all.page.total);
  expect((await loadOrders({ show: 'open' })).page.total).toBe(all.counts.open);
  expect((await loadOrders({ show: 'shipped' })).page.total).toBe(0);
  expect((await loadOrders({ show: 'whatever', sort: 'x', page: '-3' })).page.total).toBe(
    all.page.total,
  );
});
