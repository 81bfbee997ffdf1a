import type { OrderState } from '@/core/order';

const days = (n: number) => `${n} ${n === 1 ? 'day' : 'days'}`;

/** What is to be done next with the orders of a work. */
export function goesOutWords(
  next: { number: string; state: OrderState; days: number } | null,
): string {
  if (!next) return 'Every order of this work has left, or was cancelled.';
  if (next.state === 'sealed') return `Order ${next.number} is sealed: hand it over.`;
  if (next.days < 0)
    return `Order ${next.number} is ${days(-next.days)} late. It is packed on its own bench, with all that was ordered along.`;
  return `Order ${next.number} leaves ${next.days === 0 ? 'today' : `within ${days(next.days)}`}. It is packed on its own bench, with all that was ordered along.`;
}
