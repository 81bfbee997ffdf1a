import { and, desc, eq, isNull, or, sql } from 'drizzle-orm';
import type { Series } from '@/core/edition';
import type { Minor } from '@/core/units';
import type { Reading, Writing } from '../reading';
import { Refused } from '../refused';
import { record } from '../log/log';
import { consignedEnds, consignedPrints, consignments } from '../schema';

export type ConsignmentRow = typeof consignments.$inferSelect;
type PrintRow = typeof consignedPrints.$inferSelect;

/** A numbered print. */
export interface Numbered {
  editionId: number;
  series: Series;
  number: number;
}

/** A print that is out with somebody, and on what terms. */
export interface OutThere {
  id: number;
  consignment: ConsignmentRow;
}

/**
 * Where a numbered print is out to be sold; null where it is not. With a line of an order also one
 * that this line ended: it was sold there.
 */
export async function outThere(
  db: Reading,
  { editionId, series, number }: Numbered,
  lineId: number | null = null,
): Promise<OutThere | null> {
  const [row] = await db
    .select({ id: consignedPrints.id, consignment: consignments })
    .from(consignedPrints)
    .innerJoin(consignments, eq(consignments.id, consignedPrints.consignmentId))
    .leftJoin(consignedEnds, eq(consignedEnds.consignedId, consignedPrints.id))
    .where(
      and(
        eq(consignedPrints.editionId, editionId),
        eq(consignedPrints.series, series),
        eq(consignedPrints.impression, number),
        lineId === null
          ? isNull(consignedEnds.id)
          : or(isNull(consignedEnds.id), eq(consignedEnds.lineId, lineId)),
      ),
    )
    .limit(1);
  return row ?? null;
}

/** Throws Refused `lentOut` for a print that is out, unless it is through the channel it hangs in. */
export async function refuseLentOut(
  db: Reading,
  of: Numbered,
  channel: string | null,
): Promise<void> {
  const out = await outThere(db, of);
  if (out && out.consignment.channel !== channel) throw new Refused('lentOut');
}

const numberOf = (n: number) => `C-${String(n).padStart(4, '0')}`;

/**
 * Lends numbered prints out to be sold; answers its number. Throws Refused `notFree` where one is
 * not here and free, `lentOut` where it is out already.
 */
export async function addConsignment(
  tx: Writing,
  row: Omit<ConsignmentRow, 'id' | 'number'>,
  prints: readonly (Numbered & { price: Minor; cost: Minor | null; workId: number })[],
): Promise<string> {
  const { at, name } = row;
  for (const p of prints) {
    const [free] = await tx.all(
      sql`SELECT 1 FROM impression_now WHERE edition_id = ${p.editionId}
        AND series = ${p.series} AND number = ${p.number} AND state = 'numbered'`,
    );
    if (!free) throw new Refused('notFree');
    await refuseLentOut(tx, p, null);
  }
  const [last] = await tx
    .select({ id: consignments.id })
    .from(consignments)
    .orderBy(desc(consignments.id))
    .limit(1);
  const number = numberOf(1 + (last?.id ?? 0));
  const told = prints.map(({ workId, editionId, series, number: impression, price }) => ({
    at,
    what: 'consignment.out' as const,
    workId,
    editionId,
    series,
    impression,
    detail: { number, to: name, price, currency: row.currency, fetchOn: row.fetchOn },
  }));
  const { id } = await record(tx, consignments, { ...row, number }, told);
  for (const { editionId, series, number: impression, price, cost } of prints)
    await tx.insert(consignedPrints).values({
      ...{ consignmentId: id, editionId, series, impression },
      ...{ price, cost, at },
    });
  return number;
}

/** A print of a consignment as it stands. */
export interface LentPrint extends Omit<PrintRow, 'consignmentId' | 'at'> {
  workId: number;
  work: string;
  sizeKey: string;
  kind: 'limited' | 'open';
  of: number;
  aps: number;
  /** Null while it is out. */
  end: 'sold' | 'fetched' | null;
  endedAt: string | null;
  /** Number of the order that it is in or went with. */
  order: string | null;
}

export interface Consignment extends ConsignmentRow {
  prints: LentPrint[];
}

