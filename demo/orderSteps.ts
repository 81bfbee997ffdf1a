import { PLAIN_WEEK, dayIn, promisedDay } from '@/core/days';
import { grams, minor, mm } from '@/core/units';
import {
  addOrderEvent,
  addOrderLine,
  getOrder,
  heldBy,
  readSettings,
  releaseImpression,
  returnImpression,
  shipParcel,
  takeOrder,
} from '@/data';
import type { NewLine } from '@/data';
import { layNewLines } from '@/drawers/orders/bench/layByRule';
import { reckonOf } from '@/drawers/orders/bench/reckonParcel';
import { sealNow } from '@/drawers/orders/bench/sealing';
import type { Studio } from '@/studio/open/open';
import { CUSTOMERS } from './scenario';
import { daysAgo } from './tradeSteps';
import { SALT, SMALL, WEED } from './year';

export type UpTo = 'placed' | 'counted' | 'weighedShort' | 'sealed' | 'shipped';

export interface OrderSeed {
  workId: number;
  sizeKey: string;
  paperId: number;
  editionId: number;
  impression: number;
  channel: string;
  price: number;
  placed: number;
  /** How far it has come. */
  upTo: UpTo;
}

const numbered = (seed: Omit<OrderSeed, 'channel' | 'placed' | 'upTo'>): NewLine => ({
  kind: 'impression',
  workId: seed.workId,
  sizeKey: seed.sizeKey,
  paperId: seed.paperId,
  editionId: seed.editionId,
  series: 'number',
  impression: seed.impression,
  name: null,
  mass: null,
  thickness: null,
  quantity: 1,
  price: minor(seed.price),
  currency: 'EUR',
});

/** Takes an order with its lines, laid into parcels by the rule; answers its number. */
async function taken(
  open: Studio,
  [first, ...others]: [NewLine, ...NewLine[]],
  { placed, channel, index }: { placed: number; channel: string; index: number },
  said: { wish?: string; note?: string } = {},
): Promise<string> {
  const [name, street, town, country] = CUSTOMERS[index % CUSTOMERS.length]!;
  const placedAt = daysAgo(placed, 18);
  return open.db.write(async (tx) => {
    const order = {
      customer: { name, street, town, country },
      channel,
      wish: said.wish ?? '',
      note: said.note ?? '',
      extras: [],
      placedAt,
      dueOn: promisedDay(dayIn(placedAt, 'UTC'), 3, PLAIN_WEEK),
    };
    const row = await takeOrder(tx, order, first);
    for (const line of others) await addOrderLine(tx, row, line, placedAt);
    await layNewLines(tx, open.home, row.number, placedAt);
    return row.number;
  });
}

/** An order of unnumbered prints of one size. */
export const unnumberedOrder = (
  open: Studio,
  of: {
    workId: number;
    sizeKey: string;
    paperId: number;
    price: number;
    quantity: number;
    placed: number;
    index: number;
  },
): Promise<string> => {
  const { price, quantity, placed, index, ...what } = of;
  const line: NewLine = {
    ...what,
    kind: 'openPrint',
    editionId: null,
    series: null,
    impression: null,
    name: null,
    mass: null,
    thickness: null,
    quantity,
    price: minor(price * quantity),
    currency: 'EUR',
  };
  return taken(open, [line], { placed, channel: 'own site', index });
};

/** Counts, weighs, seals and ships the parcels of an order, as far as is said. */
async function packed(
  open: Studio,
  number: string,
  upTo: UpTo,
  { at, shippedAt, index }: { at: string; shippedAt: string; index: number },
  only?: number,
): Promise<void> {
  if (upTo === 'placed') return;
  const order = async () => (await getOrder(open.db.read, number))!;
  for (const { id, place } of (await order()).parcels) {
    if (only !== undefined && place !== only) continue;
    const parcel = async () => (await order()).parcels.find((p) => p.id === id)!;
    const reckoned = await reckonOf(open.db.read, open.home, await order(), await parcel());
    const row = await order();
    for (const count of ['first', 'second'] as const)
      for (const part of reckoned.parcel!.parts) {
        if (upTo === 'counted' && count === 'second') continue;
        const short = upTo === 'weighedShort' && count === 'second';
        if (short && part.part === 'certificate') continue;
        const payload = { line: part.key, count, on: true };
        await open.db.write((tx) =>
          addOrderEvent(tx, row, { kind: 'tick', payload, parcelId: id }, at),
        );
      }
    if (upTo === 'counted') continue;
    const off = upTo === 'weighedShort' ? 31 : -(index % 4);
    const weight = Math.round(reckoned.parcel!.total - off);
    const payload = { grams: weight, parcel: place };
    await open.db.write((tx) =>
      addOrderEvent(tx, row, { kind: 'weighed', payload, parcelId: id }, at),
    );
    if (upTo === 'weighedShort') continue;
    const { carrier, service, cost } = reckoned.quotes[0]!;
    const tools = { studio: open, settings: await readSettings(open.db.read), at };
    await sealNow(tools, { order: number, parcel: id, carrier, service, cost });
    if (upTo === 'sealed') continue;
    await open.db.write(async (tx) =>
      shipParcel(tx, (await getOrder(tx, number))!, await parcel(), {
        at: shippedAt,
        on: dayIn(shippedAt, 'UTC'),
      }),
    );
  }
}

