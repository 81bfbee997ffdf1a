import { defineForm, whole } from '@/core/input';

/** Which customer is found to be which. */
export const mergeForm = defineForm({
  from: whole('Customer', { min: 1, max: 1e12 }),
  into: whole('Is the same as', { min: 1, max: 1e12 }),
});
