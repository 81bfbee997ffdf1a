import { sql } from 'drizzle-orm';
import { saleOfLine } from '../order/lineSales';
import { lineSales } from '../schema';
import type { Minor } from '@/core/units';
import type { CarryStep } from './step';

interface SealedLine {
  lineId: number;
  workId: number;
  sizeKey: string;
  price: Minor;
  currency: string;
  channel: string;
  placedAt: string;
  postage: Minor;
  at: string;
}

/** What each sealed line left, by the prices kept when its order came in and by its channel. */
export const salesOfSealedLines: CarryStep = {
  name: 'sales of sealed lines',
  async run(tx) {
    const rows = await tx.all<SealedLine>(sql`
      SELECT l.id AS lineId, l.work_id AS workId, l.size_key AS sizeKey, l.price_minor AS price,
        l.currency AS currency, o.channel AS channel, o.placed_at AS placedAt,
        s.cost_minor AS postage, s.at AS at
      FROM sealed_parcel s JOIN parcel p ON p.id = s.parcel_id JOIN orders o ON o.id = p.order_id
      JOIN order_line l ON l.order_id = o.id
      WHERE NOT EXISTS (SELECT 1 FROM line_sale x WHERE x.line_id = l.id) ORDER BY l.id`);
    for (const { lineId, postage, at, ...line } of rows) {
      const sale = await saleOfLine(tx, { ...line, copies: 1 }, line.placedAt, null);
      await tx
        .insert(lineSales)
        .values({ lineId, ...sale, postage, currency: line.currency, at });
    }
  },
};
