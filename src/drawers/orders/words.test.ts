import { stateWords } from './words';

const order = { shippedAt: null, sealed: false, days: 4 };

it.each([
  [{}, 'in 4 days'],
  [{ days: 1 }, 'tomorrow'],
  [{ days: 0 }, 'leaves today'],
  [{ days: -1 }, '▲ 1 day late'],
  [{ days: -6 }, '▲ 6 days late'],
  [{ days: -6, sealed: true }, 'sealed'],
  [{ days: -6, sealed: true, shippedAt: '2026-03-01' }, '✓ shipped'],
])('says how an order stands: %j', (over, words) => {
  expect(stateWords({ ...order, ...over })).toBe(words);
});
