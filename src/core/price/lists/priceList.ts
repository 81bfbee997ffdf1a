import { defineVersioned, numbersIn } from '../../facts';
import type { Minor } from '../../units';
import { batchPaid, inOrder } from '../routes';
import type { BatchPaid, PostageStep, RoutePrices } from '../routes';

/** One line of a list: from so many on, prints of a size on a paper cost `each`. Minor units. */
export interface ListedPrice {
  /** mm, either way round; null: by the square metre. */
  size: { width: number; height: number } | null;
  /** Name of the paper; '' for any. */
  paper: string;
  from: number;
  /** The last quantity that it holds for; null: until the next line. */
  to: number | null;
  each: number;
}

/** What a route asks, as its list says it. Money in minor units of the list's currency. */
export interface PriceListValues {
  /** Day from which it holds, YYYY-MM-DD. */
  from: string;
  setUp: Minor;
  /** A proof before the batch; 0: none is asked for. */
  proofFee: Minor;
  leastQuantity: number;
  leastPaid: Minor;
  rows: ListedPrice[];
  postage: PostageStep[];
  freePostageFrom: Minor | null;
  /** Their postage to the customer, for each print; 0: it comes to the studio. */
  toCustomer: Minor;
  /** Days until they are here; null: not said. */
  days: number | null;
  /** What quality or control is lost, in the user's words. */
  loses: string;
}

const isList = (v: unknown): v is unknown[] => Array.isArray(v);

/** A price list as it is stored. */
export const PRICE_LIST = defineVersioned<PriceListValues>({
  name: 'price list',
  upgrades: [],
  holds: (v) =>
    numbersIn(v, 'setUp', 'proofFee', 'leastQuantity', 'leastPaid', 'toCustomer') &&
    typeof v.from === 'string' &&
    typeof v.loses === 'string' &&
    isList(v.rows) &&
    v.rows.every((r) => numbersIn(r, 'from', 'each')) &&
    isList(v.postage) &&
    v.postage.every((p) => numbersIn(p, 'cost')),
});

/** What is printed: its size, mm, and its paper. */
export interface Wanted {
  width: number;
  height: number;
  paper: string;
}

/** Sizes that differ by less are the same, mm: a list says 40 × 50 cm or 16 × 20 in. */
const SAME_SIZE = 1;

const isSize = ({ size }: ListedPrice, { width, height }: Wanted): boolean => {
  const near = (a: number, b: number) => Math.abs(a - b) <= SAME_SIZE;
  return (
    size !== null &&
    ((near(size.width, width) && near(size.height, height)) ||
      (near(size.width, height) && near(size.height, width)))
  );
};

const plain = (name: string) => name.trim().toLowerCase();

/** Lines that are of the same thing: one size (or the square metre) on one paper. */
export const sameThing = (a: ListedPrice, b: ListedPrice): boolean =>
  plain(a.paper) === plain(b.paper) &&
  (a.size === null
    ? b.size === null
    : b.size !== null && isSize(b, { ...a.size, paper: '' }));

const SQUARE_MM = 1e6;

/**
 * The lines that a print falls under: of its size on its paper, else on any paper, else by the
 * square metre on its paper, else on any; empty where the list has none.
 */
export function rowsFor(values: PriceListValues, wanted: Wanted): ListedPrice[] {
  const ways: ((r: ListedPrice) => boolean)[] = [
    (r) => isSize(r, wanted) && plain(r.paper) === plain(wanted.paper),
    (r) => isSize(r, wanted) && r.paper === '',
    (r) => r.size === null && plain(r.paper) === plain(wanted.paper),
    (r) => r.size === null && r.paper === '',
  ];
  for (const way of ways) {
    const rows = values.rows.filter(way);
    if (rows.length > 0) return rows;
  }
  return [];
}

/**
 * What a route asks for one print's size and paper; null where its list has no price for it. A
 * price by the square metre is that of the print's area, to the nearest minor unit. The proof
 * counts with the set-up; postage to each customer with the print.
 */
