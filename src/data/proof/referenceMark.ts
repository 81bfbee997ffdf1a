import { sql } from 'drizzle-orm';
import type { Reading } from '../reading';

/** The last line of the log book: whatever says that a reference holds no more, a line tells of. */
export async function lastLine(db: Reading): Promise<number> {
  const [row] = await db.all<{ id: number }>(
    sql`SELECT coalesce((SELECT max(id) FROM log_line), 0) AS id`,
  );
  return row!.id;
}

/** Works with an approved proof of which a line of the log book tells after `since`, by number; 0: all. */
export const referencedSince = async (db: Reading, since: number): Promise<number[]> => {
  const told =
    since === 0
      ? sql``
      : sql`AND r.work_id IN (SELECT work_id FROM log_line WHERE id > ${since})`;
  const rows = await db.all<{ id: number }>(sql`
    SELECT DISTINCT r.work_id AS id FROM proof_round r JOIN proof_return b ON b.round_id = r.id
    WHERE b.verdict = 'approved' ${told} ORDER BY 1`);
  return rows.map(({ id }) => id);
};

/** The last word about what all references are held against: profiles of papers, printers, their inks. */
export async function printersSaid(db: Reading): Promise<string> {
  const [row] = await db.all<{ said: string }>(sql`
    SELECT coalesce((SELECT max(id) FROM profile_use), 0) || ' '
      || coalesce((SELECT max(id) FROM route), 0) AS said`);
  return row!.said;
}

/** The master of now of some works, and their sizes on offer. */
export async function mastersAndSizes(
  db: Reading,
  workIds: readonly number[],
): Promise<{ workId: number; masterId: number | null; offered: string[] }[]> {
  const rows = await db.all<{
    workId: number;
    masterId: number | null;
    offered: string;
  }>(sql`
    SELECT w.id AS workId, m.master_id AS masterId,
      (SELECT json_group_array(s.size_key) FROM size_now s
        WHERE s.work_id = w.id AND s.kind = 'offered') AS offered
    FROM work w LEFT JOIN master_now m ON m.work_id = w.id
    WHERE w.id IN ${[...workIds]} ORDER BY w.id`);
  return rows.map((r) => ({ ...r, offered: JSON.parse(r.offered) as string[] }));
}
