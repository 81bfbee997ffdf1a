import { defineForm, whole } from '@/core/input';

/** Over how many prints routes are drawn. */
export const MOST_DRAWN = 200;

/** How many are made at once. */
export const quantityForm = defineForm({
  quantity: whole('How many at once', { min: 1, max: MOST_DRAWN }, 'prints'),
});
