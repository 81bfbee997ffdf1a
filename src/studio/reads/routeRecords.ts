import { dayIn, daysUntil } from '@/core/days';
import { promisedFor } from '@/core/price';
import type { Came } from '@/core/price';
import { arrivals, priceListsOf } from '@/data';
import type { Arrival, PriceListRow, Reading } from '@/data';

/** Of what came so many are looked at, the newest. */
const MOST = 200;

/** What one errand came to, beside what was promised, with its number and day. */
export interface CameErrand extends Came {
  errand: string;
  onDay: string;
  currency: string;
  note: string;
}

/** The list that held when something was handed over; undefined where there was none. */
const listAt = (lists: readonly PriceListRow[], at: string, day: string) =>
  lists.find((l) => l.at <= at && l.values.from <= day);

function cameOf(
  { manifest, handedAt, onDay, cost, currency, faulty, note }: Arrival,
  lists: readonly PriceListRow[],
  zone: string,
): CameErrand {
  const day = dayIn(handedAt, zone);
  const list = listAt(lists, handedAt, day);
  const batches = manifest.items.map((i) => ({
    ...{ width: i.widthMm, height: i.heightMm, paper: i.paper, quantity: i.quantity },
  }));
  return {
    ...{ errand: manifest.errand, onDay, currency, note, cost, faulty },
    quantity: batches.reduce((sum, b) => sum + b.quantity, 0),
    promisedCost: list?.currency === currency ? promisedFor(list.values, batches) : null,
    days: daysUntil(onDay, day),
    promisedDays: list?.values.days ?? null,
  };
}

/** What came of what was handed over, beside what the list of that day promised: by who printed. */
export async function routeRecords(
  db: Reading,
  zone: string,
): Promise<Map<string, CameErrand[]>> {
  const came = await arrivals(db, { limit: MOST });
  const found = new Map<string, CameErrand[]>();
  for (const name of new Set(came.map((c) => c.name))) {
    const lists = await priceListsOf(db, name);
    const own = came.filter((c) => c.name === name);
    found.set(
      name,
      own.map((c) => cameOf(c, lists, zone)),
    );
  }
  return found;
}
