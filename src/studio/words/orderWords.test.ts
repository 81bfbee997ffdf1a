import type { OrderState } from '@/core/order';
import { stateWords } from './orderWords';

it.each([
  ['open', 4, 'in 4 days'],
  ['open', 1, 'tomorrow'],
  ['open', 0, 'leaves today'],
  ['open', -1, '▲ 1 day late'],
  ['open', -6, '▲ 6 days late'],
  ['sealed', -6, 'sealed'],
  ['shipped', -6, '✓ shipped'],
  ['cancelled', -6, '✕ cancelled'],
] as [OrderState, number, string][])(
  'an order that is %s, with %i days left, says %p',
  (state, days, words) => expect(stateWords({ state, days })).toBe(words),
);
