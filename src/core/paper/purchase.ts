/** Kinds of what is bought. */
export const BOUGHT_KINDS = ['paper', 'ink', 'material'] as const;
export type BoughtKind = (typeof BOUGHT_KINDS)[number];

/** What is on the shelf of something, as far as ordering it goes. */
export interface ToBuy {
  left: number;
  /** What is used a week; null where it is not known. */
  perWeek: number | null;
  /** What is promised already. */
  coming: number;
  reorderPoint: number;
}

/** Weeks that an order is to last (rule of thumb). */
export const ORDER_WEEKS = 12;

/**
 * How many to order: what twelve weeks take, less what is left of what is not promised; at least up
 * to twice the reorder point, and one. A rule of thumb.
 * @example proposedOrder({ left: 5, perWeek: 2, coming: 1, reorderPoint: 4 }) // 20
 */
export function proposedOrder({ left, perWeek, coming, reorderPoint }: ToBuy): number {
  const free = left - coming;
  const wanted = Math.max((perWeek ?? 0) * ORDER_WEEKS, 2 * reorderPoint);
  return Math.max(1, Math.ceil(wanted - free - 1e-9));
}
