import { CHANNELS, usualTerms } from '@/core/price';
import type { ExpenseKind } from '@/core/price';
import { minor } from '@/core/units';
import { addConsignment, addExpense, freeImpressions, pricesOf } from '@/data';
import type { Studio } from '@/studio/open/open';
import { daysAgo } from './tradeSteps';

const day = (days: number) => daysAgo(days, 10).slice(0, 10);

/** Prints on consignment in two galleries, one of which is to be visited soon. */
async function lent(open: Studio): Promise<void> {
  const { db } = open;
  const usual = usualTerms(
    CHANNELS.find((c) => c.id === 'gallery')!,
    'EUR',
  );
  const free = (await freeImpressions(db.read, {}, 400)).filter(
    (f) => f.kind === 'limited',
  );
  const lend = async (
    name: string,
    street: string,
    days: { out: number; fetch: number },
    chosen: typeof free,
    terms: { commission: number; framing: number },
  ) => {
    const prints: Parameters<typeof addConsignment>[2][number][] = [];
    for (const f of chosen) {
      const kept = (await pricesOf(db.read, f.workId)).find((p) => p.sizeKey === f.sizeKey);
      if (!kept) continue;
      const { editionId, series, number, workId } = f;
      prints.push({
        editionId,
        series,
        number,
        workId,
        price: kept.price,
        cost: kept.cost,
      });
    }
    if (prints.length === 0) return;
    const row = {
      ...{ channel: 'gallery', name, street, town: '4410 Saltmere', country: 'Ulverreach' },
      terms: {
        ...usual,
        ...{ commission: terms.commission, framing: minor(terms.framing) },
      },
      ...{ currency: 'EUR', outOn: day(days.out), fetchOn: day(days.fetch), note: '' },
      at: daysAgo(days.out, 11),
    };
    await db.write((tx) => addConsignment(tx, row, prints));
  };
  // The last numbers of an edition: the first ones are those that orders take.
  const last = [...free].reverse();
  const one = last.slice(0, 1);
  const others = last.filter((f) => f.editionId !== one[0]?.editionId).slice(0, 2);
  await lend('Gallery at the Weir', '3 Sluice Lane', { out: 40, fetch: -50 }, others, {
    ...{ commission: 0.4, framing: 1900 },
  });
  await lend('Harbour Rooms', '12 Quay Steps', { out: 21, fetch: -70 }, one, {
    ...{ commission: 0.45, framing: 0 },
  });
}

interface Paid {
  days: number;
  kind: ExpenseKind;
  channel: string;
  amount: number;
  note: string;
}

/** A site by the month, two fairs. */
async function paid(open: Studio): Promise<void> {
  const months = Array.from({ length: 11 }, (_, i) => 15 + 30 * i).reverse();
  const rows: readonly Paid[] = [
    ...months.map((days): Paid => ({
      days,
      kind: 'month',
      channel: 'own site',
      amount: 1900,
      note: '',
    })),
    {
      days: 152,
      kind: 'fairDay',
      channel: 'fair',
      amount: 13_500,
      note: 'Saltmere print fair',
    },
    { days: 64, kind: 'fairDay', channel: 'fair', amount: 11_800, note: 'Autumn market' },
  ];
  for (const { days, kind, channel, amount, note } of [...rows].sort(
    (a, b) => b.days - a.days,
  ))
    await open.db.write((tx) =>
      addExpense(tx, {
        ...{ kind, channel, note, workId: null, sizeKey: null, currency: 'EUR' },
        ...{ onDay: day(days), amount: minor(amount), at: daysAgo(days, 17) },
      }),
    );
}

/** What hangs elsewhere to be sold, and what was paid beside sales. */
export async function lentAndPaid(open: Studio): Promise<void> {
  await lent(open);
  await paid(open);
}
