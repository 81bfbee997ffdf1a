import { faultWords } from './faults';

const coded = (code: string, message = '', cause?: unknown) =>
  Object.assign(new Error(message, { cause }), { code });

it.each([
  [coded('ENOSPC'), /disk .* is full/],
  [coded('SQLITE_FULL', 'database or disk is full'), /disk .* is full/],
  [new Error('wbuffer_write: write failed: No space left on device'), /disk .* is full/],
  [coded('EDQUOT'), /quota/],
  [coded('EROFS'), /cannot be written to/],
  [coded('EACCES'), /cannot be written to/],
  [coded('SQLITE_READONLY_DBMOVED'), /cannot be written to/],
  [coded('SQLITE_BUSY', 'database is locked'), /Another program is holding/],
  [coded('SQLITE_CORRUPT', 'database disk image is malformed'), /damaged.*backup/],
  [coded('SQLITE_IOERR_WRITE'), /does not answer/],
])('%s is said in words that say what to do', (error, words) => {
  expect(faultWords(error)).toMatch(words);
  expect(faultWords(new Error('Failed query', { cause: error }))).toMatch(words);
});

it('leaves other errors alone', () => {
  expect(faultWords(new Error('undefined is not a function'))).toBeNull();
  expect(faultWords(coded('SQLITE_CONSTRAINT_UNIQUE'))).toBeNull();
  expect(faultWords(null)).toBeNull();
});
