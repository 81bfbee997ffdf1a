import { inProcess, SIZE } from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { impressionLine, orderOf } from '../../../e2e/support/orders';
import { costOfImpression, feesOf, saleAt, startPrice } from '@/core/price';
import { minor } from '@/core/units';
import { ALL, addPrice, editionsPage, freeImpressions, spoilImpression } from '@/data';
import { formatOf } from '@/shell/figures/format';
import { readSettings } from '@/data';
import { consign, fetchAll, fetchBack, sellThere } from './actions';
import { consignmentsCsv } from './csv';
import { consignmentNote } from './documents';
import { loadConsignments } from './view';
import { amountsWords, fetchWords } from './words';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

let here: InProcess;
let paperId: number;
const at = '2026-11-20T10:00:00.000Z';
beforeAll(async () => {
  here = await inProcess({ editionOf: 30, numbered: 6, orders: 0 });
  const known = { printing: minor(300), paper: minor(500), capture: null, proofs: null };
  const values = startPrice({ currency: 'EUR', ...known, editionSize: 30 });
  const cost = costOfImpression(values).total;
  const { fees, net } = saleAt(minor(9000), cost, feesOf(values));
  await here.open.db.write((tx) =>
    addPrice(tx, {
      ...{ workId: here.workId, sizeKey: SIZE, channel: values.channel, values },
      ...{ currency: 'EUR', cost, fees, price: minor(9000), net, at },
    }),
  );
  [{ id: paperId }] = (await here.rows<{ id: number }>('SELECT id FROM paper')) as [
    { id: number },
  ];
});
afterAll(() => here.end());

const item = (number: number, price = 12_000) => ({
  editionId: here.editionId,
  series: 'number',
  number,
  price,
});
const lend = (items: unknown[], over: Record<string, string> = {}) =>
  consign({
    ...{ name: 'Gallery at the Weir', street: '3 Sluice Lane', town: '2180 Merrowstaithe' },
    ...{ country: 'Ulverreach', commission: '45', framing: '12.00', daysUntilPaid: '30' },
    ...{ fetchOn: '2030-02-20', note: 'shown in the front room' },
    items: JSON.stringify(items),
    ...over,
  });
const only = async (number: string) => (await loadConsignments({ of: number })).picked!;
const free = async () =>
  (await freeImpressions(here.open.db.read, { workId: here.workId }, 60)).map(
    (f) => f.number,
  );

it('lends nothing out that is not here, twice, or until a day that is over', async () => {
  expect(await lend([item(29)])).toMatchObject({
    ok: false,
    message: expect.stringContaining('never numbered'),
  });
  expect(await lend([item(1), item(1)])).toMatchObject({
    message: expect.stringContaining('chosen twice'),
  });
  expect(await lend([item(1)], { fetchOn: '2020-01-01' })).toMatchObject({
    fields: { fetchOn: expect.stringContaining('over already') },
  });
  expect(await lend([])).toMatchObject({ ok: false });
  expect(await here.rows('SELECT 1 FROM consignment')).toEqual([]);
});

it('what is lent out ties up its cost and framing, and goes into no other order', async () => {
  expect(await lend([item(1), item(2), item(3)])).toEqual({ ok: true, value: 'C-0001' });
  const lent = await only('C-0001');
  const [{ cost }] = (await here.rows<{ cost: number }>(
    'SELECT cost_minor AS cost FROM price',
  )) as [{ cost: number }];
  expect(lent.figures).toMatchObject({
    ...{ out: 3, sold: 0, costUnknown: 0 },
    ...{ asked: 36_000, tiedUp: 3 * (cost + 1200) },
  });
  // 55 % of 120.00, three times; the framing was paid before.
  expect(lent.toYou).toBe(3 * 6600);
  expect(await free()).toEqual([4, 5, 6]);
  // What hangs elsewhere is not here, and gives no number back.
  expect((await editionsPage(here.open.db.read, ALL)).rows[0]).toMatchObject({
    ...{ here: 3, out: 6 },
  });
  expect(await lend([item(2)])).toMatchObject({
    message: expect.stringContaining('out on consignment already'),
  });
  const of = { workId: here.workId, sizeKey: SIZE, paperId, editionId: here.editionId };
  const taking = (impression: number, channel: string) =>
    here.open.db.write((tx) =>
      orderOf(tx, impressionLine({ ...of, impression }), { at, channel }),
    );
  await expect(taking(2, 'own site')).rejects.toThrow('lentOut');
  await expect(
    here.open.db.write((tx) =>
      spoilImpression(tx, {
        ...{ editionId: here.editionId, series: 'number', number: 2 },
        ...{ reason: 'foxed', at },
      }),
    ),
  ).rejects.toThrow('lentOut');
});

