import { sql } from 'drizzle-orm';
import type { Reading } from '../reading';

/** What was ordered of a size of a work in each month (`YYYY-MM`) in which anything was, by time; what was called off is not in it. */
export const orderedByMonth = (
  db: Reading,
  workId: number,
  sizeKey: string,
): Promise<{ month: string; pieces: number }[]> =>
  db.all(sql`
    SELECT substr(o.placed_at, 1, 7) AS month, sum(l.quantity) AS pieces
    FROM line_now n JOIN order_line l ON l.id = n.line_id JOIN orders o ON o.id = l.order_id
    WHERE n.work_id = ${workId} AND n.size_key = ${sizeKey} AND n.state <> 'removed'
    GROUP BY 1 ORDER BY 1`);

/** Pieces that were ordered through each channel since a day, of all works and goods; what was called off is not in it. */
export const orderedByChannel = (
  db: Reading,
  since: string,
): Promise<{ channel: string; pieces: number }[]> =>
  db.all(sql`
    SELECT o.channel AS channel, sum(l.quantity) AS pieces
    FROM orders o JOIN order_line l ON l.order_id = o.id JOIN line_now n ON n.line_id = l.id
    WHERE o.placed_at >= ${since} AND n.state <> 'removed' GROUP BY 1`);
