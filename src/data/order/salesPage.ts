import { sql } from 'drizzle-orm';
import type { Minor } from '@/core/units';
import type { Reading } from '../reading';
import { listPage } from '../listPage';
import { wordsFound } from '../page';
import type { Asked, Page } from '../page';

/** What was sold and shipped of one work at one size (or of goods) through one channel, in one currency. */
export interface SalesLine {
  /** 0 for goods. */
  workId: number;
  work: string;
  sizeKey: string;
  channel: string;
  currency: string;
  /** Pieces that left and did not come back whole. */
  sold: number;
  /** Prices less what was paid back. */
  gross: Minor;
  /** Gross less cost, the channel's fees, and postage, as written down when each was sealed. */
  net: Minor;
  postage: Minor;
  /** Pieces for which no cost or no fees were reckoned; they are in no net. */
  unreckoned: number;
  /** Pieces whose fees are the channel's usual ones. */
  usualFees: number;
}

const COLUMNS = {
  work: sql`work`,
  size: sql`s.size_key`,
  channel: sql`s.channel`,
  sold: sql`s.sold`,
  gross: sql`s.gross_minor`,
  bar: sql`s.gross_minor`,
  net: sql`s.net_minor`,
};

/** One page of sales by work, size and channel: the largest gross first. */
export function salesPage(db: Reading, asked: Asked): Promise<Page<SalesLine>> {
  return listPage<SalesLine>(db, asked, {
    select: sql`s.work_id AS workId, coalesce(w.title, s.what) AS work, s.size_key AS sizeKey,
      s.channel AS channel, s.currency AS currency, s.sold AS sold, s.gross_minor AS gross,
      s.net_minor AS net, s.postage_minor AS postage, s.unreckoned AS unreckoned,
      s.usual_fees AS usualFees`,
    from: sql`sale_now s LEFT JOIN work w ON w.id = s.work_id`,
    countFrom: sql`sale_now s`,
    where: wordsFound(sql`s.work_id`, 'work', asked.find),
    columns: COLUMNS,
    usual: sql`s.gross_minor DESC`,
  });
}

export interface SalesSums {
  currency: string;
  sold: number;
  gross: Minor;
  net: Minor;
  postage: Minor;
  unreckoned: number;
}

/** All that was sold and shipped, currency by currency, the largest first; from a month (`YYYY-MM`) on if one is given. */
export const salesSums = (db: Reading, since = ''): Promise<SalesSums[]> =>
  db.all(sql`
    SELECT currency, sum(sold) AS sold, sum(gross_minor) AS gross, sum(net_minor) AS net,
      sum(postage_minor) AS postage, sum(unreckoned) AS unreckoned
    FROM sale_month WHERE month >= ${since} GROUP BY currency ORDER BY gross DESC`);

/** What left since an instant: pieces and their prices, currency by currency. */
export const salesSince = (
  db: Reading,
  since: string,
): Promise<{ currency: string; sold: number; gross: Minor }[]> =>
  db.all(sql`
    SELECT l.currency AS currency, sum(l.quantity) AS sold,
      sum(n.price_minor - n.refund_minor) AS gross
    FROM line_now n JOIN order_line l ON l.id = n.line_id
    WHERE n.shipped_at >= ${since} AND n.state <> 'returned'
    GROUP BY l.currency ORDER BY gross DESC`);
