import type { TodayLine } from '@/core/today';
import { sayLine } from './words';

const work = { workId: 3, work: 'Salt Pans' };
const order = (days: number): TodayLine => ({
  what: 'order',
  urgency: 'due',
  ...work,
  order: '0412',
  customer: 'T. Venn',
  days,
});

it.each([
  [-1, '1 day late'],
  [-6, '6 days late'],
  [0, 'leaves today'],
  [1, 'leaves tomorrow'],
  [2, 'leaves in 2 days'],
])('an order due in %i days: %s', (days, figure) =>
  expect(sayLine(order(days)).figure).toBe(figure),
);

it('leads each line to where it is dealt with', () => {
  expect(sayLine(order(1)).href).toBe('/works/3/pack?order=0412');
  const edition: TodayLine = {
    what: 'edition',
    urgency: 'low',
    ...work,
    size: 'A3',
    left: 0,
    of: 30,
  };
  expect(sayLine(edition)).toMatchObject({
    figure: 'closed, all 30 numbered',
    href: '/works/3/edition',
  });
  const paper: TodayLine = {
    what: 'paper',
    urgency: 'low',
    paperId: 2,
    paper: 'Linen',
    sheets: 1,
    reorderPoint: 5,
    discontinued: false,
  };
  expect(sayLine(paper)).toMatchObject({
    figure: '1 sheet left, reorder at 5',
    href: '/papers?paper=2',
  });
  expect(sayLine({ ...paper, discontinued: true })).toMatchObject({
    figure: 'discontinued, 1 sheet left',
    verb: 'Replace it',
  });
});