it('sold there it is an order of the gallery; its share is what was agreed, not what is usual', async () => {
  const print = (await only('C-0001')).prints[0]!;
  const answer = await sellThere({
    ...{ number: 'C-0001', print: String(print.id), price: '110.00' },
  });
  expect(answer).toMatchObject({ ok: true });
  const number = (answer as { value: string }).value;
  const { prints } = await only('C-0001');
  expect(prints[0]).toMatchObject({ end: null, order: number });
  expect(await fetchBack({ number: 'C-0001', print: String(print.id) })).toMatchObject({
    message: expect.stringContaining(`in order ${number}`),
  });
  expect(await sellThere({ number: 'C-0009', print: '1', price: '5' })).toMatchObject({
    message: expect.stringContaining('not there'),
  });
});

it('fetched back it is free again; all at once leaves out what is in an order', async () => {
  const second = (await only('C-0001')).prints[1]!;
  const asked = { number: 'C-0001', print: String(second.id) };
  expect(await fetchBack(asked)).toMatchObject({ ok: true });
  expect(await fetchBack(asked)).toMatchObject({
    message: expect.stringContaining('not out any more'),
  });
  expect(await free()).toEqual([2, 4, 5, 6]);
  expect(await fetchAll({ number: 'C-0001' })).toMatchObject({ ok: true, value: 1 });
  const { prints, stands } = await only('C-0001');
  expect(prints.map((p) => p.end)).toEqual([null, 'fetched', 'fetched']);
  expect(stands.how).toBe('out');
});

it('lists every print, and writes a note to be signed', async () => {
  const { heads, rows } = await consignmentsCsv();
  expect(rows).toHaveLength(3);
  expect(rows[0]![heads.indexOf('asked')]).toBe(120);
  expect(rows.map((r) => r[heads.indexOf('state')])).toEqual(['out', 'fetched', 'fetched']);
  const note = (await consignmentNote('C-0001'))!;
  expect(Buffer.from(note.bytes).subarray(0, 5).toString()).toBe('%PDF-');
  expect(note.name).toBe('consignment-note_C-0001.pdf');
  expect(await consignmentNote('C-0404')).toBeNull();
});

it('says how it stands and what it ties up', async () => {
  const format = formatOf(await readSettings(here.open.db.read));
  const words = (how: 'closed' | 'overdue' | 'out', days: number) =>
    fetchWords({ how, days }, '2026-11-20', format);
  expect(words('overdue', -1)).toMatch(/1 day ago/);
  expect(words('out', 0)).toBe('to be fetched back today');
  expect(words('out', 12)).toMatch(/, 12 days$/);
  expect(words('closed', 3)).toMatch(/nothing is out/);
  const figures = {
    ...{ out: 2, sold: 0, fetched: 0, asked: minor(0), tiedUp: minor(3600) },
    costUnknown: 1,
  };
  expect(amountsWords(figures, 13_200, format, 'EUR')).toMatch(
    /€36\.00 of yours lie there in 2 prints.*€132\.00 come to you.*What 1 of them cost is not known/,
  );
});
