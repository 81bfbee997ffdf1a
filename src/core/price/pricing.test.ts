import fc from 'fast-check';
import { minor } from '../units';
import { breakEven, costOfImpression, priceForMargin, saleAt } from '.';

const input = {
  printing: minor(1800),
  paper: minor(600),
  capture: minor(9000),
  proofs: minor(6000),
  expectedImpressions: 30,
  spoilage: 0.04,
  finishing: minor(0),
  packing: minor(450),
  postage: minor(610),
  hours: 0.5,
  hourlyRate: minor(2400),
};
const fees = { commission: 0.065, payment: 0.03, fixed: minor(45) };

it('adds the parts of an impression, spreading what is paid once', () => {
  const { parts, total } = costOfImpression(input);
  const amount = Object.fromEntries(parts.map((p) => [p.part, p.amount]));
  expect(amount).toMatchObject({ capture: 300, proofs: 200, spoilage: 100, labour: 1200 });
  expect(total).toBe(1800 + 600 + 300 + 200 + 100 + 450 + 610 + 1200);
});

it('finds the price for a margin, and no price when nothing would be left', () => {
  const price = priceForMargin(minor(5260), fees, 0.4, minor(100));
  expect(price).toBe(Math.ceil(5305 / 0.505 / 100) * 100);
  expect(priceForMargin(minor(5260), fees, 1, minor(100))).toBeNull();
  expect(priceForMargin(minor(5260), fees, 0.905, minor(100))).toBeNull();
});

it('a price found for a margin really leaves it', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 1e6 }),
      fc.double({ min: 0, max: 0.85, noNaN: true }),
      (cost, margin) => {
        const price = priceForMargin(minor(cost), fees, margin, minor(1));
        const sale = saleAt(price!, minor(cost), fees);
        expect(sale.net).toBeGreaterThanOrEqual(Math.floor(price! * margin) - 1);
        expect(sale.gross - sale.fees - sale.cost).toBe(sale.net);
      },
    ),
  );
});

it('counts the sales that pay for a batch', () => {
  expect(
    breakEven(minor(10000), minor(2000), { commission: 0.5, payment: 0, fixed: minor(0) }),
  ).toBe(10);
  expect(breakEven(minor(10000), minor(40), fees)).toBeNull();
});
