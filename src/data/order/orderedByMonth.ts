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
