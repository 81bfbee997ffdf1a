import type { ChannelSale } from '../sale';
import type { LadderItem } from './types';

/** What is said of a ladder; `of` and `against` are ids of its items. */
export type LadderWarning =
  | { what: 'largerCheaper'; of: string; against: string }
  | { what: 'limitedUnderOpen'; of: string; against: string }
  | { what: 'compete'; of: string; against: string }
  | { what: 'underCost'; of: string; channel: string; short: number }
  | { what: 'ceiling'; of: string; wanted: number }
  | { what: 'noPrice'; of: string };

/** How near two sizes and their prices must be so that they compete. Shares; rule of thumb. */
export interface Near {
  size: number;
  price: number;
}

interface Asked {
  item: LadderItem;
  price: number;
}

const area = ({ item }: Asked) => item.width * item.height;
const sameKind = (a: Asked, b: Asked) =>
  a.item.paper === b.item.paper && a.item.framed === b.item.framed;
const limited = ({ item }: Asked) => item.edition !== null;

/** A pair of which the first is not the smaller; of equal size each way round. */
function pairWarnings(large: Asked, small: Asked, near: Near): LadderWarning[] {
  const pair = { of: large.item.id, against: small.item.id };
  const [l, s] = [area(large), area(small)];
  if (limited(large) && !limited(small) && large.price <= small.price)
    return [{ what: 'limitedUnderOpen', ...pair }];
  if (limited(large) !== limited(small) || l <= s) return [];
  if (large.price < small.price) return [{ what: 'largerCheaper', ...pair }];
  const close =
    l - s <= near.size * s && large.price - small.price <= near.price * small.price;
  return close ? [{ what: 'compete', ...pair }] : [];
}

/** What is odd between the prices of two items of one kind: paper, framed or not. */
export const betweenItems = (asked: readonly Asked[], near: Near): LadderWarning[] =>
  asked.flatMap((a) =>
    asked.flatMap((b) =>
      a !== b && sameKind(a, b) && area(a) >= area(b) ? pairWarnings(a, b, near) : [],
    ),
  );

/** Channels through which an item is sold under its cost. */
export const underCost = (
  id: string,
  sales: readonly { channel: string; sale: ChannelSale }[],
): LadderWarning[] =>
  sales.flatMap(({ channel, sale }) =>
    sale.net < 0
      ? [{ what: 'underCost' as const, of: id, channel, short: Math.abs(sale.net) }]
      : [],
  );
