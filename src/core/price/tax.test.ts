import fc from 'fast-check';
import { minor } from '../units';
import { taxOf } from '.';

it('what is in a price and what comes on top add up to what is paid', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 1e9 }),
      fc.integer({ min: 0, max: 9999 }),
      fc.boolean(),
      (price, share, included) => {
        const rule = { name: 'tax', share: share / 10_000, included };
        const { before, tax, pays } = taxOf(minor(price), rule);
        expect(before + tax).toBe(pays);
        expect(included ? pays : before).toBe(price);
        // Within half a minor unit of share x before, in whole ten-thousandths.
        const off = BigInt(tax) * 10_000n * (included ? BigInt(10_000 + share) : 10_000n);
        const exact = BigInt(price) * BigInt(share) * 10_000n;
        const half = (included ? BigInt(10_000 + share) : 10_000n) * 5_000n;
        expect(off - exact <= half && exact - off <= half).toBe(true);
      },
    ),
  );
});

it.each([
  [1199, 0.19, true, 191],
  [10_000, 0.077, false, 770],
  [1, 0.2, true, 0],
  [3, 0.2, true, 1],
])('of %i at %f, in it: %s, %i are tax', (price, share, included, tax) =>
  expect(taxOf(minor(price), { name: '', share, included }).tax).toBe(tax),
);
