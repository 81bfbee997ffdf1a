import { choice, defineForm, hinted, rowNumber, text } from '@/core/input';

/** Whether the setting is of the paper, or stands in for it. */
export const DRIVER = ['has this paper', 'lacks it: the setting stands in'] as const;

/** Which paper is printed through a profile, by whom, and with which setting of the printer. */
export const intoUseForm = defineForm({
  sha256: { ...text('Profile', { min: 64, max: 64 }), hidden: true },
  paperId: { ...rowNumber('Paper'), hidden: false },
  printer: text('Printed by', { min: 0, max: 80 }),
  setting: hinted(
    text('Media setting', { min: 0, max: 120 }),
    'as the printer’s driver calls it',
  ),
  driver: choice('The driver', DRIVER, DRIVER[0]),
});

export const leaveForm = defineForm({
  paperId: rowNumber('Paper'),
  printer: { ...text('Printed by', { min: 0, max: 80 }), hidden: true },
  setting: { ...text('Media setting', { min: 0, max: 120 }), hidden: true },
});
