import { inProcess } from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { saveSettings } from '@/data';
import { keepPriceList } from './actions';
import { pricesCsv, pricesTemplate } from './csv';
import { readPrices } from './listLines';
import { loadPriceLists } from './view';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

let here: InProcess;
beforeAll(async () => {
  here = await inProcess({ empty: true });
});
afterAll(() => here.end());

const EURO = { units: 'metric', currency: 'EUR', locale: 'en-GB' } as const;
const TYPED = {
  name: 'Tidewrack Print Studio',
  kind: 'printStudio',
  from: '2026-11-01',
  rows: '30 x 40 cm; ; 1; 9; 24.00\n30 x 40 cm; ; 10; ; 17.00\nA3; Linen 300; ; ; 31\nm2; ; ; ; 118.00',
  setUp: '15',
  proofFee: '0',
  leastQuantity: '1',
  leastPaid: '0',
  postage: '5; 6.90\n; 9.90',
  freePostageFrom: '',
  toCustomer: '0',
  days: '6',
  loses: 'colour a little muted',
};
const keep = (over: Record<string, string> = {}) => keepPriceList({ ...TYPED, ...over });

it('a list is kept as it was typed, shown, and stands in the form again', async () => {
  expect((await loadPriceLists({})).form!.name).toBeNull();
  expect(await keep()).toMatchObject({ ok: true });
  const view = await loadPriceLists({ of: TYPED.name, edit: '1' });
  expect(view.picked).toMatchObject({
    kind: 'printStudio',
    currency: 'EUR',
    values: {
      setUp: 1500,
      days: 6,
      postage: [
        { upTo: 5, cost: 690 },
        { upTo: null, cost: 990 },
      ],
    },
  });
  expect(view.picked!.rows.map((r) => [r.said, r.from, r.to, r.each])).toEqual([
    ['30 × 40 cm', 1, 9, 2400],
    ['30 × 40 cm', 10, null, 1700],
    ['A3', 1, null, 3100],
    ['m²', 1, null, 11_800],
  ]);
  // What is written into the form is what was kept.
  expect(readPrices(view.form!.start.rows, EURO)).toEqual({
    ok: true,
    value: view.picked!.values.rows,
  });
  const again = await keepPriceList(view.form!.start);
  expect(again).toMatchObject({ ok: true });
  const [now, before] = [await loadPriceLists({ of: TYPED.name }), view.picked!];
  expect(now.picked!.values.rows).toEqual(before.values.rows);
  expect(now.before).toHaveLength(1);
});

it('new prices hold from now on, those before stay', async () => {
  await keep({ from: '2026-12-01', rows: 'Size,Paper,From,To,Each\n30 x 40 cm,,1,,19.50' });
  const view = await loadPriceLists({ of: TYPED.name });
  expect(view.lists).toHaveLength(1);
  expect(view.picked!.rows.map((r) => r.each)).toEqual([1950]);
  expect(view.before.map((b) => b.rows.length)).toEqual([4, 4]);
  await expect(
    here.open.db.write((tx) => tx.run('DELETE FROM price_list')),
  ).rejects.toThrow();
});

it('can be taken out, and begun with from an empty list', async () => {
  expect(pricesTemplate()).toEqual([['Size', 'Paper', 'From', 'To', 'Each']]);
  const { heads, rows } = await pricesCsv();
  expect(rows[0]).toHaveLength(heads.length);
  expect(rows[0]).toEqual(expect.arrayContaining(['30 × 40 cm', 19.5, 'EUR']));
});

it.each<[string, Record<string, string>, string, RegExp]>([
  ['a hole', { rows: '30 x 40 cm;;1;4;24\n30 x 40 cm;;6;;20' }, 'rows', /no price for 5/],
  [
    'an overlap',
    { rows: '30 x 40 cm;;1;9;24\n30 x 40 cm;;9;;20' },
    'rows',
    /two prices for 9/,
  ],
  ['no line', { rows: 'Size; Paper; From; To; Each' }, 'rows', /empty/],
  ['no size', { rows: 'huge;;1;;24' }, 'rows', /Line 1: Size: “huge”/],
  [
    'an amount of two readings',
    { rows: '30 x 40 cm;;1;;1.234,50' },
    'rows',
    /Line 1: Each/,
  ],
  ['an amount below nothing', { rows: '30 x 40 cm;;1;;-4' }, 'rows', /too little/],
  ['a batch of none', { rows: '30 x 40 cm;;0;;4' }, 'rows', /From/],
  ['postage that ends', { postage: '5; 6.90' }, 'postage', /none from 6 prints/],
  ['postage twice', { postage: '5; 6.90\n5; 7.90\n; 9' }, 'postage', /two for up to 5/],
  ['a kind that nobody knows', { kind: 'balloon' }, 'kind', /balloon/],
])('keeps no list with %s, and says where', async (_, over, field, words) => {
  const answer = await keep(over);
  expect(answer).toMatchObject({ ok: false, fields: { [field]: expect.any(String) } });
  if (!answer.ok) expect(answer.fields[field]).toMatch(words);
});

it('in a studio that writes commas, a list reads as it is written there', async () => {
  await here.open.db.write((tx) => saveSettings(tx, { locale: 'de-DE' }));
  const name = 'Quayside Lab';
  expect(await keep({ name, rows: '30 x 40 cm;;1;;1.234,50', postage: '' })).toMatchObject({
    ok: true,
  });
  const view = await loadPriceLists({ of: name, edit: '1' });
  expect(view.picked!.rows[0]!.each).toBe(123_450);
  expect(view.form!.start.rows).toContain('1234,50');
  await here.open.db.write((tx) => saveSettings(tx, { locale: 'en-GB', currency: 'JPY' }));
  // In another currency nothing is re-labelled: the list is typed anew.
  const other = await loadPriceLists({ of: name, edit: '1' });
  expect(other.picked!.currency).toBe('EUR');
  expect(other.form!.start.rows).not.toContain('1234');
});
