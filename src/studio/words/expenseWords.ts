import type { ExpenseKind } from '@/core/price';

/** What was paid beside sales is called, after what it was paid for. */
export const EXPENSE_WORDS: Record<ExpenseKind, string> = {
  month: 'a month',
  fairDay: 'a day there',
  other: 'something else',
  mishap: 'a mishap',
};

/** What was paid, and for what: `fair, a day there`. */
export const expenseWords = (kind: ExpenseKind, channel: string): string =>
  channel === '' ? EXPENSE_WORDS[kind] : `${channel}, ${EXPENSE_WORDS[kind]}`;
