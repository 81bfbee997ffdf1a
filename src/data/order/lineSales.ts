import { and, asc, eq } from 'drizzle-orm';
import { shareOut } from '@/core/order';
import { feesOf, lineSale } from '@/core/price';
import type { KeptPrice, KeptTerms, LineSale } from '@/core/price';
import type { Minor } from '@/core/units';
import type { Reading } from '../reading';
import { outThere } from '../consign/consignments';
import { channelTermsAt } from '../price/channelTerms';
import { prices } from '../schema';
import type { lineSales } from '../schema';
import type { Order, OrderLine } from './orders';

/** What one line of an order is, as far as its sale is reckoned. */
export interface LineSold {
  workId: number | null;
  sizeKey: string | null;
  copies: number;
  price: Minor;
  currency: string;
  channel: string;
}

/**
 * Cost and fees of a line by what was kept of its channel, and by the prices kept until its order
 * came in, else by the first one kept later. Goods have no reckoned cost.
 */
export async function saleOfLine(
  db: Reading,
  { workId, sizeKey, ...line }: LineSold,
  placedAt: string,
  terms: KeptTerms | null,
): Promise<LineSale> {
  if (workId === null || sizeKey === null) return lineSale(line, [], terms);
  const rows = await db
    .select()
    .from(prices)
    .where(and(eq(prices.workId, workId), eq(prices.sizeKey, sizeKey)))
    .orderBy(asc(prices.id));
  const until = rows.filter((p) => p.at <= placedAt);
  const kept = (until.length > 0 ? until : rows.slice(0, 1)).map((p): KeptPrice => ({
    channel: p.channel,
    currency: p.currency,
    cost: p.cost,
    fees: feesOf(p.values),
    at: p.at,
  }));
  return lineSale(line, kept, terms);
}

type Sale = Omit<typeof lineSales.$inferInsert, 'id' | 'at'>;

/** Agreed for this very print, it counts before whatever was kept of the channel, whenever that was. */
const BEFORE_ALL_ELSE = '9999-12-31';

/** What was agreed on where a numbered print hangs, for a sale that is made there; null elsewhere. */
async function lentTerms(
  db: Reading,
  { id, editionId, series, impression, currency }: Omit<OrderLine, 'quantity'>,
): Promise<KeptTerms | null> {
  if (editionId === null || series === null || impression === null) return null;
  const out = await outThere(db, { editionId, series, number: impression }, id);
  if (!out || out.consignment.currency !== currency) return null;
  return { terms: out.consignment.terms, at: BEFORE_ALL_ELSE };
}

/** What each line of a parcel left: cost, the channel's fees, and its share of the postage. */
export async function salesOf(
  db: Reading,
  { channel, placedAt }: Pick<Order, 'channel' | 'placedAt'>,
  lines: readonly OrderLine[],
  postage: Minor,
): Promise<Sale[]> {
  const shares = shareOut(
    postage,
    lines.map((l) => l.price),
  );
  return Promise.all(
    lines.map(async ({ quantity: copies, ...line }, i) => ({
      lineId: line.id,
      ...(await saleOfLine(
        db,
        { ...line, copies, channel },
        placedAt,
        (await lentTerms(db, line)) ??
          (await channelTermsAt(db, { channel, currency: line.currency }, placedAt)),
      )),
      postage: shares[i] as Minor,
      currency: line.currency,
    })),
  );
}