/** Prints of consignments, of one or of all. */
async function printsOf(db: Reading, consignmentId: number | null) {
  return db.all<LentPrint & { consignmentId: number }>(sql`
    SELECT c.id AS id, c.consignment_id AS consignmentId, c.edition_id AS editionId,
      c.series AS series, c.impression AS impression, c.price_minor AS price, c.cost_minor AS cost,
      e.work_id AS workId, w.title AS work, coalesce(i.size_key, e.size_key) AS sizeKey,
      n.kind AS kind, n.size AS "of", n.artists_proofs AS aps,
      d.kind AS "end", d.at AS endedAt, coalesce(o.number, nullif(i.order_number, '')) AS "order"
    FROM consigned_print c
    JOIN edition e ON e.id = c.edition_id JOIN edition_now n ON n.edition_id = e.id
    JOIN work w ON w.id = e.work_id
    LEFT JOIN impression_now i ON i.edition_id = c.edition_id AND i.series = c.series AND i.number = c.impression
    LEFT JOIN consigned_end d ON d.consigned_id = c.id
    LEFT JOIN order_line l ON l.id = d.line_id LEFT JOIN orders o ON o.id = l.order_id
    WHERE ${consignmentId === null ? sql`true` : sql`c.consignment_id = ${consignmentId}`}
    ORDER BY c.id`);
}

/** Every consignment with its prints, the newest first. */
export async function listConsignments(db: Reading): Promise<Consignment[]> {
  const [rows, prints] = await Promise.all([
    db.select().from(consignments).orderBy(desc(consignments.id)),
    printsOf(db, null),
  ]);
  const by = new Map<number, LentPrint[]>();
  for (const { consignmentId, ...print } of prints)
    by.set(consignmentId, [...(by.get(consignmentId) ?? []), print]);
  return rows.map((row) => ({ ...row, prints: by.get(row.id) ?? [] }));
}

/** One consignment; null where there is none of that number. */
export async function getConsignment(
  db: Reading,
  number: string,
): Promise<Consignment | null> {
  const row = await db.query.consignments.findFirst({
    where: eq(consignments.number, number),
  });
  return row ? { ...row, prints: await printsOf(db, row.id) } : null;
}

/** Notes what became of a print that was out. Throws Refused `notOut`. */
export async function endConsigned(
  tx: Writing,
  of: Numbered & { workId: number },
  end: { kind: 'sold' | 'fetched'; lineId: number | null; at: string },
): Promise<void> {
  const out = await outThere(tx, of);
  if (!out) throw new Refused('notOut');
  const { editionId, series, number: impression, workId } = of;
  const { number, name } = out.consignment;
  await record(
    tx,
    consignedEnds,
    { consignedId: out.id, ...end },
    {
      at: end.at,
      what: `consignment.${end.kind}`,
      ...{ workId, editionId, series, impression },
      detail: { number, to: name },
    },
  );
}

/** Prints that are out, with whom and until when, the earliest day first; of one work, if given. */
export const printsOut = (
  db: Reading,
  { workId, limit }: { workId?: number; limit: number },
): Promise<(Numbered & { consignment: string; name: string; fetchOn: string })[]> =>
  db.all(sql`
    SELECT c.edition_id AS editionId, c.series AS series, c.impression AS number,
      k.number AS consignment, k.name AS name, k.fetch_on AS fetchOn
    FROM consigned_print c JOIN consignment k ON k.id = c.consignment_id
    JOIN edition e ON e.id = c.edition_id
    WHERE NOT EXISTS (SELECT 1 FROM consigned_end d WHERE d.consigned_id = c.id)
      AND ${workId === undefined ? sql`true` : sql`e.work_id = ${workId}`}
    ORDER BY k.fetch_on, c.id LIMIT ${limit}`);

/** Consignments of which something is still out, the earliest day first. */
export const fetchesDue = (
  db: Reading,
  limit: number,
): Promise<{ number: string; name: string; fetchOn: string; prints: number }[]> =>
  db.all(sql`
    SELECT k.number AS number, k.name AS name, k.fetch_on AS fetchOn, count(*) AS prints
    FROM consigned_print c JOIN consignment k ON k.id = c.consignment_id
    WHERE NOT EXISTS (SELECT 1 FROM consigned_end d WHERE d.consigned_id = c.id)
    GROUP BY k.id ORDER BY k.fetch_on, k.id LIMIT ${limit}`);
