import { daysUntil } from '../days';
import { minor, sum } from '../units';
import type { Minor } from '../units';

/** A print on consignment, as far as it is reckoned with. Minor units of one currency. */
export interface Consigned {
  price: Minor;
  /** What it had cost to make; null: not known. */
  cost: Minor | null;
  /** Null while it is out. */
  end: 'sold' | 'fetched' | null;
}

/** What a consignment amounts to. */
export interface ConsignmentFigures {
  out: number;
  sold: number;
  fetched: number;
  /** Asked for what is out. */
  asked: Minor;
  /** Money that lies there: what is out had cost, framed for it. */
  tiedUp: Minor;
  /** Prints that are out and whose cost is not known: they are not in `tiedUp`. */
  costUnknown: number;
}

/**
 * What is out of a consignment, what is asked for it, and the money tied up in it: the cost of
 * each print and what framing it cost.
 * @example consignmentFigures([{ price: minor(9000), cost: minor(2400), end: null }, { price: minor(9000), cost: minor(2400), end: 'sold' }], minor(1200)) // { out: 1, tiedUp: 3600 }
 */
export function consignmentFigures(
  prints: readonly Consigned[],
  framing: Minor,
): ConsignmentFigures {
  const out = prints.filter((p) => p.end === null);
  return {
    out: out.length,
    sold: prints.filter((p) => p.end === 'sold').length,
    fetched: prints.filter((p) => p.end === 'fetched').length,
    asked: sum(minor(0), ...out.map((p) => p.price)),
    tiedUp: sum(minor(0), ...out.map((p) => minor((p.cost ?? 0) + framing))),
    costUnknown: out.filter((p) => p.cost === null).length,
  };
}

/**
 * How a consignment stands on a day: nothing is out of it any more, it is to be fetched back, or
 * it hangs there; with the days that are left.
 * @example consignmentStands({ out: 2 }, '2026-11-20', '2026-11-30') // { how: 'overdue', days: -10 }
 */
export function consignmentStands(
  { out }: Pick<ConsignmentFigures, 'out'>,
  fetchOn: string,
  today: string,
): { how: 'closed' | 'overdue' | 'out'; days: number } {
  const days = daysUntil(fetchOn, today);
  return { how: out === 0 ? 'closed' : days < 0 ? 'overdue' : 'out', days };
}
