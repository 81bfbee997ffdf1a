import fc from 'fast-check';
import { parse } from 'csv-parse/sync';
import { bareCell } from '@/core/csv';
import { csvText } from '.';

it('no words can start a formula, and all come back as they were', () => {
  fc.assert(
    fc.property(fc.string({ minLength: 1 }), (words) => {
      const [[cell = '']] = parse(csvText([[words, 'x']])) as [[string]];
      expect(cell).not.toMatch(/^[=+\-@\t\r]/);
      if (!words.startsWith("'")) expect(bareCell(cell)).toBe(words);
    }),
  );
});

it('figures stay figures, also those below nothing; nothing is empty', () =>
  expect(csvText([[-2, 12.5, null, '-2']])).toBe("-2,12.5,,'-2\n"));
