import type { OrderState } from '@/core/order';

const days = (n: number) => `${n} ${n === 1 ? 'day' : 'days'}`;

/** How an order stands: gone, sealed, or how long until it is to leave. */
export function stateWords(order: {
  state: OrderState;
  /** Days until it is promised to leave. */
  days: number;
}): string {
  if (order.state === 'cancelled') return '✕ cancelled';
  if (order.state === 'shipped') return '✓ shipped';
  if (order.state === 'sealed') return 'sealed';
  if (order.days < 0) return `▲ ${days(-order.days)} late`;
  if (order.days === 0) return 'leaves today';
  return order.days === 1 ? 'tomorrow' : `in ${days(order.days)}`;
}

/** When an order was promised to leave, and how that stands. */
export function promiseWords(
  order: { dueOn: string; state: OrderState; shippedAt: string | null; days: number },
  day: (iso: string) => string,
): string {
  if (order.state === 'cancelled') return 'cancelled';
  if (order.shippedAt && order.state === 'shipped')
    return `shipped ${day(order.shippedAt)}`;
  const left = order.days;
  const when =
    left < 0
      ? `${days(-left)} late`
      : left === 0
        ? 'leaves today'
        : left === 1
          ? 'leaves tomorrow at the latest'
          : `leaves within ${days(left)}`;
  return `promised ${day(order.dueOn)}, ${when}`;
}
