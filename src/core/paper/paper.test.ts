import { stockLevel } from '.';

it('adds up movements and warns at the reorder point', () => {
  expect(stockLevel([25, -3, -12], 10)).toEqual({ sheets: 10, level: 'low' });
  expect(stockLevel([25, -3], 10)).toEqual({ sheets: 22, level: 'enough' });
  expect(stockLevel([2, -2], 10)).toEqual({ sheets: 0, level: 'out' });
});
