import { shelfWords, stockSentence, stockWords } from './words';

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
  expect(say(gone, 'Linen takes its place.')).toBe(
    'No longer made, noted on 3 May. 12 sheets left, then Linen takes its place.',
  );
  expect(say({ ...gone, sheets: 0, level: 'out' })).toBe(
    'No longer made, noted on 3 May. None left: choose what takes its place.',
  );
  const here = { station: 'inStock', toCome: false } as const;
  expect(stockWords({ ...paper, ...here, ...gone })).toBe('▲ discontinued');
  expect(stockWords({ ...paper, ...here, level: 'low' })).toBe('▲ low');
  const tried = { station: 'tried', toCome: true } as const;
  expect(stockWords({ ...paper, ...tried, level: 'out' })).toBe('tried');
});

describe('the shelf', () => {
  const shelf = { ...paper, sheets: 12, level: 'low' as const, deliveryDays: 8 };
  const lasting = {
    perWeek: 4,
    coming: 0,
    over: 10,
    weeks: 3,
    emptyOn: '2026-03-02',
    orderBy: '2026-02-19',
    reorderPoint: 11,
  };
  const said = (soon: string, more = {}, known = {}) =>
    shelfWords(
      { ...shelf, ...more },
      { lasting, replacement: null, soon, ...known },
      (d) => d,
    );

  it('speaks of the day to order where that is known', () => {
    expect(said('2026-02-16')).toMatchObject({
      sentence: 'About 3 weeks at 4 a week; a delivery takes 8 days: order by 2026-02-19.',
      caution: false,
      more: expect.stringContaining('by this pace 11 would do (rule of thumb'),
    });
    expect(said('2026-02-20').caution).toBe(true);
  });

  it('and else of the count', () => {
    expect(said('2026-02-16', {}, { lasting: null })).toMatchObject({
      sentence: expect.stringContaining('reorder point'),
      caution: true,
      more: '',
    });
    expect(said('2026-02-16', { sheets: 0, level: 'out' }).sentence).toContain('None left');
    expect(said('2026-02-16', { discontinuedAt: '3 May' }).more).toBe('');
  });
});
