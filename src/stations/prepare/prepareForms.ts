import { choice, day, defineForm, hinted, money, optional } from '@/core/input';
import { rowNumber, text } from '@/core/input';
import { verbatim, whole } from '@/core/input';
import { FORMATS, ROUTE_KIND_IDS } from '@/core/prepare';
import { RECIPE } from './recipeInput';

/** Who prints, where their files go, and what they ask for. */
export const routeForm = defineForm({
  name: text('Name', { max: 60 }),
  kind: optional(choice('What they are', ROUTE_KIND_IDS)),
  folder: hinted(
    verbatim('Drop folder', { min: 0, max: 400 }),
    'a full path; empty: a folder beside your data',
  ),
  inkSet: hinted(
    text('Ink set', { min: 0, max: 80 }),
    'its inks; others re-open what proofs of it settled',
  ),
  leastPpi: whole('Asks at least', { min: 72, max: 720 }, 'ppi'),
  target: text('Colours', { max: 80 }),
  press: text('CMYK beside it', { min: 0, max: 80 }),
  bits: choice('Bits', ['8', '16']),
  format: choice('Format', FORMATS),
});

/** A recipe under its name. */
export const keepForm = defineForm({
  name: text('Name', { max: 60 }),
  remarks: text('What it is for', { min: 0, max: 500 }),
  recipe: { ...RECIPE, hidden: true },
  fromId: optional(rowNumber('Recipe')),
});

/** A copy for screens. */
export const screenForm = defineForm({
  workId: rowNumber('Work'),
  sizeKey: { ...text('Size', { max: 60 }), hidden: true },
  recipe: { ...RECIPE, hidden: true },
  longest: whole('Longest side', { min: 200, max: 12_000 }, 'px'),
  quality: whole('JPEG quality', { min: 30, max: 100 }, 'of 100'),
  watermark: hinted(text('Words over it', { min: 0, max: 80 }), 'none when empty'),
});

/** What came of an errand. */
export const arrivalForm = defineForm({
  errandId: rowNumber('Errand'),
  onDay: day('Here on'),
  cost: money('Paid for all of it', { min: 0, max: 1e10 }),
  faulty: whole('Faulty', { min: 0, max: 100_000 }, 'prints'),
  note: text('What was wrong', { min: 0, max: 200 }),
});
