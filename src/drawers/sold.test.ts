import fc from 'fast-check';
import { inProcess, SIZE } from '../../e2e/support/inProcess';
import type { InProcess } from '../../e2e/support/inProcess';
import { impressionLine, orderOf } from '../../e2e/support/orders';
import {
  CHANNELS,
  CHANNEL_IDS,
  costOfImpression,
  feesOf,
  saleAt,
  startPrice,
  usualTerms,
} from '@/core/price';
import type { ChannelTerms } from '@/core/price';
import { minor } from '@/core/units';
import {
  addChannelTerms,
  addConsignment,
  addExpense,
  addPrice,
  getOrder,
  printsOut,
  takeBackExpense,
} from '@/data';
import { loadAccounts } from '@/drawers/accounts/view';
import { noteReturn } from '@/drawers/orders/bench/lineActions';
import { give } from '@/drawers/orders/bench/parcelActions';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

const SOLD = 40;
let here: InProcess;
beforeAll(async () => {
  here = await inProcess({ editionOf: 60, numbered: SOLD, orders: 0 });
});
afterAll(() => here.end());

/** Whole numbers to the nearest, halves up, of a / b; by long division, not by floats. */
const nearest = (a: bigint, b: bigint): number => Number((2n * a + b) / (2n * b));

/** What the test itself says that a channel takes of a price: thousandths, fixed, listing, framing. */
function taken(price: number, t: ChannelTerms): number {
  const mille = [t.commission, t.payment, t.advertising].map((s) =>
    BigInt(Math.round(s * 10_000)),
  );
  const share = mille.reduce((a, b) => a + b, 0n);
  return nearest(
    BigInt(price) * share + BigInt(t.fixed + t.listing + t.framing) * 10_000n,
    10_000n,
  );
}

interface Sold {
  channel: string;
  price: number;
  refund: number | null;
  how: 'whole' | 'damaged';
  fees: number;
  cost: number;
}

/** What stays of one: less fees in the measure that was not paid back, less cost unless it is here again. */
function left({ price, refund, how, fees, cost }: Sold): number {
  if (refund === null) return price - fees - cost;
  const kept = nearest(BigInt(fees) * BigInt(price - refund), BigInt(price));
  return price - refund - kept - (how === 'whole' ? 0 : cost);
}

const channelId = fc.constantFrom(...CHANNEL_IDS.filter((c) => c !== 'print on demand'));
const step = fc.record({
  channel: channelId,
  price: fc.integer({ min: 1, max: 250_000 }),
  terms: fc.option(
    fc.record({
      commission: fc.integer({ min: 0, max: 6000 }),
      payment: fc.integer({ min: 0, max: 900 }),
      fixed: fc.integer({ min: 0, max: 90 }),
      listing: fc.integer({ min: 0, max: 90 }),
      framing: fc.integer({ min: 0, max: 2000 }),
    }),
  ),
  refund: fc.option(fc.double({ min: 0, max: 1, noNaN: true }), { freq: 3 }),
  how: fc.constantFrom('whole' as const, 'damaged' as const),
  beside: fc.option(fc.integer({ min: 1, max: 30_000 })),
  wrongly: fc.boolean(),
});

/** An instant after the last. */
const clock = { minute: 0 };
const later = () => {
  clock.minute += 1;
  return new Date(Date.UTC(2026, 10, 3, 9, clock.minute)).toISOString();
};

