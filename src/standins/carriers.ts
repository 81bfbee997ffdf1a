import type { Parcel } from '@/core/pack';
import { billableWeight } from '@/core/pack';
import { minor } from '@/core/units';
import type { Grams, Minor } from '@/core/units';

export interface Quote {
  carrier: string;
  service: string;
  /** Working days, as promised. */
  days: string;
  billable: Grams;
  cost: Minor;
  /** Why this service does not take the parcel; null when it does. */
  refused: 'tooLong' | 'tooHeavy' | 'tooThick' | null;
}

export interface Booking {
  tracking: string;
}

/** What a carrier's driver offers; the two below are simulated and ship with the application. */
export interface Carrier {
  name: string;
  quote(parcel: Parcel): Quote[];
  book(quote: Quote, orderNumber: string): Promise<Booking>;
}

interface Service {
  service: string;
  days: string;
  divisor: number;
  maxGrams: number;
  maxLongest: number;
  maxDepth: number;
  base: number;
  perHalfKilo: number;
}

/** Digits that stay the same for the same order and service. */
const trackingFor = (prefix: string, seed: string): string => {
  let n = 7;
  for (const c of seed) n = (n * 31 + c.charCodeAt(0)) % 1_000_000_007;
  return `${prefix}${String(n).padStart(10, '0')}`;
};

const simulated = (name: string, prefix: string, services: Service[]): Carrier => ({
  name,
  quote: (parcel) =>
    services.map((s) => {
      const billable = billableWeight(parcel, s.divisor);
      const longest = Math.max(parcel.width, parcel.height, parcel.depth);
      const depth = Math.min(parcel.width, parcel.height, parcel.depth);
      const refused =
        longest > s.maxLongest
          ? 'tooLong'
          : billable > s.maxGrams
            ? 'tooHeavy'
            : depth > s.maxDepth
              ? 'tooThick'
              : null;
      const cost = minor(s.base + s.perHalfKilo * Math.ceil(billable / 500));
      return { carrier: name, service: s.service, days: s.days, billable, cost, refused };
    }),
  book: (quote, orderNumber) =>
    Promise.resolve({ tracking: trackingFor(prefix, orderNumber + quote.service) }),
});

export const CARRIERS: Carrier[] = [
  simulated('Lantern Post', 'LP', [
    {
      service: 'flat, tracked',
      days: '2–3',
      divisor: 5000,
      maxGrams: 2000,
      maxLongest: 650,
      maxDepth: 50,
      base: 390,
      perHalfKilo: 110,
    },
    {
      service: 'roll, tracked',
      days: '2–4',
      divisor: 5000,
      maxGrams: 5000,
      maxLongest: 1200,
      maxDepth: 120,
      base: 520,
      perHalfKilo: 140,
    },
  ]),
  simulated('Fen & Far', 'FF', [
    {
      service: 'next day',
      days: '1',
      divisor: 4000,
      maxGrams: 30000,
      maxLongest: 1500,
      maxDepth: 600,
      base: 940,
      perHalfKilo: 100,
    },
    {
      service: 'next day, insured',
      days: '1',
      divisor: 4000,
      maxGrams: 30000,
      maxLongest: 1500,
      maxDepth: 600,
      base: 1115,
      perHalfKilo: 100,
    },
  ]),
];

/** All quotes of all carriers, those that take the parcel first, cheapest first. */
export const quoteAll = (parcel: Parcel): Quote[] =>
  CARRIERS.flatMap((c) => c.quote(parcel)).sort(
    (a, b) => Number(a.refused !== null) - Number(b.refused !== null) || a.cost - b.cost,
  );
