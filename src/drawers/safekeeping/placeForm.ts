import { defineForm, verbatim } from '@/core/input';

/** The folder that backups go to; empty for one beside the data. */
export const placeForm = defineForm({
  folder: verbatim('Backups go to', { min: 0, max: 4000 }),
});
