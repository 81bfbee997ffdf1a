import { defineForm, hinted, verbatim } from '@/core/input';

/** The folder that backups go to; empty for one beside the data. */
export const placeForm = defineForm({
  folder: verbatim('Backups go to', { min: 0, max: 4000 }),
});

/** A backup, and the new folder that it is restored into. */
export const restoreForm = defineForm({
  archive: verbatim('Backup', { max: 4000 }),
  into: hinted(
    verbatim('Into a new folder', { max: 4000 }),
    'a full path; the studio that is open stays as it is',
  ),
});
