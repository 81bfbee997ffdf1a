import { sql } from 'drizzle-orm';
import type { Minor } from '@/core/units';
import type { Reading } from '../reading';

/** What is known of one size of a work: on offer, its price in force, the paper last approved for it. */
export interface SizeOfWork {
  workId: number;
  sizeKey: string;
  offered: boolean;
  price: Minor | null;
  currency: string | null;
  paperId: number | null;
}

/** Every size of the given works that was ever offered, in the order of the offers. */
export async function sizesOfWorks(
  db: Reading,
  workIds: readonly number[],
): Promise<SizeOfWork[]> {
  if (workIds.length === 0) return [];
  const rows = await db.all<Omit<SizeOfWork, 'offered'> & { offered: number }>(sql`
    SELECT n.work_id AS workId, n.size_key AS sizeKey, n.kind = 'offered' AS offered,
      p.price_minor AS price, p.currency AS currency,
      (SELECT r.paper_id FROM proof_round r JOIN proof_return b ON b.round_id = r.id
        WHERE r.work_id = n.work_id AND r.size_key = n.size_key AND b.verdict = 'approved'
        ORDER BY b.back_at DESC, r.id DESC LIMIT 1) AS paperId
    FROM size_now n
    LEFT JOIN price_now pn ON pn.work_id = n.work_id AND pn.size_key = n.size_key
    LEFT JOIN price p ON p.id = pn.price_id
    WHERE n.work_id IN ${workIds} ORDER BY n.event_id`);
  return rows.map((r) => ({ ...r, offered: r.offered === 1 }));
}
