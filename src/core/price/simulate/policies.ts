/** How stock is kept over the months. */
export interface Policy {
  id: 'toOrder' | 'small' | 'large' | 'mixed';
  /** Prints ordered before the first month. */
  first: number;
  /** What is ordered again when stock and what is on its way fall to `at`; null: nothing is. */
  again: { at: number; quantity: number } | null;
  /** What is not there is printed one by one when it is wanted; else it is lost. */
  toOrder: boolean;
}

export const POLICY_IDS = ['toOrder', 'small', 'large', 'mixed'] as const;

/**
 * The four usual ways, from what is expected to be wanted a month: made when ordered; small
 * batches; one large batch; a batch, and to order after it.
 * @example usualPolicies({ perMonth: 3, months: 12, small: 5, large: 40 }).map((p) => p.first) // [0, 5, 40, 20]
 */
export function usualPolicies(of: {
  perMonth: number;
  months: number;
  small: number;
  large: number;
}): Policy[] {
  const { perMonth, small, large } = of;
  const at = Math.ceil(perMonth);
  return [
    { id: 'toOrder', first: 0, again: null, toOrder: true },
    { id: 'small', first: small, again: { at, quantity: small }, toOrder: false },
    { id: 'large', first: large, again: null, toOrder: false },
    { id: 'mixed', first: Math.ceil(large / 2), again: null, toOrder: true },
  ];
}
