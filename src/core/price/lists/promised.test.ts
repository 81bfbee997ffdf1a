import fc from 'fast-check';
import { minor } from '../../units';
import { batchPaid } from '../routes';
import { promisedFor, recordOf, routeOf } from '.';
import type { PriceListValues } from '.';

const LIST: PriceListValues = {
  from: '2026-11-01',
  ...{ setUp: minor(1000), proofFee: minor(500), leastQuantity: 2, leastPaid: minor(4000) },
  rows: [
    { size: { width: 300, height: 400 }, paper: '', from: 1, to: null, each: 2400 },
    { size: { width: 300, height: 400 }, paper: '', from: 10, to: null, each: 1700 },
    { size: null, paper: 'Chalk Rag', from: 1, to: null, each: 12_000 },
  ],
  postage: [
    { upTo: 5, cost: 690 },
    { upTo: null, cost: 990 },
  ],
  freePostageFrom: minor(20_000),
  toCustomer: minor(0),
  days: 6,
  loses: '',
};
const of = (quantity: number, width = 300, height = 400, paper = 'Linen') => ({
  ...{ quantity, width, height, paper },
});

it('one size alone is what its batch is paid', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 40 }), (quantity) => {
      const alone = routeOf('', LIST, of(quantity))!;
      expect(promisedFor(LIST, [of(quantity)])).toBe(
        batchPaid(alone, quantity)?.total ?? null,
      );
    }),
  );
});

it('several sizes share set-up and postage, each at the break of its own quantity', () => {
  // 4 x 24.00 and 2 x 0.25 m2 of 120.00; six are sent for 9.90.
  expect(promisedFor(LIST, [of(4), of(2, 500, 500, 'Chalk Rag')])).toBe(
    1500 + 9600 + 6000 + 990,
  );
  // The same size in two files is ten of it, turned or not.
  expect(promisedFor(LIST, [of(6), of(4, 400, 300)])).toBe(1500 + 17_000 + 990);
  // From 200.00 on it is sent free.
  expect(promisedFor(LIST, [of(12)])).toBe(1500 + 20_400);
  expect(promisedFor(LIST, [of(1)])).toBeNull();
  expect(promisedFor(LIST, [of(4), of(1, 700, 700)])).toBeNull();
  // Two come to less than the least sum.
  expect(promisedFor({ ...LIST, leastPaid: minor(9000) }, [of(2)])).toBe(1500 + 9000 + 690);
});

it('the record of somebody weighs what was paid and counts only what was promised', () => {
  const came = (over = {}) => ({
    ...{ quantity: 10, faulty: 0, cost: 11_000, promisedCost: 10_000 },
    ...{ days: 8, promisedDays: 6 },
    ...over,
  });
  expect(recordOf([])).toBeNull();
  expect(
    recordOf([
      came(),
      came({ cost: 30_000, promisedCost: 30_000, days: 5, faulty: 2 }),
      came({ promisedCost: null, promisedDays: null, cost: 99_000, days: 40 }),
    ]),
  ).toEqual({
    ...{ times: 3, quantity: 30, faulty: 2 },
    dearer: 41_000 / 40_000 - 1,
    later: 0.5,
  });
  expect(recordOf([came({ promisedCost: null, promisedDays: null })])).toMatchObject({
    dearer: null,
    later: null,
  });
});
