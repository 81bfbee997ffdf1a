import { choice, day, defineForm, hinted, rowNumber, text } from '@/core/input';

/** What can be noted by hand of a paper's life. */
export const NOTED = ['heard', 'asked', 'tried'] as const;

/** A note of a paper's life: heard of, a sample asked, tried. */
export const noteForm = defineForm({
  paperId: rowNumber('Paper'),
  station: choice('It was', NOTED),
  day: day('On'),
  triedFor: hinted(
    text('Tried for', { min: 0, max: 120 }),
    'with commas between: watercolours, portraits',
  ),
  printed: text('What was printed', { min: 0, max: 160 }),
  setting: text('Printer setting', { min: 0, max: 120 }),
  words: text('How it came out', { min: 0, max: 600 }),
});