export async function order(open: Studio, seed: OrderSeed, index: number): Promise<void> {
  const { placed, channel, upTo } = seed;
  const number = await taken(open, [numbered(seed)], { placed, channel, index });
  const before = Math.max(0, placed - 1);
  const days = { at: daysAgo(before, 7), shippedAt: daysAgo(before, 15), index };
  await packed(open, number, upTo, days);
}

const cards = (quantity: number): NewLine => ({
  kind: 'goods',
  workId: null,
  sizeKey: null,
  paperId: null,
  editionId: null,
  series: null,
  impression: null,
  name: 'set of eight cards',
  mass: grams(85),
  thickness: mm(6),
  quantity,
  price: minor(1800 * quantity),
  currency: 'EUR',
});

/**
 * Orders that show what an order can be: four lines of three works in two parcels, one of them
 * sealed; one that was cancelled; one that came back.
 */
export async function mixedOrders(
  open: Studio,
  works: Map<string, number>,
  papers: number[],
): Promise<void> {
  const of = (name: string) => works.get(name)!;
  const free = async (workId: number, sizeKey: string) => {
    const [row] = await open.db.read.all<{ editionId: number; number: number }>(
      `SELECT i.edition_id AS editionId, i.number AS number FROM impression_now i
       JOIN edition e ON e.id = i.edition_id
       WHERE e.work_id = ${workId} AND e.size_key = '${sizeKey}' AND i.series = 'number'
         AND i.state = 'numbered' ORDER BY i.number LIMIT 1`,
    );
    return row!;
  };
  const line = async (name: string, sizeKey: string, paper: number, price: number) => {
    const { editionId, number } = await free(of(name), sizeKey);
    const paperId = papers[paper]!;
    const workId = of(name);
    return numbered({ workId, sizeKey, paperId, editionId, impression: number, price });
  };
  const mixed = await taken(
    open,
    [
      await line('saltPans', SALT, 0, 14500),
      await line('featherWeed', WEED, 0, 9500),
      await line('pearBranch', SMALL, 4, 6500),
      cards(2),
    ],
    { placed: 1, channel: 'own site', index: 3 },
    { wish: 'A birthday on the 14th: no price in the parcel, please.', note: 'Ribbon.' },
  );
  const at = daysAgo(0, 7);
  await packed(open, mixed, 'sealed', { at, shippedAt: at, index: 1 }, 1);

  const given = await taken(open, [await line('tideLines', WEED, 0, 9000)], {
    placed: 12,
    channel: 'own site',
    index: 7,
  });
  await open.db.write(async (tx) => {
    const row = (await getOrder(tx, given))!;
    const cancelledAt = daysAgo(11, 9);
    for (const l of row.lines) await releaseImpression(tx, heldBy(l, row, cancelledAt)!);
    const payload = { reason: 'moved house, no wall for it' };
    await addOrderEvent(tx, row, { kind: 'cancelled', payload }, cancelledAt);
  });

  const back = await taken(open, [await line('saltPans', SMALL, 0, 7000)], {
    placed: 40,
    channel: 'own site',
    index: 5,
  });
  await packed(open, back, 'shipped', {
    at: daysAgo(39, 8),
    shippedAt: daysAgo(39, 15),
    index: 2,
  });
  await open.db.write(async (tx) => {
    const row = (await getOrder(tx, back))!;
    const [only] = row.lines;
    const backAt = daysAgo(28, 11);
    await returnImpression(tx, heldBy(only!, row, backAt)!, 'damaged');
    const payload = {
      how: 'damaged',
      refund: only!.price,
      reason: 'corner crushed on the way',
      currency: 'EUR',
    };
    await addOrderEvent(tx, row, { kind: 'returned', payload, line: only! }, backAt);
  });
}
