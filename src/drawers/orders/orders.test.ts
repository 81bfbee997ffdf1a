import { PLAIN_WEEK, dayIn, promisedDay } from '@/core/days';
import { minor } from '@/core/units';
import { addProofReturn, addProofRound, proofsOf } from '@/data';
import { keepPrice } from '@/stations/price/actions';
import { priceForm } from '@/stations/price/priceForm';
import { loadPrice } from '@/stations/price/view';
import { inProcess, SIZE } from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { merge, takeOrder } from './actions';
import { loadCustomers } from './customers/view';
import { loadOrders } from './view';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

let here: InProcess;
beforeAll(async () => {
  here = await inProcess({ numbered: 4, orders: 1 });
});
afterAll(() => here.end());

const BREDE = {
  name: 'Brede Marl',
  street: '4 Sluice Lane',
  town: '2180 Merrowstaithe',
  country: 'Ulverreach',
};
const order = (over: Record<string, string> = {}) =>
  takeOrder({
    kind: 'impression',
    item: `${here.editionId}:number:2:${SIZE}`,
    paperId: '1',
    goods: '',
    mass: '',
    thickness: '',
    quantity: '1',
    ...BREDE,
    channel: 'gallery',
    price: '85',
    extras: '',
    wish: '',
    note: '',
    ...over,
  });
const CARDS = { kind: 'goods', item: '', paperId: '', goods: 'cards', mass: '90' };
const cards = (over: Record<string, string> = {}) =>
  order({ ...CARDS, thickness: '6 mm', quantity: '3', price: '4', ...over });
const count = async (table: string, where = '1') => {
  const rows = await here.rows<{ n: number }>(
    `SELECT count(*) AS n FROM ${table} WHERE ${where}`,
  );
  return rows[0]!.n;
};
const adding = async (query: Record<string, string> = {}) =>
  (await loadOrders({ new: '1', ...query })).adding!;

it('offers what is numbered and here, with the price and the paper of its size', async () => {
  expect((await adding()).impressions.map((f) => [f.label, f.price, f.paperId])).toEqual([
    ['Slack Water, 2/30, 30 × 40 cm', null, null],
    ['Slack Water, 3/30, 30 × 40 cm', null, null],
    ['Slack Water, 4/30, 30 × 40 cm', null, null],
  ]);
  const { start } = await loadPrice('1', { size: SIZE });
  const fields = priceForm.write(start, {
    units: 'metric',
    currency: 'EUR',
    locale: 'en-GB',
  });
  const sent = { ...fields, printing: '100', workId: '1', sizeKey: SIZE };
  expect(await keepPrice(sent)).toMatchObject({ ok: true });
  await here.open.db.write(async (tx) => {
    const at = '2026-11-02T12:00:00.000Z';
    const id = await addProofRound(tx, {
      workId: 1,
      sizeKey: SIZE,
      paperId: 1,
      round: 1,
      route: 'own printer',
      cost: minor(0),
      currency: 'EUR',
      remarks: '',
      sentAt: at,
    });
    const own = (await proofsOf(tx, 1)).find((p) => p.id === id)!;
    const back = { roundId: id, seen: '', toChange: '', backAt: at };
    await addProofReturn(tx, { ...back, verdict: 'approved' }, own);
  });
  const [row] = await here.rows<{ price: number }>(
    'SELECT price_minor AS price FROM price',
  );
  expect((await adding()).impressions[0]).toMatchObject({
    price: row!.price,
    paperId: 1,
  });
});

it('starts with the one that was asked for', async () => {
  const { start, impressions } = await adding({ impression: 'number:3', size: SIZE });
  expect(start).toBe(`${here.editionId}:number:3:${SIZE}`);
  expect(impressions.map((f) => f.key)).toContain(start);
  expect((await adding({ item: '4/30' })).impressions).toHaveLength(1);
  expect((await adding({ item: 'no such' })).impressions).toEqual([]);
  expect((await adding({ work: '77' })).impressions).toEqual([]);
});

it('reserves the impression, promises a day, and lays it into a parcel', async () => {
  const taken = await order();
  if (!taken.ok) throw new Error(taken.message);
  const view = await loadOrders({ find: taken.value.number });
  expect(view.page.rows).toHaveLength(1);
  const [row] = view.page.rows;
  expect(row).toMatchObject({ label: '2/30', customer: 'Brede Marl', price: 8500 });
  expect(row!.dueOn).toBe(
    promisedDay(dayIn(row!.placedAt, 'UTC'), view.handlingDays, PLAIN_WEEK),
  );
  expect((await adding()).impressions.map((f) => f.impression)).toEqual([
    'number:3',
    'number:4',
  ]);
  expect(await count('line_now', 'parcel_id IS NULL')).toBe(0);
});

