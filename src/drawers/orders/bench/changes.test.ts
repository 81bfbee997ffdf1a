import { packAll } from '../../../../e2e/support/orderBench';
import { inProcess, SIZE } from '../../../../e2e/support/inProcess';
import type { InProcess } from '../../../../e2e/support/inProcess';
import { checkLedger } from '@/data';
import { takeOrder } from '../actions';
import { addLine, cancelOrder, changeAddress, changeNotes } from './lineActions';
import { moveLine, noteReturn, removeLine, repriceLine } from './lineActions';
import { openAgain, ship, splitByRule } from './parcelActions';
import { loadOrderBench } from './view';
import { loadOrders } from '../view';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

let here: InProcess;
beforeAll(async () => {
  here = await inProcess({ orders: 0, numbered: 12 });
});
afterAll(() => here.end());

const TO = {
  name: 'Brede Marl',
  street: '4 Sluice Lane',
  town: '2180 Merrowstaithe',
  country: 'Ulverreach',
};
const NO_GOODS = { goods: '', mass: '', thickness: '' };
const impression = (number: number) => ({
  kind: 'impression',
  item: `${here.editionId}:number:${number}:${SIZE}`,
  paperId: '1',
  quantity: '1',
  price: '80',
  ...NO_GOODS,
});
const CARDS = {
  kind: 'goods',
  item: '',
  paperId: '',
  goods: 'Ten cards',
  mass: '90',
  thickness: '6 mm',
  quantity: '2',
  price: '12.50',
};

/** An order of one impression; its number. */
async function taken(number: number): Promise<string> {
  const rest = { ...TO, channel: 'own site', wish: '', note: '', extras: '' };
  const answer = await takeOrder({ ...impression(number), ...rest });
  if (!answer.ok) throw new Error(answer.message);
  return answer.value.number;
}
const view = (order: string) => loadOrderBench(order, {});
const ledgerOf = async (number: number) =>
  (
    await here.rows<{ kind: string }>(
      `SELECT kind FROM ledger WHERE number = ${number} ORDER BY seq`,
    )
  ).map((r) => r.kind);
const stateOf = async (number: number) =>
  (
    await here.rows<{ state: string }>(
      `SELECT state FROM impression_now WHERE number = ${number}`,
    )
  )[0]!.state;
const chain = async () => (await checkLedger(here.open.db.read)).sound;

it('lines are added, changed in price, and taken out; the number goes back', async () => {
  const order = await taken(1);
  expect(await addLine({ order, ...impression(2) })).toMatchObject({ ok: true });
  expect(await addLine({ order, ...CARDS })).toMatchObject({ ok: true });
  const { lines, order: before } = await view(order);
  expect(lines.map((l) => l.label ?? l.name)).toEqual(['1/30', '2/30', 'Ten cards']);
  expect(before.state).toBe('open');
  const [first, second] = lines.map((l) => String(l.id));
  expect(await repriceLine({ order, line: second, price: '75' })).toMatchObject({
    ok: true,
  });
  expect((await view(order)).lines[1]!.price).toBe(7500);
  expect(await removeLine({ order, line: first })).toMatchObject({ ok: true });
  expect(await ledgerOf(1)).toEqual(['assigned', 'ordered', 'released']);
  expect(await stateOf(1)).toBe('numbered');
  // What it comes to is the sum of what still belongs to it.
  const { page } = await loadOrders({ find: order });
  expect(page.rows[0]).toMatchObject({ lines: 2, price: 7500 + 1250 });
  // Taken out, it changes no more; another order may have its number.
  expect(await repriceLine({ order, line: first, price: '1' })).toMatchObject({
    ok: false,
  });
  expect(await addLine({ order: await taken(3), ...impression(1) })).toMatchObject({
    ok: true,
  });
  expect(await addLine({ order, ...impression(1) })).toMatchObject({ ok: false });
  expect(await chain()).toBe(true);
});

it('the only line is not taken out: the order is cancelled instead', async () => {
  const order = await taken(4);
  const [line] = (await view(order)).lines;
  expect(await removeLine({ order, line: String(line!.id) })).toMatchObject({
    ok: false,
    message: expect.stringContaining('Cancel the order instead'),
  });
  expect(await cancelOrder({ order, reason: '' })).toMatchObject({ ok: false });
  expect(await cancelOrder({ order, reason: 'moved abroad' })).toMatchObject({ ok: true });
  expect(await ledgerOf(4)).toEqual(['assigned', 'ordered', 'released']);
  expect((await view(order)).order.state).toBe('cancelled');
  for (const late of [
    () => addLine({ order, ...CARDS }),
    () => changeAddress({ order, ...TO }),
    () => changeNotes({ order, wish: 'blue paper', note: '' }),
    () => cancelOrder({ order, reason: 'again' }),
    () => splitByRule({ order }),
  ])
    expect(await late()).toMatchObject({ ok: false, message: /cancelled/ as never });
  expect(await taken(4)).not.toBe(order);
  expect(await chain()).toBe(true);
});

