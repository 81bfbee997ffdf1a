import { lostWords } from '@/studio/words/routeWords';
import { breaksWords, lineName, listFaultWords, listedThings } from './words';

const row = (width: number, from: number, each: number, to: number | null = null) => ({
  size: { width, height: 400 },
  paper: '',
  from,
  to,
  each,
});

it('lines of one size stand together, by how many, whatever order they were typed in', () => {
  const things = listedThings([
    row(300, 10, 1700),
    row(400, 1, 3300),
    row(300, 1, 2400, 9),
  ]);
  expect(things.map((t) => t.map((r) => r.from))).toEqual([[1, 10], [1]]);
  expect(breaksWords(things[0]!, (m) => (m / 100).toFixed(2))).toBe(
    '24.00 (to 9), from\u00a010: 17.00',
  );
});

it('a line is named by its size, and by its paper where it has one', () => {
  expect(lineName({ paper: '' }, 'A3')).toBe('A3');
  expect(lineName({ paper: 'Linen' }, 'A3')).toBe('A3 on Linen');
});

it.each([
  ['noRows', 'rows', /at least one price/],
  ['hole', 'rows', /A3 has no price for 5 to 7/],
  ['overlap', 'rows', /A3 has two prices for 5 to 7/],
  ['postageOverlap', 'postage', /up to 5 prints/],
  ['postageHole', 'postage', /from 5 prints on/],
] as const)('%s is said at its field, with its quantities', (what, field, words) => {
  const said = listFaultWords({ what, row: 0, from: 5, to: 7 }, () => 'A3');
  expect(said.field).toBe(field);
  expect(said.words).toMatch(words);
});

it('what is lost is said by the kind, and in the user’s own words', () => {
  expect(lostWords('onlineLab', '')).toEqual([]);
  expect(lostWords('printStudio', 'far away')).toEqual(['far away']);
  expect(lostWords('onDemand', 'one paper')).toEqual([
    'no numbering',
    'no signature',
    'no proof',
    'not seen before it is sent',
    'one paper',
  ]);
});
