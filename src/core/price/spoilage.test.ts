import { minor } from '../units';
import { measuredSpoilage, startPrice } from '.';

it('too few prints tell nothing of spoilage; enough tell their share', () => {
  expect(measuredSpoilage({ good: 18, spoiled: 1 })).toBeNull();
  expect(measuredSpoilage({ good: 19, spoiled: 1 })).toBe(0.05);
  expect(measuredSpoilage({ good: 40, spoiled: 0 })).toBe(0);
  expect(measuredSpoilage({ good: 0, spoiled: 0 })).toBeNull();
});

it('a price starts from what was measured, else from rules of thumb', () => {
  const nothing = {
    currency: 'EUR',
    ...{ printing: null, paper: null, capture: null, proofs: null, editionSize: null },
  };
  expect(startPrice(nothing)).toMatchObject({
    spoilage: 0.04,
    packing: 450,
    hourlyRate: 2400,
  });
  const known = { spoilage: 0, packing: minor(310), hourlyRate: minor(3500) };
  expect(startPrice({ ...nothing, ...known })).toMatchObject(known);
});
