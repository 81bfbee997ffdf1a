import { add, exactly, multiply, subtract } from '../exact';
import type { Fraction } from '../exact';

/** What every sale of a batch is reckoned with. Money in minor units, shares 0..1. */
export interface SaleTerms {
  price: number;
  /** Share of the price that the channel takes. */
  share: number;
  /** What it takes of each sale beside. */
  fixed: number;
  /** What each print costs whoever prints it. */
  perPrint: number;
  /** Paid once, whatever is made. */
  once: number;
  /** What a print that is left over is still worth; negative where it costs. */
  unsoldWorth: number;
}

/**
 * What a sale leaves: price x (1 - share) - fixed, exactly.
 * @example asNumber(leftOfSale({ price: 8000, share: 0.095, fixed: 45 })) // 7195
 */
export const leftOfSale = ({
  price,
  share,
  fixed,
}: Pick<SaleTerms, 'price' | 'share' | 'fixed'>): Fraction =>
  subtract(multiply(exactly(price), subtract(exactly(1), exactly(share))), exactly(fixed));

/** What a batch costs before anything is sold: the route, each print, what is paid once. */
export const batchCost = (terms: SaleTerms, quantity: number, total: number): Fraction =>
  add(
    exactly(total),
    add(multiply(exactly(terms.perPrint), exactly(quantity)), exactly(terms.once)),
  );

/**
 * What a batch leaves when so many of it are sold:
 * sales x left + unsold x worth - total - perPrint x quantity - once.
 * @example asNumber(batchProfit({ price: 8000, share: 0.095, fixed: 45, perPrint: 640, once: 4500, unsoldWorth: 0 }, { quantity: 10, total: 19490 }, 5)) // 5585
 */
export function batchProfit(
  terms: SaleTerms,
  { quantity, total }: { quantity: number; total: number },
  sold: number,
): Fraction {
  const sales = multiply(exactly(sold), leftOfSale(terms));
  const unsold = multiply(exactly(quantity - sold), exactly(terms.unsoldWorth));
  return subtract(add(sales, unsold), batchCost(terms, quantity, total));
}
