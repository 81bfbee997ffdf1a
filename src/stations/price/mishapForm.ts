import { day, defineForm, money, text, whole } from '@/core/input';

/** What went wrong with a job and cost money: recorded, never in its price. */
export const mishapForm = defineForm({
  workId: { ...whole('Work', { min: 1, max: 1e12 }), hidden: true },
  sizeKey: { ...text('Size', { max: 40 }), hidden: true },
  onDay: day('On'),
  amount: money('It cost', { above: 0, max: 1e10 }),
  note: text('What went wrong', { max: 200 }),
});
