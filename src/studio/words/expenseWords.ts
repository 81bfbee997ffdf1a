import type { ExpenseKind } from '@/core/price';

/** What was paid beside sales is called. */
export const EXPENSE_WORDS: Record<ExpenseKind, string> = {
  month: 'a month of it',
  fairDay: 'a day at a fair',
  other: 'paid for it beside',
  mishap: 'a mishap',
};
