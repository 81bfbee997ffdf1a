import { inArray, sql } from 'drizzle-orm';
import type { SQL } from 'drizzle-orm';
import type { Reading } from '../reading';
import { cropChoicesNow } from '../size/sizes';
import type { SizeEvent } from '../size/sizes';
import { asMaster, masterColumns, readingNow } from '../capture/masters';
import type { Master } from '../capture/masters';
import type { Work } from './works';
import { files, masters, readings, sizeEvents, works } from '../schema';
import type { JobRow } from '../running/jobs';
import { masterNow, sizeNow } from '../schema';
import { eq, and } from 'drizzle-orm';

/** What the database can count of a work; judgements are made above. */
export interface CountedWork {
  work: Work;
  master: Master | undefined;
  /** State of the newest reading of its master. */
  reading: JobRow['state'] | null;
  offered: SizeEvent[];
  printFiles: number;
  printFilesFailed: number;
  proofsOut: number;
  proofsApproved: number;
  editions: number;
  numbersLeft: number;
  priced: number;
  finished: number;
  ordersOpen: number;
  ordersLate: number;
  ordersShipped: number;
}

const counts = (today: string, ids: SQL) => sql`
  SELECT w.id AS id,
    (SELECT state FROM job j WHERE j.work_id = w.id AND j.kind = 'read' ORDER BY j.id DESC LIMIT 1) AS reading,
    (SELECT count(*) FROM print_file p WHERE p.work_id = w.id) AS printFiles,
    (SELECT count(*) FROM print_file p WHERE p.work_id = w.id AND EXISTS
      (SELECT 1 FROM json_each(p.checks) c WHERE NOT (c.value ->> 'passed'))) AS printFilesFailed,
    (SELECT count(*) FROM proof_round r JOIN proof_out o ON o.round_id = r.id WHERE r.work_id = w.id) AS proofsOut,
    (SELECT count(*) FROM proof_round r JOIN proof_return b ON b.round_id = r.id
      WHERE r.work_id = w.id AND b.verdict = 'approved') AS proofsApproved,
    (SELECT count(*) FROM edition e WHERE e.work_id = w.id) AS editions,
    (SELECT coalesce(sum(CASE n.kind WHEN 'open' THEN 1 ELSE n.size - n."out" END), 0)
      FROM edition e JOIN edition_now n ON n.edition_id = e.id WHERE e.work_id = w.id) AS numbersLeft,
    (SELECT count(*) FROM price_now p WHERE p.work_id = w.id) AS priced,
    EXISTS (SELECT 1 FROM finish f WHERE f.work_id = w.id) AS finished,
    (SELECT count(DISTINCT l.order_id) FROM line_now l WHERE l.work_id = w.id AND l.state = 'open') AS ordersOpen,
    (SELECT count(DISTINCT l.order_id) FROM line_now l JOIN order_now n ON n.order_id = l.order_id
      WHERE l.work_id = w.id AND l.state = 'open' AND n.due_on < ${today}) AS ordersLate,
    (SELECT count(*) FROM line_now l WHERE l.work_id = w.id AND l.state = 'shipped') AS ordersShipped
  FROM work w WHERE w.id IN ${ids}`;

/** The given works as they stand, in the given order. `today` is an ISO day. */
export async function countedWorks(
  db: Reading,
  ids: number[],
  today: string,
): Promise<CountedWork[]> {
  if (ids.length === 0) return [];
  const [rows, counted, taken, sizes, crops] = await Promise.all([
    db.select().from(works).where(inArray(works.id, ids)),
    db.all<Omit<CountedWork, 'work' | 'master' | 'offered'> & { id: number }>(
      counts(today, sql`${ids}`),
    ),
    db
      .select(masterColumns)
      .from(masterNow)
      .innerJoin(masters, eq(masters.id, masterNow.masterId))
      .innerJoin(files, eq(files.sha256, masters.sha256))
      .leftJoin(readings, readingNow)
      .where(inArray(masterNow.workId, ids)),
    db
      .select({ event: sizeEvents })
      .from(sizeNow)
      .innerJoin(sizeEvents, eq(sizeEvents.id, sizeNow.eventId))
      .where(and(inArray(sizeNow.workId, ids), eq(sizeNow.kind, 'offered'))),
    cropChoicesNow(db, ids),
  ]);
  const byId = new Map(rows.map((w) => [w.id, w]));
  const countOf = new Map(counted.map((c) => [c.id, c]));
  const masterOf = new Map(
    taken.map((row): [number, Master] => [row.master.workId, asMaster(row, crops)]),
  );
  return ids.flatMap((id) => {
    const work = byId.get(id);
    const count = countOf.get(id);
    if (!work || !count) return [];
    return [
      {
        ...count,
        work,
        master: masterOf.get(id),
        offered: sizes.map((s) => s.event).filter((e) => e.workId === id),
      },
    ];
  });
}
