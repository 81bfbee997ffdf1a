import { defineForm, hinted, rowNumber, text } from '@/core/input';

/** Which paper is printed through a profile, by whom, and with which setting of the printer. */
export const intoUseForm = defineForm({
  sha256: { ...text('Profile', { min: 64, max: 64 }), hidden: true },
  paperId: { ...rowNumber('Paper'), hidden: false },
  printer: text('Printed by', { min: 0, max: 80 }),
  setting: hinted(
    text('Media setting', { min: 0, max: 120 }),
    'the stand-in where the driver lacks the paper',
  ),
});

export const leaveForm = defineForm({
  paperId: rowNumber('Paper'),
  printer: { ...text('Printed by', { min: 0, max: 80 }), hidden: true },
  setting: { ...text('Media setting', { min: 0, max: 120 }), hidden: true },
});
