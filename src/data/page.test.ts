import { sql } from 'drizzle-orm';
import { SQLiteSyncDialect } from 'drizzle-orm/sqlite-core';
import fc from 'fast-check';
import { ALL, PAGE_LINES, askedOf, matchOf, numberOf, offsetOf, orderOf } from './page';

const text = (part: ReturnType<typeof sql>) => new SQLiteSyncDialect().sqlToQuery(part).sql;

it('reads an address, and takes nonsense as the start', () => {
  expect(askedOf({ sort: 'price', down: '1', page: '3', find: '  salt ' })).toEqual({
    sort: 'price',
    down: true,
    page: 3,
    find: 'salt',
    lines: PAGE_LINES,
  });
  expect(askedOf({})).toEqual(ALL);
  for (const page of ['0', '-1', '2.5', 'x', '1e9', 'Infinity', ''])
    expect(askedOf({ page }).page).toBe(1);
});

it('whatever an address holds, a page is a whole number of lines from a start within reach', () =>
  fc.assert(
    fc.property(fc.string(), fc.string(), (page, find) => {
      const asked = askedOf({ page, find, sort: find, down: page });
      expect(Number.isSafeInteger(offsetOf(asked))).toBe(true);
      expect(offsetOf(asked)).toBeGreaterThanOrEqual(0);
      expect(asked.find.length).toBeLessThanOrEqual(100);
    }),
  ));

it('sorts by columns that it knows, and by no others', () => {
  const columns = { price: sql`o.price_minor` };
  const usual = sql`o.id DESC`;
  const order = (over: Partial<typeof ALL>) =>
    text(orderOf({ ...ALL, ...over }, columns, usual));
  expect(order({})).toBe('o.id DESC');
  expect(order({ sort: 'price' })).toBe('o.price_minor asc');
  expect(order({ sort: 'price', down: true })).toBe('o.price_minor desc');
  for (const sort of ['id; DROP TABLE work', 'constructor', '__proto__', 'toString', ''])
    expect(order({ sort })).toBe('o.id DESC');
});

it('looks for words and nothing else', () => {
  expect(matchOf('salt pans')).toBe('"salt"* "pans"*');
  expect(matchOf('Löß-Tal 7')).toBe('"Löß"* "Tal"* "7"*');
  expect(matchOf(' " * - ( ')).toBeNull();
  fc.assert(
    fc.property(fc.string(), (find) => {
      const match = matchOf(find);
      // Only quoted words, each with its star: nothing that could be an operator.
      if (match !== null)
        expect(match).toMatch(/^"[\p{L}\p{N}]+"\*( "[\p{L}\p{N}]+"\*)*$/u);
    }),
  );
});

it.each([
  ['7/30', { number: 7, of: 30 }],
  [' 12 / 50 ', { number: 12, of: 50 }],
  ['7/', null],
  ['AP 1/3', null],
  ['7/30/2', null],
  ['1234567/8', null],
])('%p as a pencilled number is %j', (find, number) =>
  expect(numberOf(find)).toEqual(number),
);
