import { sql } from 'drizzle-orm';
import { stockLevel } from '@/core/paper';
import type { StockLevel } from '@/core/paper';
import type { Reading } from '../reading';
import { offsetOf, orderOf, wordsFound } from '../page';
import type { Asked, Page } from '../page';
import type { PaperRow } from './papers';
import { papers } from '../schema';

/** A paper with what is left of it, in sheets of its usual size and parts of them. */
export type Paper = PaperRow & { sheets: number; level: StockLevel };

const BY_NAME = sql`lower(${papers.name})`;
/** What is left of all lots, in sheets of the usual size: rolls, other sheets and left-overs by their area. */
const SHEETS = sql<number>`coalesce((SELECT round(sum(n.left * l.width_mm
    * CASE l.kind WHEN 'roll' THEN 1 ELSE l.height_mm END)
    / (paper.sheet_width_mm * paper.sheet_height_mm), 4)
  FROM lot_now n JOIN lot l ON l.id = n.lot_id WHERE n.paper_id = paper.id), 0)`;
/** At or under the reorder point, or out: as the core has it. */
const AT_REORDER = sql`${SHEETS} <= max(${papers.reorderPoint}, 0)`;
/** Heard of, asked for or tried, and never bought: nothing that runs out. */
const NEVER_BOUGHT = sql`(EXISTS (SELECT 1 FROM paper_note t WHERE t.paper_id = paper.id)
  AND NOT EXISTS (SELECT 1 FROM lot l WHERE l.paper_id = paper.id))`;
const NOT_ENOUGH = sql`(${AT_REORDER} AND NOT ${NEVER_BOUGHT})`;
const IN_USE = sql`(${papers.discontinuedAt} IS NULL OR ${SHEETS} > 0)`;

const COLUMNS = {
  name: BY_NAME,
  base: sql`${papers.base}`,
  surface: sql`${papers.surface}`,
  weight: sql`${papers.weight}`,
  sheet: sql`${papers.sheetWidth} * ${papers.sheetHeight}`,
  price: sql`${papers.price}`,
  sheets: SHEETS,
  level: sql`${SHEETS} - ${papers.reorderPoint}`,
};

const asPaper = ({ paper, sheets }: { paper: PaperRow; sheets: number }): Paper => ({
  ...paper,
  ...stockLevel([sheets], paper.reorderPoint),
});

const selected = (db: Reading) => db.select({ paper: papers, sheets: SHEETS }).from(papers);

/** One page of papers with what is left of each: by name unless asked otherwise. */
export async function papersPage(
  db: Reading,
  asked: Asked,
  /** Those alone. */
  only: readonly number[] | null = null,
): Promise<Page<Paper>> {
  const found = wordsFound(sql`${papers.id}`, 'paper', asked.find);
  const where =
    only === null
      ? found
      : sql`${found} AND ${papers.id} IN (SELECT value FROM json_each(${JSON.stringify(only)}))`;
  const rows = await selected(db)
    .where(where)
    .orderBy(orderOf(asked, COLUMNS, BY_NAME))
    .limit(asked.lines)
    .offset(offsetOf(asked));
  const [count] = await db.all<{ n: number }>(
    sql`SELECT count(*) AS n FROM ${papers} WHERE ${where}`,
  );
  return { rows: rows.map(asPaper), total: count?.n ?? 0, page: asked.page };
}

/** One paper with what is left of it. */
export async function paperWithStock(db: Reading, id: number): Promise<Paper | null> {
  const [row] = await selected(db).where(sql`${papers.id} = ${id}`);
  return row ? asPaper(row) : null;
}

/** Papers, and those of them that are at or under their reorder point. */
export async function paperCounts(db: Reading): Promise<{ all: number; low: number }> {
  const [row] = await db.all<{ all: number; low: number }>(sql`
    SELECT count(*) AS "all", coalesce(sum(${NOT_ENOUGH}), 0) AS low FROM ${papers}`);
  return row!;
}

/** Papers to be reordered or replaced, the scarcest first. */
export const papersLow = async (db: Reading, limit: number): Promise<Paper[]> =>
  (
    await selected(db)
      .where(sql`${NOT_ENOUGH} AND ${IN_USE}`)
      .orderBy(sql`${SHEETS} - ${papers.reorderPoint}, ${BY_NAME}`)
      .limit(limit)
  ).map(asPaper);

/** Papers there is still something to print on: a discontinued one only while sheets are left. */
export const papersToPrintOn = async (db: Reading, limit: number): Promise<Paper[]> =>
  (await selected(db).where(IN_USE).orderBy(BY_NAME).limit(limit)).map(asPaper);