export function routeOf(
  name: string,
  values: PriceListValues,
  wanted: Wanted,
): RoutePrices | null {
  const rows = rowsFor(values, wanted);
  if (rows.length === 0) return null;
  const area = (wanted.width * wanted.height) / SQUARE_MM;
  return inOrder({
    name,
    setUp: values.setUp + values.proofFee,
    leastQuantity: values.leastQuantity,
    leastPaid: values.leastPaid,
    breaks: rows.map(({ size, from, each }) => ({
      from,
      each: (size === null ? Math.round(each * area) : each) + values.toCustomer,
    })),
    postage: values.postage,
    freePostageFrom: values.freePostageFrom,
  });
}

/** What is wrong between the lines of a list, as numbers of its rows (from 0). */
export interface ListFault {
  what: 'noRows' | 'overlap' | 'hole' | 'postageOverlap' | 'postageHole';
  row: number;
  from: number;
  to: number;
}

/**
 * The first hole or overlap in a list: of every size and paper each quantity from the least on
 * has one price, and the postage one step.
 * @example listFault({ from: '2026-11-01', setUp: minor(0), proofFee: minor(0), leastQuantity: 1, leastPaid: minor(0), rows: [{ size: null, paper: '', from: 1, to: 4, each: 900 }, { size: null, paper: '', from: 6, to: null, each: 800 }], postage: [], freePostageFrom: null, toCustomer: minor(0), days: null, loses: '' }) // { what: 'hole', row: 1, from: 5, to: 5 }
 */
export function listFault(values: PriceListValues): ListFault | null {
  const { rows, leastQuantity, postage } = values;
  if (rows.length === 0) return { what: 'noRows', row: 0, from: 0, to: 0 };
  for (const [first, row] of rows.entries()) {
    const same = rows
      .map((r, i) => ({ ...r, row: i }))
      .filter((r) => sameThing(r, row))
      .sort((a, b) => a.from - b.from || a.row - b.row);
    if (same[0]!.row !== first) continue;
    if (row.from > leastQuantity)
      return { what: 'hole', row: first, from: leastQuantity, to: row.from - 1 };
    for (const [i, r] of same.entries()) {
      const next = same[i + 1];
      if (r.to !== null && r.to < r.from)
        return { what: 'hole', row: r.row, from: r.to, to: r.from };
      // A list that ends says nothing of more.
      if (!next) continue;
      if (next.from === r.from || (r.to !== null && r.to >= next.from))
        return { what: 'overlap', row: next.row, from: next.from, to: r.to ?? next.from };
      if (r.to !== null && r.to + 1 < next.from)
        return { what: 'hole', row: next.row, from: r.to + 1, to: next.from - 1 };
    }
  }
  const steps = [...postage].sort((a, b) => (a.upTo ?? Infinity) - (b.upTo ?? Infinity));
  const twice = steps.findIndex((p, i) => i > 0 && steps[i - 1]!.upTo === p.upTo);
  if (twice > 0) {
    const at = steps[twice]!.upTo ?? 0;
    return { what: 'postageOverlap', row: twice, from: at, to: at };
  }
  const last = steps.at(-1);
  return last && last.upTo !== null
    ? { what: 'postageHole', row: steps.length - 1, from: last.upTo + 1, to: last.upTo + 1 }
    : null;
}

/** What a batch of a route comes to, and what of it is each print's; null where it is not printed. */
export interface Quoted extends BatchPaid {
  route: string;
  quantity: number;
  /** Of each print, not rounded: total / quantity. */
  share: number;
}

/**
 * A batch of each of some routes, the cheapest first; those that do not print so few are left out.
 * @example quotes([{ name: 'a', setUp: 100, leastQuantity: 1, breaks: [{ from: 1, each: 50 }], postage: [] }], 4)[0].share // 75
 */
export function quotes(routes: readonly RoutePrices[], quantity: number): Quoted[] {
  return routes
    .flatMap((route) => {
      const paid = batchPaid(inOrder(route), quantity);
      return paid
        ? [{ route: route.name, quantity, share: paid.total / quantity, ...paid }]
        : [];
    })
    .sort((a, b) => a.total - b.total);
}
