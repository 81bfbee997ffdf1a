import type { LineState, OrderState, ReturnHow } from './types';

export type OrderRefusal =
  | 'cancelled'
  | 'shipped'
  | 'sealedLine'
  | 'lineGone'
  | 'notShipped'
  | 'backAlready'
  | 'refundTooMuch'
  | 'lastLine'
  | 'emptyParcel';

/** A line with how its parcel stands. */
export interface LineStands {
  state: LineState;
  sealed: boolean;
  shipped: boolean;
}

/**
 * May lines still be added, and the address or the notes change? Null: yes.
 * @example refusesChange('cancelled') // 'cancelled'
 */
export const refusesChange = (order: OrderState): OrderRefusal | null =>
  order === 'cancelled' ? 'cancelled' : order === 'shipped' ? 'shipped' : null;

/** May this line be taken out, moved or changed in price? Null: yes. */
export function refusesLineChange(
  order: OrderState,
  line: LineStands,
): OrderRefusal | null {
  const refused = refusesChange(order);
  if (refused) return refused;
  if (line.state !== 'open') return 'lineGone';
  return line.shipped || line.sealed ? 'sealedLine' : null;
}

/** May the order be cancelled? Null: yes. What has left comes back, or does not: it is never cancelled. */
export function refusesCancel(
  order: OrderState,
  lines: readonly LineStands[],
): OrderRefusal | null {
  const refused = refusesChange(order);
  if (refused) return refused;
  return lines.some((l) => l.shipped) ? 'shipped' : null;
}

/** May this line be noted as come back, with that much of its price paid back? Null: yes. */
export function refusesReturn(
  line: LineStands,
  price: number,
  refund: number,
): OrderRefusal | null {
  if (line.state === 'removed') return 'lineGone';
  if (line.state !== 'shipped' && line.state !== 'open') return 'backAlready';
  if (!line.shipped) return 'notShipped';
  return refund > price ? 'refundTooMuch' : null;
}

/**
 * How a line stands once it came back.
 * @example stateAfterReturn('lost') // 'lost'
 */
export const stateAfterReturn = (how: ReturnHow): LineState =>
  how === 'whole' ? 'returned' : how;
