import { join } from 'node:path';
import type { Booking, Carrier, Measured, Quote } from './carrier';
import { FEN_AND_FAR } from './fenAndFar';
import { LANTERN_POST } from './lanternPost';
import { simulated } from './simulated';

export type { Booking, Carrier, Quote } from './carrier';

const SIMULATED = [LANTERN_POST, FEN_AND_FAR];

/** Every carrier that can be booked. Their books lie in the data folder, beside the studio's. */
export const carriersOf = (home: string): Carrier[] =>
  SIMULATED.map((c) => simulated(c, join(home, 'carrier-books')));

/** All quotes of all carriers, those that take the parcel first, cheapest first. */
export const quotesOf = (home: string, parcel: Measured, currency: string): Quote[] =>
  carriersOf(home)
    .flatMap((c) => c.quote(parcel, currency))
    .sort(
      (a, b) => Number(a.refused !== null) - Number(b.refused !== null) || a.cost - b.cost,
    );

/** Books a quote with its carrier under a reference of ours. */
export function bookQuote(home: string, quote: Quote, reference: string): Promise<Booking> {
  const carrier = carriersOf(home).find((c) => c.name === quote.carrier);
  if (!carrier) throw new Error(`no carrier is called ${quote.carrier}`);
  return carrier.book(quote, reference);
}
