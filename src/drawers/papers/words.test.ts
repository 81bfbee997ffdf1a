import { stockSentence, stockWords } from './words';

const paper = {
  sheets: 12,
  reorderPoint: 5,
  level: 'enough' as const,
  discontinuedAt: null,
};
const day = (at: string) => `on ${at}`;
const say = (over: object, replacement: string | null = null) =>
  stockSentence({ ...paper, ...over }, replacement, day);

it('says what the stock means', () => {
  expect(say({})).toBe('Enough: 7 sheets above the reorder point.');
  expect(say({ sheets: 6 })).toBe('Enough: 1 sheet above the reorder point.');
  expect(say({ sheets: 5, level: 'low' })).toBe(
    'At or under the reorder point of 5: order now.',
  );
  expect(say({ sheets: 0, level: 'out' })).toMatch(/^None left. Order/);
});

it('says what takes the place of a paper that is no longer made', () => {
  const gone = { discontinuedAt: '3 May' };
  expect(say(gone, 'Linen')).toBe(
    'No longer made, noted on 3 May. 12 sheets left, then Linen takes its place.',
  );
  expect(say({ ...gone, sheets: 0, level: 'out' })).toBe(
    'No longer made, noted on 3 May. None left: choose what takes its place.',
  );
  expect(stockWords({ ...paper, ...gone })).toBe('▲ discontinued');
  expect(stockWords({ ...paper, level: 'low' })).toBe('▲ low');
});
