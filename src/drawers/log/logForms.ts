import { decimal, defineForm, optional, rowNumber, text, whole } from '@/core/input';
import { ASPECTS } from '@/core/log';
import type { Aspect } from '@/core/log';

const aspect = (name: Aspect) =>
  optional(whole(name, { min: ASPECTS[name][0], max: ASPECTS[name][1] }));

const entryId = rowNumber('Entry');

/** What is thought of a print: each aspect on its own scale. */
export const opinionForm = defineForm({
  entryId,
  sharpness: aspect('sharpness'),
  grain: aspect('grain'),
  halos: aspect('halos'),
  tone: aspect('tone'),
  colour: aspect('colour'),
  remarks: text('Remarks', { min: 0, max: 1000 }),
});

/** How much larger a print is than the master's pixels, as the book is asked. */
export const askedFactor = decimal('Enlarged about', { above: 0, max: 100 }, '×');

/** The recipe of a print under a name. */
export const keepForm = defineForm({ entryId, name: text('Its recipe as', { max: 60 }) });
