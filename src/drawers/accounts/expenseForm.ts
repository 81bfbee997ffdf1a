import { choice, day, defineForm, money, rowNumber, text } from '@/core/input';
import { CHANNEL_IDS, EXPENSE_KINDS } from '@/core/price';

/** Paid beside sales: for a channel's month, a day at a fair, what went wrong. */
export const expenseForm = defineForm({
  kind: choice('What was paid', EXPENSE_KINDS),
  channel: choice('For selling through', CHANNEL_IDS),
  onDay: day('On'),
  amount: money('Paid', { above: 0, max: 1e10 }),
  note: text('What for', { min: 0, max: 200 }),
});

/** One that was noted wrongly. */
export const takeBackForm = defineForm({ expense: rowNumber('Expense') });