it('a size that a page made up is refused; the line has the size that was printed', async () => {
  const order = await taken(5);
  const forged = `${here.editionId}:number:6:isoA-A3`;
  expect(await addLine({ order, ...impression(6), item: forged })).toMatchObject({
    ok: false,
    fields: { item: expect.stringContaining('another size') },
  });
  const unsized = `${here.editionId}:number:6`;
  expect(await addLine({ order, ...impression(6), item: unsized })).toMatchObject({
    ok: true,
  });
  const rows = await here.rows<{ size_key: string }>('SELECT size_key FROM order_line');
  expect(new Set(rows.map((r) => r.size_key))).toEqual(new Set([SIZE, null]));
});

it('address and notes of an open order change; what was sealed keeps its address', async () => {
  const order = await taken(7);
  await addLine({ order, ...CARDS });
  const line = (await view(order)).lines.find((l) => l.kind === 'goods')!;
  await moveLine({ order, line: String(line.id), parcel: '0' });
  const [first] = (await view(order)).parcels;
  await packAll(order, { parcel: first!.id });
  expect(await changeAddress({ order, ...TO, street: '9 New Quay' })).toMatchObject({
    ok: true,
  });
  const now = await view(order);
  expect(now.order.to.street).toBe('9 New Quay');
  expect(now.parcels[0]!.sealed!.contents.to.street).toBe('4 Sluice Lane');
  // The customer's own address is as it was: this order alone goes elsewhere.
  const [row] = await here.rows("SELECT street FROM customer WHERE name = 'Brede Marl'");
  expect(row).toEqual({ street: '4 Sluice Lane' });
  // A line in a sealed parcel stands until the parcel is opened again.
  const sealed = now.parcels[0]!.lines[0]!;
  expect(await removeLine({ order, line: String(sealed.id) })).toMatchObject({
    ok: false,
    message: expect.stringContaining('Open the parcel again'),
  });
  expect(await openAgain({ order, parcel: String(first!.id) })).toMatchObject({ ok: true });
  expect(await removeLine({ order, line: String(sealed.id) })).toMatchObject({ ok: true });
});

it('of two parcels one leaves alone; the order has left with the last', async () => {
  const order = await taken(8);
  await addLine({ order, ...CARDS });
  const goods = (await view(order)).lines.find((l) => l.kind === 'goods')!;
  await moveLine({ order, line: String(goods.id), parcel: '0' });
  const [flat, cards] = (await view(order)).parcels;
  await packAll(order, { parcel: flat!.id });
  expect(await ship({ order, parcel: String(flat!.id) })).toMatchObject({ ok: true });
  expect(await stateOf(8)).toBe('sold');
  expect((await view(order)).order.state).toBe('open');
  expect(await cancelOrder({ order, reason: 'late' })).toMatchObject({ ok: false });
  await packAll(order, { parcel: cards!.id });
  expect((await view(order)).order.state).toBe('sealed');
  expect(await ship({ order, parcel: String(cards!.id) })).toMatchObject({ ok: true });
  expect((await view(order)).order.state).toBe('shipped');
});

it.each([
  ['whole', 9, 'returned', 'numbered'],
  ['damaged', 10, 'returned', 'damaged'],
  ['lost', 11, 'lost', 'lost'],
] as const)('a line that comes back %s', async (how, number, kind, state) => {
  const order = await taken(number);
  const line = String((await view(order)).lines[0]!.id);
  const back = { order, line, how, refund: '80', reason: 'the corner' };
  expect(await noteReturn(back)).toMatchObject({ ok: false });
  const { sent } = await packAll(order);
  await ship(sent);
  expect(await noteReturn({ ...back, refund: '80.01' })).toMatchObject({
    ok: false,
    fields: { refund: expect.any(String) },
  });
  expect(await noteReturn(back)).toMatchObject({ ok: true });
  expect((await ledgerOf(number)).at(-1)).toBe(kind);
  expect(await stateOf(number)).toBe(state);
  expect(await noteReturn(back)).toMatchObject({
    ok: false,
    message: expect.stringContaining('noted already'),
  });
  expect(await chain()).toBe(true);
});
