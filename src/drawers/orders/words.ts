const days = (n: number) => `${n} ${n === 1 ? 'day' : 'days'}`;

/** How an order stands: gone, sealed, or how long until it is to leave. */
export function stateWords(order: {
  shippedAt: string | null;
  sealed: boolean;
  /** Days until it is promised to leave. */
  days: number;
}): string {
  if (order.shippedAt !== null) return '✓ shipped';
  if (order.sealed) return 'sealed';
  if (order.days < 0) return `▲ ${days(-order.days)} late`;
  if (order.days === 0) return 'leaves today';
  return order.days === 1 ? 'tomorrow' : `in ${days(order.days)}`;
}
