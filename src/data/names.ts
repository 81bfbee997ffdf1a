import { inArray } from 'drizzle-orm';
import type { EditionKind } from '@/core/edition';
import type { Reading } from './reading';
import { papers, works } from './schema';
import { editionNow } from './schema';

/** Titles of the given works. */
export async function titlesOf(db: Reading, ids: number[]): Promise<Map<number, string>> {
  const rows = await db
    .select({ id: works.id, title: works.title })
    .from(works)
    .where(inArray(works.id, ids));
  return new Map(rows.map((r) => [r.id, r.title]));
}

/** Names of the given papers. */
export async function paperNames(db: Reading, ids: number[]): Promise<Map<number, string>> {
  const rows = await db
    .select({ id: papers.id, name: papers.name })
    .from(papers)
    .where(inArray(papers.id, ids));
  return new Map(rows.map((r) => [r.id, r.name]));
}

/** As much of a declaration as a pencilled number needs. */
export interface Counted {
  kind: EditionKind;
  size: number;
  artistsProofs: number;
}

/** How the given editions are counted. */
export async function editionsNow(
  db: Reading,
  ids: number[],
): Promise<Map<number, Counted>> {
  const rows = await db.select().from(editionNow).where(inArray(editionNow.editionId, ids));
  return new Map(rows.map(({ editionId, ...rest }) => [editionId, rest]));
}
