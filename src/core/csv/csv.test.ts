import { bareCell, delimiterOf } from '.';

it.each([
  ["'=HYPERLINK(1)", '=HYPERLINK(1)'],
  ["'-2 sheets", '-2 sheets'],
  ["'tis the sea", "'tis the sea"],
  ['Salt Pans', 'Salt Pans'],
])('%p was %p', (cell, words) => expect(bareCell(cell)).toBe(words));

it.each([
  ['name,weight,price', ','],
  ['\ufeffname;weight;price', ';'],
  ['"name"\t"weight"', '\t'],
  ['name|price', '|'],
  // A comma within a head parts nothing.
  ['name;price, a sheet;weight', ';'],
])('%p is parted by %p', (text, delimiter) =>
  expect(delimiterOf(text, (head) => ['name', 'weight', 'price'].includes(head))).toBe(
    delimiter,
  ),
);

it('a line that names nothing known is parted by nothing', () =>
  expect(delimiterOf('a,b\n1,2', (head) => head === 'name')).toBeNull());
