import { inProcess } from '../../../../e2e/support/inProcess';
import type { InProcess } from '../../../../e2e/support/inProcess';
import { loadOrderBench } from './view';
import { cancelOrder, noteReturn } from './lineActions';
import { give } from './parcelActions';
import { sealedWords } from './words';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

let here: InProcess;
beforeAll(async () => {
  here = await inProcess({ orders: 2, numbered: 3 });
});
afterAll(() => here.end());

const asked = async (order: string) => ({
  order,
  parcel: String((await loadOrderBench(order, {})).picked!.id),
});

it('given in hand it is sold with its certificate: nothing is packed, booked or taken from the shelf', async () => {
  const [order] = here.orderNumbers as [string];
  const stock = () =>
    here.rows("SELECT sum(pieces) AS n FROM movement WHERE of = 'material'");
  const before = await stock();
  const sent = await asked(order);
  expect(await give(sent)).toMatchObject({ ok: true });
  const { picked, order: now } = await loadOrderBench(order, {});
  expect(now.state).toBe('shipped');
  expect(picked!.sealed).toMatchObject({ cost: 0, carrier: '' });
  expect(sealedWords(picked!.sealed!.contents, {} as never)[0]).toBe('Given in hand');
  expect(picked!.documents.map((d) => d.kind)).toEqual(['certificate']);
  expect(await stock()).toEqual(before);
  expect(await here.rows('SELECT 1 FROM booking')).toEqual([]);
  expect(
    await here.rows(
      "SELECT state FROM impression_now WHERE series = 'number' AND number = 1",
    ),
  ).toEqual([{ state: 'sold' }]);
  expect(await give(sent)).toMatchObject({
    ok: false,
    message: expect.stringContaining('sealed already'),
  });
  const line = String(picked!.lines[0]!.id);
  const back = { order, line, how: 'whole', refund: '0', reason: 'wrong size' };
  expect(await noteReturn(back)).toMatchObject({ ok: true });
});

it('nothing of a cancelled order is given', async () => {
  const [, order] = here.orderNumbers as [string, string];
  const sent = await asked(order);
  expect(await cancelOrder({ order, reason: 'changed their mind' })).toMatchObject({
    ok: true,
  });
  expect(await give(sent)).toMatchObject({ ok: false });
  expect(await here.rows("SELECT 1 FROM order_event WHERE kind = 'shipped'")).toHaveLength(
    1,
  );
});
