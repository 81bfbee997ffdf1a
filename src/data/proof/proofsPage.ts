import { sql } from 'drizzle-orm';
import type { SQL } from 'drizzle-orm';
import type { ProofVerdict } from '@/core/proof';
import type { Minor } from '@/core/units';
import type { Reading } from '../reading';
import { listPage } from '../listPage';
import { idsFound, matchOf } from '../page';
import type { Asked, Page } from '../page';

export interface ProofLine {
  id: number;
  workId: number;
  work: string;
  sizeKey: string;
  paper: string;
  round: number;
  sentAt: string;
  backAt: string | null;
  cost: Minor;
  currency: string;
  verdict: ProofVerdict | null;
  seen: string | null;
  remarks: string;
}

const COLUMNS = {
  work: sql`w.title`,
  size: sql`r.size_key`,
  paper: sql`p.name`,
  round: sql`r.round`,
  sent: sql`r.sent_at`,
  back: sql`b.back_at`,
  cost: sql`r.cost_minor`,
  verdict: sql`b.verdict`,
};

const SELECTED = sql`
  r.id AS id, r.work_id AS workId, w.title AS work, r.size_key AS sizeKey, p.name AS paper,
  r.round AS round, r.sent_at AS sentAt, b.back_at AS backAt, r.cost_minor AS cost,
  r.currency AS currency, b.verdict AS verdict, b.seen AS seen, r.remarks AS remarks`;

const JOINED = sql`
  JOIN work w ON w.id = r.work_id JOIN paper p ON p.id = r.paper_id
  LEFT JOIN proof_return b ON b.round_id = r.id`;

const ROUNDS = sql`(SELECT coalesce(sum(rounds), 0) FROM proof_cost_now)`;

/** Rounds that are out, the oldest first. */
export const proofsOut = (db: Reading, limit: number): Promise<ProofLine[]> =>
  db.all(sql`SELECT ${SELECTED} FROM proof_out o CROSS JOIN proof_round r ON r.id = o.round_id ${JOINED}
    ORDER BY o.round_id LIMIT ${limit}`);

/** What is walked to sort rounds by what lies beside them. */
const WALKED: Record<string, SQL> = {
  work: sql`proof_round r JOIN work w ON w.id = r.work_id`,
  paper: sql`proof_round r JOIN paper p ON p.id = r.paper_id`,
  back: sql`proof_round r LEFT JOIN proof_return b ON b.round_id = r.id`,
  verdict: sql`proof_round r LEFT JOIN proof_return b ON b.round_id = r.id`,
};

/** One page of proof rounds: newest first unless asked otherwise. */
export function proofsPage(db: Reading, asked: Asked): Promise<Page<ProofLine>> {
  const match = matchOf(asked.find);
  const where =
    match === null
      ? sql`true`
      : sql`(r.work_id IN ${idsFound('work', match)} OR r.paper_id IN ${idsFound('paper', match)})`;
  return listPage<ProofLine>(db, asked, {
    select: SELECTED,
    from: sql`proof_round r ${JOINED}`,
    walk: { key: sql`r.id`, along: WALKED[asked.sort ?? ''] ?? sql`proof_round r` },
    countFrom: sql`proof_round r`,
    where,
    total: match === null ? ROUNDS : null,
    columns: COLUMNS,
    usual: sql`r.id DESC`,
  });
}

/** Rounds, and those that are out. */
export async function proofCounts(db: Reading): Promise<{ rounds: number; out: number }> {
  const [row] = await db.all<{ rounds: number; out: number }>(sql`
    SELECT ${ROUNDS} AS rounds, (SELECT count(*) FROM proof_out) AS "out"`);
  return row!;
}

/** What all rounds have cost, currency by currency. */
export const proofCosts = (db: Reading): Promise<{ currency: string; cost: Minor }[]> =>
  db.all(
    sql`SELECT currency, cost_minor AS cost FROM proof_cost_now ORDER BY cost_minor DESC`,
  );