it('accounts are the sum of the sales, to the cent, through whatever was sold', async () => {
  const { db } = here.open;
  const known = { printing: minor(300), paper: minor(500), capture: null, proofs: null };
  const values = startPrice({ currency: 'EUR', ...known, editionSize: 60 });
  const cost = costOfImpression(values).total;
  const { fees: of, net } = saleAt(minor(9000), cost, feesOf(values));
  await db.write((tx) =>
    addPrice(tx, {
      ...{ workId: here.workId, sizeKey: SIZE, channel: values.channel, values },
      ...{ currency: 'EUR', cost, fees: of, price: minor(9000), net },
      at: '2026-11-02T12:00:00.000Z',
    }),
  );
  const [paper] = await here.rows<{ id: number }>('SELECT id FROM paper');
  const now = new Map<string, ChannelTerms>();
  const sold: Sold[] = [];
  const beside: { channel: string; amount: number }[] = [];
  let number = 0;
  await fc.assert(
    fc.asyncProperty(fc.array(step, { minLength: 1, maxLength: 3 }), async (steps) => {
      for (const s of steps) {
        if (number >= SOLD) continue;
        number += 1;
        if (s.terms) {
          const { commission, payment, fixed, listing, framing } = s.terms;
          const terms = {
            ...usualTerms(
              CHANNELS.find((c) => c.id === s.channel)!,
              'EUR',
            ),
            ...{ commission: commission / 10_000, payment: payment / 10_000 },
            ...{ fixed: minor(fixed), listing: minor(listing), framing: minor(framing) },
          };
          now.set(s.channel, terms);
          await db.write((tx) =>
            addChannelTerms(tx, {
              channel: s.channel,
              terms,
              currency: 'EUR',
              at: later(),
            }),
          );
        }
        const of = { workId: here.workId, sizeKey: SIZE, paperId: paper!.id };
        const line = impressionLine({
          ...of,
          editionId: here.editionId,
          impression: number,
        });
        const placed = later();
        const order = await db.write((tx) =>
          orderOf(
            tx,
            { ...line, price: minor(s.price) },
            { at: placed, name: 'A', street: '1 Row', channel: s.channel },
          ),
        );
        const found = (await getOrder(db.read, order.number))!;
        const parcel = String(found.parcels[0]!.id);
        expect(await give({ order: order.number, parcel })).toMatchObject({ ok: true });
        const terms =
          now.get(s.channel) ??
          usualTerms(
            CHANNELS.find((c) => c.id === s.channel)!,
            'EUR',
          );
        // Usual fees are the shares and the fixed fee; terms that were kept are all of them.
        const fees = now.has(s.channel)
          ? taken(s.price, terms)
          : taken(s.price, {
              ...terms,
              ...{ listing: minor(0), framing: minor(0), advertising: 0 },
            });
        const refund = s.refund === null ? null : Math.round(s.refund * s.price);
        sold.push({
          channel: s.channel,
          price: s.price,
          refund,
          how: s.how,
          fees,
          cost: cost,
        });
        if (refund !== null) {
          const answer = await noteReturn({
            order: order.number,
            line: String(found.lines[0]!.id),
            how: s.how,
            refund: (refund / 100).toFixed(2),
            reason: '',
          });
          expect(answer).toMatchObject({ ok: true });
        }
        if (s.beside !== null) {
          await db.write((tx) =>
            addExpense(tx, {
              ...{ kind: 'fairDay', channel: s.channel, workId: null, sizeKey: null },
              ...{ onDay: '2026-11-03', amount: minor(s.beside!), currency: 'EUR' },
              ...{ note: '', at: later() },
            }),
          );
          const [last] = await here.rows<{ id: number }>(
            'SELECT max(id) AS id FROM expense',
          );
          if (s.wrongly) await db.write((tx) => takeBackExpense(tx, last!.id, later()));
          else beside.push({ channel: s.channel, amount: s.beside });
        }
      }
      const { sums, channels, page } = await loadAccounts({});
      const total = (list: number[]) => list.reduce((a, b) => a + b, 0);
      const gross = (s: Sold) => s.price - (s.refund ?? 0);
      expect(sums).toHaveLength(1);
      expect(sums[0]).toMatchObject({
        gross: total(sold.map(gross)),
        net: total(sold.map(left)),
        unreckoned: 0,
        sold: sold.filter((s) => s.refund === null || s.how === 'damaged').length,
      });
      expect(total(page.rows.map((r) => r.net))).toBe(sums[0]!.net);
      for (const c of channels) {
        const own = sold.filter((s) => s.channel === c.channel);
        const paid = beside.filter((b) => b.channel === c.channel).map((b) => b.amount);
        expect([c.channel, c.net, c.beside, c.left]).toEqual([
          c.channel,
          total(own.map(left)),
          total(paid),
          total(own.map(left)) - total(paid),
        ]);
      }
      expect(total(channels.map((c) => c.gross))).toBe(sums[0]!.gross);
    }),
    { numRuns: 12, seed: 20261130 },
  );
  expect(number).toBeGreaterThan(14);
}, 120_000);

it('what hangs in a gallery is sold by what was agreed for it, and is out no more', async () => {
  const { db } = here.open;
  const [{ n: first }] = (await here.rows<{ n: number }>(
    "SELECT min(number) AS n FROM impression_now WHERE state = 'numbered'",
  )) as [{ n: number }];
  const print = { editionId: here.editionId, series: 'number' as const, number: first };
  const agreed = {
    ...usualTerms(
      CHANNELS.find((c) => c.id === 'gallery')!,
      'EUR',
    ),
    ...{ commission: 0.45, framing: minor(700) },
  };
  await db.write((tx) =>
    addConsignment(
      tx,
      {
        ...{ channel: 'gallery', name: 'Weir', street: '3 Lane', town: 'M', country: 'U' },
        ...{ terms: agreed, currency: 'EUR', note: '', at: later() },
        ...{ outOn: '2026-11-03', fetchOn: '2027-01-03' },
      },
      [{ ...print, price: minor(12_000), cost: minor(900), workId: here.workId }],
    ),
  );
  // What is kept of galleries since then changes nothing of it.
  await db.write((tx) =>
    addChannelTerms(tx, {
      ...{ channel: 'gallery', currency: 'EUR', at: later() },
      terms: { ...agreed, commission: 0.6 },
    }),
  );
  const [paper] = await here.rows<{ id: number }>('SELECT id FROM paper');
  const of = { workId: here.workId, sizeKey: SIZE, paperId: paper!.id };
  const line = impressionLine({ ...of, editionId: here.editionId, impression: first });
  const order = await db.write((tx) =>
    orderOf(tx, { ...line, price: minor(12_000) }, { at: later(), channel: 'gallery' }),
  );
  const parcel = String((await getOrder(db.read, order.number))!.parcels[0]!.id);
  expect(await printsOut(db.read, { limit: 9 })).toHaveLength(1);
  expect(await give({ order: order.number, parcel })).toMatchObject({ ok: true });
  expect(
    await here.rows('SELECT fees_minor AS fees FROM line_sale ORDER BY id DESC LIMIT 1'),
  ).toEqual([{ fees: 0.45 * 12_000 + 700 }]);
  expect(await printsOut(db.read, { limit: 9 })).toEqual([]);
  expect(await here.rows('SELECT kind FROM consigned_end')).toEqual([{ kind: 'sold' }]);
});
