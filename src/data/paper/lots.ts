import { and, asc, desc, eq, inArray, sql } from 'drizzle-orm';
import type { LotAtHand, PaperUse } from '@/core/paper';
import { costOf } from '@/core/paper';
import type { Minor } from '@/core/units';
import type { Reading, Writing } from '../reading';
import { Refused } from '../refused';
import { record } from '../log/log';
import { lotNow, lotUses, lots, papers, printEntries } from '../schema';

export type LotRow = typeof lots.$inferSelect;
export type LotUse = typeof lotUses.$inferSelect;
export type Lot = LotRow & { left: number };

/** Notes a delivery. */
export async function receiveLot(
  tx: Writing,
  {
    printedSheetId = null,
    core = null,
    ...of
  }: Omit<LotRow, 'id' | 'printedSheetId' | 'core'> &
    Partial<Pick<LotRow, 'printedSheetId' | 'core'>>,
): Promise<number> {
  const lot = { ...of, core, printedSheetId };
  const paper = await tx.query.papers.findFirst({ where: eq(papers.id, lot.paperId) });
  const row = await record(tx, lots, lot, {
    at: lot.at,
    what: 'lot.received',
    detail: {
      paper: paper?.name ?? '',
      lot: lot.name,
      kind: lot.kind,
      pieces: lot.pieces,
      width: lot.width,
      height: lot.height,
    },
  });
  return row.id;
}

const withLeft = (db: Reading) =>
  db
    .select({ lot: lots, left: lotNow.left })
    .from(lots)
    .innerJoin(lotNow, eq(lotNow.lotId, lots.id));

const asLot = ({ lot, left }: { lot: LotRow; left: number }): Lot => ({ ...lot, left });

/** Lots of a paper with what is left of each, the oldest first; those that are used up only where asked for. */
export const lotsOf = async (db: Reading, paperId: number, all = false): Promise<Lot[]> =>
  (
    await withLeft(db)
      .where(
        all
          ? eq(lots.paperId, paperId)
          : and(eq(lots.paperId, paperId), sql`${lotNow.left} > 0.000001`),
      )
      .orderBy(asc(lots.at), asc(lots.id))
  ).map(asLot);

export async function getLot(db: Reading, id: number): Promise<Lot | undefined> {
  const [row] = await withLeft(db).where(eq(lots.id, id));
  return row && asLot(row);
}

/** A lot as the rules look at it. */
export const atHand = ({
  id,
  kind,
  width,
  height,
  left,
  leftOver,
  price,
}: Lot): LotAtHand => ({
  id,
  kind,
  width,
  height,
  left,
  leftOver,
  price,
});

const NEAR = 1e-6;

/** What is written of a use beside what the lot itself says. */
export type NewLotUse = Pick<LotUse, 'lotId' | 'amount' | 'kind' | 'reason' | 'at'> &
  Partial<Pick<LotUse, 'entryId' | 'printedSheetId'>>;

/** Takes paper out of a lot, or puts it in (negative). Throws Refused `noLot`, `lotShort`. */
export async function takeFromLot(tx: Writing, use: NewLotUse): Promise<LotUse> {
  const lot = await getLot(tx, use.lotId);
  if (!lot) throw new Refused('noLot');
  if (use.amount > lot.left + NEAR) throw new Refused('lotShort');
  // Of what is left by rounding, all is taken.
  const amount = Math.abs(use.amount - lot.left) < NEAR ? lot.left : use.amount;
  const { entryId = null, printedSheetId = null } = use;
  return written(tx, lot, { ...use, amount, entryId, printedSheetId, undoes: null });
}

async function written(
  tx: Writing,
  lot: Lot,
  use: Omit<LotUse, 'id' | 'cost' | 'currency'>,
): Promise<LotUse> {
  const paper = await tx.query.papers.findFirst({ where: eq(papers.id, lot.paperId) });
  const cost = costOf(atHand(lot), use.amount);
  return record(
    tx,
    lotUses,
    { ...use, cost, currency: lot.currency },
    {
      at: use.at,
      what: `lot.${use.kind}`,
      detail: {
        paper: paper?.name ?? '',
        lot: lot.name,
        kind: lot.kind,
        amount: use.amount,
        reason: use.reason,
      },
    },
  );
}

/** Notes what was counted of a lot; the difference is a fact with its reason. Throws Refused `noLot`. */
export async function countLot(
  tx: Writing,
  count: { lotId: number; counted: number; reason: string; at: string },
): Promise<void> {
  const lot = await getLot(tx, count.lotId);
  if (!lot) throw new Refused('noLot');
  const { lotId, counted, reason, at } = count;
  const amount = lot.left - counted;
  await written(tx, lot, {
    lotId,
    amount,
    kind: 'counted',
    entryId: null,
    printedSheetId: null,
    undoes: null,
    reason,
    at,
  });
}

/** Puts back what a use took: its print was not made. Throws Refused `gone`, `backAlready`. */
export async function putBack(
  tx: Writing,
  { useId, reason, at }: { useId: number; reason: string; at: string },
): Promise<void> {
  const use = await tx.query.lotUses.findFirst({ where: eq(lotUses.id, useId) });
  const lot = use && (await getLot(tx, use.lotId));
  if (!use || !lot || use.kind === 'back' || use.kind === 'counted')
    throw new Refused('gone');
  const before = await tx.query.lotUses.findFirst({ where: eq(lotUses.undoes, useId) });
  if (before) throw new Refused('backAlready');
  const { lotId, amount, entryId, printedSheetId } = use;
  await written(tx, lot, {
    lotId,
    amount: -amount,
    kind: 'back',
    entryId,
    printedSheetId,
    undoes: useId,
    reason,
    at,
  });
}

