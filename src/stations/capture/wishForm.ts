import { RGB_SPACES, SPACE_IDS } from '@/core/colour';
import {
  choice,
  decimal,
  defineForm,
  hinted,
  length,
  optional,
  rowNumber,
  verbatim,
} from '@/core/input';

const workId = rowNumber('Work');
const side = (title: string) => length(title, { min: 10, max: 20000 });

/** The largest print that is wanted. */
export const printWish = defineForm({
  width: side('Print, width'),
  height: side('Print, height'),
  ppi: decimal('Printed at', { min: 20, max: 2400 }, 'ppi'),
});

/** The same, of a work, and with what it is to be captured. */
export const wishForm = defineForm({
  workId,
  ...printWish.fields,
  deviceId: optional(rowNumber('Device')),
});

/** A file to be taken in, by its path. */
export const namedForm = defineForm({
  workId,
  path: hinted(
    verbatim('File on this machine', { max: 4000 }),
    'its full path, instead of dropping it',
  ),
});

/** Which space an untagged master was saved in. */
export const spaceForm = defineForm({
  workId,
  space: choice('It was saved in', SPACE_IDS),
});

export const SPACES = SPACE_IDS.map((s) => [s, RGB_SPACES[s].name] as const);
