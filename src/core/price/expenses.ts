/** What is paid that is of no single sale: a channel's month, a day at a fair, what went wrong. */
export const EXPENSE_KINDS = ['month', 'fairDay', 'other', 'mishap'] as const;
export type ExpenseKind = (typeof EXPENSE_KINDS)[number];

/** What was paid beside sales, and through which channel; '': through none. Minor units. */
export interface Expense {
  kind: ExpenseKind;
  channel: string;
  amount: number;
  currency: string;
}

/** What sales through a channel left, minor units. */
export interface ChannelSales {
  channel: string;
  currency: string;
  sold: number;
  gross: number;
  net: number;
  /** Pieces in no net. */
  unreckoned: number;
}

/** A channel with what its sales left, what was paid beside them, and what stays of both. */
export interface ChannelAccount extends ChannelSales {
  beside: number;
  left: number;
}

/**
 * What stays of each channel in each currency once what was paid beside its sales is set off:
 * the largest gross first. A channel that only cost is there, too; mishaps are of no channel.
 * @example accountsByChannel([{ channel: 'fair', currency: 'EUR', sold: 3, gross: 24000, net: 11000, unreckoned: 0 }], [{ kind: 'fairDay', channel: 'fair', amount: 12000, currency: 'EUR' }])[0].left // -1000
 */
export function accountsByChannel(
  sales: readonly ChannelSales[],
  expenses: readonly Expense[],
): ChannelAccount[] {
  const key = (of: { channel: string; currency: string }) => `${of.currency} ${of.channel}`;
  const found = new Map<string, ChannelAccount>();
  const at = (of: { channel: string; currency: string }): ChannelAccount => {
    const before = found.get(key(of));
    if (before) return before;
    const { channel, currency } = of;
    const none = { sold: 0, gross: 0, net: 0, unreckoned: 0, beside: 0, left: 0 };
    const begun = { channel, currency, ...none };
    found.set(key(of), begun);
    return begun;
  };
  for (const { sold, gross, net, unreckoned, ...of } of sales) {
    const row = at(of);
    row.sold += sold;
    row.gross += gross;
    row.net += net;
    row.unreckoned += unreckoned;
  }
  for (const { amount, ...of } of expenses) at(of).beside += amount;
  return [...found.values()]
    .map((row) => ({ ...row, left: row.net - row.beside }))
    .sort((a, b) => b.gross - a.gross || b.beside - a.beside);
}