export type LotUseShown = LotUse & {
  lot: string;
  lotKind: LotRow['kind'];
  what: string | null;
  isBack: boolean;
};

/** The last uses of a paper's lots, newest first, with the prints that took them. */
export async function lastUses(
  db: Reading,
  paperId: number,
  limit: number,
): Promise<LotUseShown[]> {
  const rows = await db
    .select({
      use: lotUses,
      lot: lots.name,
      lotKind: lots.kind,
      what: printEntries.what,
      isBack: sql<number>`EXISTS (SELECT 1 FROM lot_use b WHERE b.undoes = ${lotUses.id})`,
    })
    .from(lotUses)
    .innerJoin(lots, eq(lots.id, lotUses.lotId))
    .leftJoin(printEntries, eq(printEntries.id, lotUses.entryId))
    .where(eq(lots.paperId, paperId))
    .orderBy(desc(lotUses.id))
    .limit(limit);
  return rows.map(({ use, isBack, ...more }) => ({
    ...use,
    ...more,
    isBack: isBack === 1,
  }));
}

/** What a print took: of which lot, how much, what that cost. */
export interface PaperTaken {
  lot: string;
  kind: LotRow['kind'];
  amount: number;
  cost: Minor;
  currency: string;
}

/** What prints of the log book took, by entry; those that took nothing, or all of it back, are not in it. */
export async function paperOfEntries(
  db: Reading,
  entryIds: readonly number[],
): Promise<Map<number, PaperTaken>> {
  if (entryIds.length === 0) return new Map();
  const rows = await db
    .select({
      entryId: lotUses.entryId,
      lot: lots.name,
      kind: lots.kind,
      amount: sql<number>`sum(${lotUses.amount})`,
      cost: sql<Minor>`sum(${lotUses.cost})`,
      currency: lotUses.currency,
    })
    .from(lotUses)
    .innerJoin(lots, eq(lots.id, lotUses.lotId))
    .where(inArray(lotUses.entryId, [...entryIds]))
    .groupBy(lotUses.entryId, lots.id)
    .having(sql`abs(sum(${lotUses.amount})) > ${NEAR}`);
  const whole = new Map(rows.map(({ entryId, ...taken }) => [entryId!, taken]));
  for (const [entryId, taken] of await partsOfSheets(db, entryIds))
    whole.set(entryId, taken);
  return whole;
}

/** The same of prints that were cut from a sheet: their part of it. */
async function partsOfSheets(
  db: Reading,
  entryIds: readonly number[],
): Promise<[number, PaperTaken][]> {
  const ids = sql.join(
    entryIds.map((id) => sql`${id}`),
    sql`, `,
  );
  const rows = await db.all<PaperTaken & { entryId: number }>(sql`
    SELECT e.id AS "entryId", l.name AS lot, l.kind, p.cost_minor AS cost, p.currency,
        p.share * CASE l.kind WHEN 'roll' THEN json_extract(s.layout, '$.length') ELSE 1 END AS amount
      FROM print_entry e
        JOIN printed_piece p ON p.entry_id = e.id OR (e.kind = 'impression' AND p.id IN
          (SELECT f.piece_id FROM piece_fate f WHERE f.seq = e.ref AND f.kind = 'numbered'))
        JOIN printed_sheet s ON s.id = p.printed_sheet_id JOIN lot l ON l.id = s.lot_id
      WHERE e.id IN (${ids})
        AND NOT EXISTS (SELECT 1 FROM sheet_undone u WHERE u.printed_sheet_id = s.id)`);
  return rows.map(({ entryId, ...taken }) => [entryId, taken]);
}

/**
 * What was taken of papers since an instant, day by day, in sheets of their usual size; what
 * was counted is no use, what was put back is taken off. Of before lots were kept it is what
 * movements say.
 */
export async function usesOfPapers(
  db: Reading,
  paperIds: readonly number[],
  since: string,
): Promise<Map<number, PaperUse[]>> {
  if (paperIds.length === 0) return new Map();
  const ids = sql.join(
    paperIds.map((id) => sql`${id}`),
    sql`, `,
  );
  const rows = await db.all<{ paperId: number; at: string; sheets: number }>(sql`
    SELECT l.paper_id AS "paperId", substr(u.at, 1, 10) AS at,
        sum(u.amount * l.width_mm * CASE l.kind WHEN 'roll' THEN 1 ELSE l.height_mm END
          / (p.sheet_width_mm * p.sheet_height_mm)) AS sheets
      FROM lot l JOIN lot_use u ON u.lot_id = l.id JOIN paper p ON p.id = l.paper_id
      WHERE l.paper_id IN (${ids}) AND u.kind NOT IN ('counted', 'leftOver') AND u.at >= ${since} GROUP BY 1, 2
    UNION ALL SELECT ref, substr(at, 1, 10), -sum(pieces) FROM movement
      WHERE "of" = 'paper' AND ref IN (${ids}) AND pieces < 0 AND at >= ${since} GROUP BY 1, 2`);
  const uses = new Map<number, PaperUse[]>();
  for (const { paperId, ...use } of rows) {
    const list = uses.get(paperId);
    if (list) list.push(use);
    else uses.set(paperId, [use]);
  }
  return uses;
}
