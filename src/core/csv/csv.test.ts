import fc from 'fast-check';
import { bareCell, guardCell } from '.';

it('no words can start a formula, and all come back as they were', () => {
  fc.assert(
    fc.property(fc.string(), (words) => {
      const cell = guardCell(words);
      expect(cell).not.toMatch(/^[=+\-@\t\r]/);
      if (!words.startsWith("'")) expect(bareCell(cell)).toBe(words);
    }),
  );
});

it.each([
  ['=HYPERLINK("http://x")', '\'=HYPERLINK("http://x")'],
  ['+1', "'+1"],
  ['-2 sheets', "'-2 sheets"],
  ['@SUM(A1)', "'@SUM(A1)"],
  ['\tx', "'\tx"],
  ['Salt Pans', 'Salt Pans'],
  [-2, '-2'],
  [null, ''],
])('%p becomes %p', (value, cell) => expect(guardCell(value)).toBe(cell));
