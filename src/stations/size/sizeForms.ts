import { defineForm, text, whole } from '@/core/input';

/** How many sizes can be decided about at once. */
const MOST_SIZES = 200;

/** Keys of sizes, with commas between. */
export const sizeKeys = text('Size', { max: 60 * MOST_SIZES });

/** Why sizes are not sold any more. */
export const withdrawForm = defineForm({
  workId: whole('Work', { min: 1 }),
  sizeKey: sizeKeys,
  reason: text('Reason', { max: 200 }),
});

/** A size of the studio's own: two edges, with their unit or in that of the bench. */
export const ownSizeForm = defineForm({ size: text('Own size', { max: 40 }) });
