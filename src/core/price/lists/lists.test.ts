import { minor } from '../../units';
import { PRICE_LIST, listFault, quotes, routeOf, rowsFor } from '.';
import type { ListedPrice, PriceListValues } from '.';

const row = (over: Partial<ListedPrice>): ListedPrice => ({
  size: { width: 300, height: 400 },
  paper: '',
  from: 1,
  to: null,
  each: 2400,
  ...over,
});
const list = (over: Partial<PriceListValues> = {}): PriceListValues => ({
  from: '2026-11-01',
  setUp: minor(1500),
  proofFee: minor(0),
  leastQuantity: 1,
  leastPaid: minor(0),
  rows: [row({}), row({ from: 10, each: 1700 })],
  postage: [],
  freePostageFrom: null,
  toCustomer: minor(0),
  days: 6,
  loses: '',
  ...over,
});
const wanted = { width: 300, height: 400, paper: 'Quayside Rag' };

it('a size lies either way round, and counts as the same within a millimetre', () => {
  expect(rowsFor(list(), { ...wanted, width: 400, height: 300 })).toHaveLength(2);
  expect(rowsFor(list(), { ...wanted, width: 300.8 })).toHaveLength(2);
  expect(rowsFor(list(), { ...wanted, width: 305 })).toHaveLength(0);
  expect(routeOf('lab', list(), { ...wanted, width: 305 })).toBeNull();
});

it('the paper that is named comes before any, the size before the square metre', () => {
  const rag = row({ paper: 'quayside rag ', each: 3100 });
  const square = row({ size: null, each: 11_800 });
  const values = list({ rows: [row({}), rag, square] });
  expect(rowsFor(values, wanted)).toEqual([rag]);
  expect(rowsFor(values, { ...wanted, paper: 'Linen' })).toEqual([row({})]);
  expect(rowsFor(values, { width: 500, height: 700, paper: '' })).toEqual([square]);
  // 0.35 m2 at 118.00.
  const by = routeOf('lab', values, { width: 500, height: 700, paper: '' })!;
  expect(by.breaks).toEqual([{ from: 1, each: 4130 }]);
});

it('the proof counts with the set-up, postage to each customer with the print', () => {
  const values = list({ proofFee: minor(800), toCustomer: minor(490) });
  expect(routeOf('lab', values, wanted)).toMatchObject({
    setUp: 2300,
    breaks: [
      { from: 1, each: 2890 },
      { from: 10, each: 2190 },
    ],
  });
});

it.each<[string, Partial<PriceListValues>, object | null]>([
  ['no line', { rows: [] }, { what: 'noRows' }],
  [
    'a hole at the beginning',
    { rows: [row({ from: 3 })] },
    { what: 'hole', from: 1, to: 2 },
  ],
  [
    'a hole between',
    { rows: [row({ to: 4 }), row({ from: 8 })] },
    { what: 'hole', row: 1, from: 5, to: 7 },
  ],
  [
    'an overlap',
    { rows: [row({ to: 9 }), row({ from: 8 })] },
    { what: 'overlap', from: 8, to: 9 },
  ],
  ['two from the same', { rows: [row({}), row({})] }, { what: 'overlap', from: 1 }],
  ['an end before its beginning', { rows: [row({ from: 5, to: 3 })] }, { what: 'hole' }],
  ['others of another paper', { rows: [row({}), row({ paper: 'Linen' })] }, null],
  ['fewer that are not printed', { leastQuantity: 3, rows: [row({ from: 3 })] }, null],
  [
    'postage that ends',
    { postage: [{ upTo: 5, cost: 690 }] },
    { what: 'postageHole', from: 6 },
  ],
  [
    'postage twice',
    {
      postage: [
        { upTo: null, cost: 690 },
        { upTo: null, cost: 990 },
      ],
    },
    { what: 'postageOverlap' },
  ],
  ['a whole list', {}, null],
])('%s is told', (_, over, fault) => {
  const found = listFault(list(over));
  if (fault) expect(found).toMatchObject(fault);
  else expect(found).toBeNull();
});

it('batches are quoted the cheapest first, without those who print no so few', () => {
  const [a, b] = [
    routeOf('a', list(), wanted)!,
    routeOf('b', list({ leastQuantity: 5 }), wanted)!,
  ];
  expect(quotes([a, b], 3).map((q) => q.route)).toEqual(['a']);
  expect(quotes([a, { ...b, setUp: 0 }], 10)).toMatchObject([
    { route: 'b', total: 17_000, share: 1700 },
    { route: 'a', total: 18_500 },
  ]);
});

it('a list is stored whole, and one that is not is refused', () => {
  expect(PRICE_LIST.read(PRICE_LIST.write(list()))).toEqual(list());
  expect(() =>
    PRICE_LIST.read({ ...PRICE_LIST.write(list()), rows: [{ from: 1 }] }),
  ).toThrow('price list');
});