it('two who take the same impression: the second hears it, and nothing is half-made', async () => {
  const item = `${here.editionId}:number:3:${SIZE}`;
  const before = await count('orders');
  const both = await Promise.all([order({ item }), order({ item, name: 'Ivo Tarn' })]);
  expect(both.map((a) => a.ok).sort()).toEqual([false, true]);
  expect(both.find((a) => !a.ok)).toMatchObject({
    message: expect.stringContaining('gone into another order meanwhile'),
  });
  expect(await count('order_line', 'impression = 3')).toBe(1);
  expect(await count('orders')).toBe(before + 1);
  expect(await count('customer', "name = 'Ivo Tarn'")).toBe(both[1].ok ? 1 : 0);
});

it('a customer is one row, however often and however carelessly they order', async () => {
  const before = await count('customer');
  for (const name of ['Brede Marl', 'brede marl', '  BREDE   MARL '])
    expect(await cards({ name })).toMatchObject({ ok: true });
  expect(await count('customer')).toBe(before);
  // Two people of one name live at two addresses.
  expect(await cards({ street: '9 Sluice Lane' })).toMatchObject({ ok: true });
  expect(await count('customer')).toBe(before + 1);
});

it('customers are merged by hand: their orders are of one, and the next finds them', async () => {
  const rows = async () => (await loadCustomers({ find: 'brede' })).page.rows;
  const [a, b] = (await rows()).sort((x, y) => x.id - y.id);
  const orders = a!.orders + b!.orders;
  const sent = { from: String(b!.id), into: String(a!.id) };
  expect(await merge(sent)).toMatchObject({ ok: true });
  expect(await rows()).toMatchObject([{ id: a!.id, orders }]);
  expect(await merge(sent)).toMatchObject({ ok: false });
  const before = await count('customer');
  expect(await cards({ street: '9 Sluice Lane' })).toMatchObject({ ok: true });
  expect(await count('customer')).toBe(before);
  expect(await rows()).toMatchObject([{ id: a!.id, orders: orders + 1 }]);
});

it('of two orders of one new customer at once, one makes the customer', async () => {
  const both = await Promise.all([
    cards({ name: 'Tam Orrel' }),
    cards({ name: 'Tam Orrel' }),
  ]);
  expect(both.map((a) => a.ok)).toEqual([true, true]);
  expect(await count('customer', "name = 'Tam Orrel'")).toBe(1);
});

it.each([
  [{ item: 'nonsense' }, 'item'],
  [{ item: `99:number:1:${SIZE}` }, 'item'],
  [{ item: '1:number:4:isoA-A4' }, 'item'],
  [{ kind: 'openPrint', item: `1:${SIZE}` }, 'item'],
  [{ kind: 'openPrint', item: '1:isoA-A4' }, 'item'],
  [{ paperId: '12' }, 'paperId'],
  [{ paperId: '' }, 'paperId'],
  [{ price: '0' }, 'price'],
  [{ name: '   ' }, 'name'],
  [{ channel: 'nowhere' }, 'channel'],
  [{ quantity: '2', item: '1:number:4' }, 'quantity'],
  [{ ...CARDS, thickness: '', quantity: '0' }, 'quantity'],
  [{ ...CARDS, thickness: '', goods: '  ' }, 'goods'],
  [{ kind: 'a secret' }, 'kind'],
])('refuses %j at its field', async (over, field) => {
  const before = await count('orders');
  expect(await order(over as Record<string, string>)).toMatchObject({
    ok: false,
    fields: { [field]: expect.any(String) },
  });
  expect(await count('orders')).toBe(before);
});

it('counts, finds and shows by state', async () => {
  const all = await loadOrders({});
  expect(all.counts.all).toBe(all.page.total);
  expect((await loadOrders({ show: 'open' })).page.total).toBe(all.counts.open);
  expect((await loadOrders({ show: 'shipped' })).page.total).toBe(0);
  expect((await loadOrders({ show: 'cancelled' })).page.total).toBe(0);
  expect((await loadOrders({ show: 'whatever', sort: 'x', page: '-3' })).page.total).toBe(
    all.page.total,
  );
});
