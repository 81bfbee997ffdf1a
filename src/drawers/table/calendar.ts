import { dayIn } from '@/core/days';
import { ordersDue, proofsOut, readSettings } from '@/data';
import { calendarText } from '@/documents';
import type { CalendarDay } from '@/documents';
import { now, studio } from '@/studio';

/** Days of one file at most. */
const MOST = 2000;

/** The days of the studio: when orders are promised to leave, and since when proofs are out. */
export async function studioDays(): Promise<string> {
  const db = (await studio()).db.read;
  const [settings, orders, proofs] = await Promise.all([
    readSettings(db),
    ordersDue(db, MOST),
    proofsOut(db, MOST),
  ]);
  const days: CalendarDay[] = [
    ...orders.map((o) => ({
      id: `order-${o.number}@glassine`,
      day: o.due,
      what: `Order ${o.number} leaves, to ${o.customer}`,
      note: o.more > 0 ? `${o.what} and ${o.more} more` : o.what,
    })),
    ...proofs.map((p) => ({
      id: `proof-${p.id}@glassine`,
      day: dayIn(p.sentAt, settings.timeZone),
      what: `Proof out: ${p.work}, round ${p.round}`,
      note: `on ${p.paper}; not back yet`,
    })),
  ];
  return calendarText(settings.studio || 'Glassine', days, now());
}
