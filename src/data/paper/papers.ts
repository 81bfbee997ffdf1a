import { eq, sql } from 'drizzle-orm';
import type { Replaced } from '@/core/paper';
import type { Reading, Writing } from '../reading';
import { record } from '../log/log';
import { papers } from '../schema';

export type PaperRow = typeof papers.$inferSelect;

/** What need not be known of a paper. */
type Trait =
  | 'permanenceYears'
  | 'permanenceSource'
  | 'permanenceDisplay'
  | 'acidFree'
  | 'scuffs'
  | 'leastRoll'
  | 'brightened'
  | 'grain'
  | 'signedWith'
  | 'supplier'
  | 'deliveryDays'
  | 'priceOn';

export type NewPaper = Omit<PaperRow, 'id' | 'discontinuedAt' | 'replacementId' | Trait> &
  Partial<Pick<PaperRow, Trait>>;

export async function addPaper(tx: Writing, paper: NewPaper): Promise<number> {
  const line = { at: paper.createdAt, what: 'paper.new', detail: { paper: paper.name } };
  return (await record(tx, papers, paper, line)).id;
}

export const getPaper = (db: Reading, id: number): Promise<PaperRow | undefined> =>
  db.query.papers.findFirst({ where: eq(papers.id, id) });

/** The paper of that name, however it is capitalised. */
export async function paperNamed(db: Reading, name: string): Promise<PaperRow | undefined> {
  const [row] = await db
    .select()
    .from(papers)
    .where(sql`lower(${papers.name}) = lower(${name})`);
  return row;
}

/** What takes the place of which paper: of all that are no longer made, and those that they name. */
export async function replacedPapers(
  db: Reading,
): Promise<(Replaced & { name: string })[]> {
  const rows = await db
    .select({
      id: papers.id,
      name: papers.name,
      discontinuedAt: papers.discontinuedAt,
      replacementId: papers.replacementId,
    })
    .from(papers)
    .where(
      sql`${papers.discontinuedAt} IS NOT NULL OR ${papers.id} IN (SELECT replacement_id FROM paper)`,
    );
  return rows.map(({ discontinuedAt, ...row }) => ({
    ...row,
    discontinued: discontinuedAt !== null,
  }));
}
