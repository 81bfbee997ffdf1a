import { PUT } from '@/app/api/bring/route';
import { csvText } from '@/documents';
import { inProcess } from '../../../../e2e/support/inProcess';
import type { InProcess } from '../../../../e2e/support/inProcess';
import { bringOrders } from './actions';
import { ordersTemplate } from './orderListForm';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

let here: InProcess;
beforeAll(async () => {
  here = await inProcess({ numbered: 4, orders: 0 });
});
afterAll(() => here.end());

const HEADS = [
  'Order',
  'Name',
  'Street',
  'Postcode and town',
  'Country',
  'What',
  'Work',
  'Size',
  'Number',
  'Paper',
  'What they are',
  'How many',
  'Price',
];
type Line = Partial<Record<(typeof HEADS)[number], string>>;
const BREDE: Line = {
  Name: 'Brede Marl',
  Street: '4 Sluice Lane',
  'Postcode and town': '2180 Merrowstaithe',
  Country: 'Ulverreach',
};
let paper = '';
beforeAll(async () => {
  paper = (await here.rows<{ name: string }>('SELECT name FROM paper WHERE id = 1'))[0]!
    .name;
});
const line = (over: Line = {}): Line => ({
  ...BREDE,
  Work: 'Slack Water',
  Paper: paper,
  Price: '85',
  ...over,
});
const CARDS: Line = { What: 'goods', Work: '', Paper: '', 'What they are': 'cards' };
const list = (...lines: Line[]) =>
  csvText([HEADS, ...lines.map((l) => HEADS.map((h) => l[h] ?? ''))]);
const bring = (...lines: Line[]) => bringOrders({ list: list(...lines) });
const counts = async () =>
  (
    await here.rows<{ orders: number; lines: number; parcels: number; ledger: number }>(
      `SELECT (SELECT count(*) FROM orders) AS orders, (SELECT count(*) FROM order_line) AS lines,
        (SELECT count(*) FROM parcel) AS parcels, (SELECT count(*) FROM ledger) AS ledger`,
    )
  )[0]!;

it('takes nothing of a list of which a line cannot be, and names each line and field', async () => {
  const before = await counts();
  const wrong = [
    line({ Work: 'Slack Tide' }),
    line({ Number: '29' }),
    line({ Number: 'seven' }),
    line({ Size: '50 x 70 cm' }),
    line({ Paper: 'Vellum' }),
    line({ What: 'unnumbered' }),
  ];
  const answer = await bring(line(), ...wrong, line({ Price: 'ten' }));
  expect(answer).toMatchObject({ ok: false });
  // A figure that cannot be read is said first: nothing is looked up for a list like that.
  expect(answer).toMatchObject({ message: expect.stringMatching(/^Line 9: Price: “ten”/) });
  const read = await bring(...wrong);
  const said = read.ok ? [] : read.message.split('\n');
  expect(said[0]).toMatch(/^Line 2: Work: there is no “Slack Tide”/);
  expect(said[1]).toMatch(/^Line 3: Number: 29 of “Slack Water” is not here/);
  expect(said[2]).toMatch(/^Line 4: Number: “seven” cannot be read/);
  expect(said[3]).toMatch(/^Line 5: Size: no numbered print of “Slack Water” at “50 x 70/);
  expect(said[4]).toMatch(/^Line 6: Paper: there is no “Vellum”/);
  expect(said[5]).toBe('… and 1 more. Nothing of the list was taken in.');
  expect(await counts()).toEqual(before);
});

it('takes one order a line, and one of several lines that carry the same word', async () => {
  const before = await counts();
  const answer = await bring(
    line({ Order: 'W-12', Number: '3/30', Size: '30x40 cm' }),
    line({ Order: 'W-12', ...CARDS, 'How many': '3', Price: '4.50' }),
    line({ Name: 'Osric Fennimore', Work: 'slack water' }),
  );
  expect(answer).toMatchObject({ ok: true, value: ['0401', '0402'] });
  expect(await counts()).toEqual({
    orders: before.orders + 2,
    lines: before.lines + 3,
    parcels: before.parcels + 2,
    ledger: before.ledger + 2,
  });
  const lines = await here.rows(
    `SELECT o.number AS "order", l.kind, l.impression, l.quantity, l.price_minor AS price
     FROM order_line l JOIN orders o ON o.id = l.order_id ORDER BY l.id`,
  );
  expect(lines).toEqual([
    { order: '0401', kind: 'impression', impression: 3, quantity: 1, price: 8500 },
    { order: '0401', kind: 'goods', impression: null, quantity: 3, price: 450 },
    // Without a number, the lowest that is here.
    { order: '0402', kind: 'impression', impression: 1, quantity: 1, price: 8500 },
  ]);
});

it('lets lines of one order go to one person alone, and one number into one order', async () => {
  const before = await counts();
  expect(
    await bring(line({ Order: 'a' }), line({ Order: 'a', ...CARDS, Name: 'Osric' })),
  ).toMatchObject({
    ok: false,
    message: expect.stringMatching(/^Line 3: Order: “a” goes/),
  });
  expect(await bring(line({ Number: '2' }), line({ Number: '2' }))).toMatchObject({
    ok: false,
    message: expect.stringMatching(/^Line 3: Number: 2 of “Slack Water” is not here/),
  });
  expect(await counts()).toEqual(before);
});

it('says which columns it lacks, and has an empty list that it takes', async () => {
  expect(await bringOrders({ list: 'Name,Village\nA,B' })).toMatchObject({
    message: expect.stringContaining('columns that are not known here: “Village”'),
  });
  expect(await bringOrders({ list: 'Name,Price\nA,5' })).toMatchObject({
    message: expect.stringContaining('no column “Street”'),
  });
  const heads = ordersTemplate()[0]!;
  const row: Record<string, string> = { ...line({ Number: '4' }), Channel: 'own site' };
  expect(
    await bringOrders({ list: csvText([heads, heads.map((h) => row[h] ?? '')]) }),
  ).toMatchObject({ ok: true });
});

it('is told from a list of papers where it is dropped', async () => {
  const drop = async (text: string) => {
    const answer = await PUT(
      new Request('http://127.0.0.1/api/bring?name=list.csv', {
        method: 'PUT',
        body: text,
      }),
    );
    return [answer.status, ((await answer.json()) as { href?: string }).href];
  };
  expect(await drop(list(line({ ...CARDS, 'How many': '2' })))).toEqual([201, '/orders']);
  expect(
    await drop(
      'Name,Maker,Weight,Sheet width,Sheet height,Price a sheet\nOat,Vatmill,250,12in,16in,4',
    ),
  ).toEqual([201, '/papers']);
});
