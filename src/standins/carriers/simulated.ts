import { mkdir, readFile, rm, writeFile } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { billableWeight } from '@/core/pack';
import { currencyDigits, minor } from '@/core/units';
import type { Booking, Carrier, Measured, Quote } from './carrier';

/** A service of a simulated carrier. Amounts in hundredths of the currency's main unit. */
export interface Service {
  service: string;
  days: string;
  /** mm3 a gram. */
  divisor: number;
  maxGrams: number;
  maxLongest: number;
  maxDepth: number;
  base: number;
  perHalfKilo: number;
}

/** What a simulated carrier is: its name, what its numbers begin with, its services. */
export interface SimulatedCarrier {
  name: string;
  prefix: string;
  services: readonly Service[];
}

/** Digits that stay the same for the same reference and service. */
const trackingFor = (prefix: string, seed: string): string => {
  let n = 7;
  for (const c of seed) n = (n * 31 + c.charCodeAt(0)) % 1_000_000_007;
  return `${prefix}${String(n).padStart(10, '0')}`;
};

function quoteFor(name: string, s: Service, parcel: Measured, currency: string): Quote {
  const billable = billableWeight(parcel, s.divisor);
  const edges = [parcel.width, parcel.height, parcel.depth];
  const refused =
    Math.max(...edges) > s.maxLongest
      ? 'tooLong'
      : billable > s.maxGrams
        ? 'tooHeavy'
        : Math.min(...edges) > s.maxDepth
          ? 'tooThick'
          : null;
  const hundredths = s.base + s.perHalfKilo * Math.ceil(billable / 500);
  const cost = minor((hundredths / 100) * 10 ** currencyDigits(currency));
  return { carrier: name, service: s.service, days: s.days, billable, cost, refused };
}

/** A carrier that is only played: its book is a folder, one file a booking. */
export function simulated(
  { name, prefix, services }: SimulatedCarrier,
  folder: string,
): Carrier {
  const entry = (reference: string) =>
    join(folder, prefix, `${reference.replace(/[^\w-]/g, '_')}.json`);
  const find = async (reference: string): Promise<Booking | null> => {
    const text = await readFile(entry(reference), 'utf8').catch(() => null);
    if (text === null) return null;
    const { tracking } = JSON.parse(text) as Booking;
    return { tracking };
  };
  return {
    name,
    quote: (parcel, currency) => services.map((s) => quoteFor(name, s, parcel, currency)),
    find,
    async book({ service }, reference) {
      const before = await find(reference);
      if (before) return before;
      const booking = { tracking: trackingFor(prefix, reference + service) };
      const path = entry(reference);
      await mkdir(dirname(path), { recursive: true });
      await writeFile(path, JSON.stringify({ ...booking, service }));
      return booking;
    },
    void: (reference) => rm(entry(reference), { force: true }),
  };
}
