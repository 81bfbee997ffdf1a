import { inProcess } from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { loadPack } from './view';
import { goesOutWords } from './words';

let here: InProcess;
beforeAll(async () => {
  here = await inProcess({ orders: 2 });
});
afterAll(() => here.end());

it('shows the orders in which the work goes out, with what of it', async () => {
  const { orders } = await loadPack('1');
  expect(orders.map((o) => o.number).sort()).toEqual(here.orderNumbers);
  expect(orders[0]!.prints).toMatchObject([
    { label: expect.stringMatching(/^[12]\/30$/), width: 300, height: 400, state: 'open' },
  ]);
});

it.each([
  [null, /^Every order of this work has left/],
  [{ number: '0401', state: 'sealed', days: 2 }, /^Order 0401 is sealed: hand it over\.$/],
  [{ number: '0401', state: 'open', days: -1 }, /^Order 0401 is 1 day late\./],
  [{ number: '0401', state: 'open', days: 0 }, /^Order 0401 leaves today\./],
  [{ number: '0401', state: 'open', days: 3 }, /^Order 0401 leaves within 3 days\./],
] as const)('says what is next: %j', (next, words) =>
  expect(goesOutWords(next)).toMatch(words),
);
