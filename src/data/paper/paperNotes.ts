import { asc, eq, inArray, sql } from 'drizzle-orm';
import { wordsOf } from '@/core/paper';
import type { NotedStation } from '@/core/paper';
import type { Reading, Writing } from '../reading';
import { record } from '../log/log';
import { lots, paperNotes, papers } from '../schema';

export type PaperNote = typeof paperNotes.$inferSelect;

/** Notes what was heard of a paper, asked or tried, or a photographed swatch of it. */
export async function addPaperNote(
  tx: Writing,
  note: Omit<PaperNote, 'id'>,
): Promise<number> {
  const paper = await tx.query.papers.findFirst({ where: eq(papers.id, note.paperId) });
  const { station, triedFor, day } = note;
  const row = await record(tx, paperNotes, note, {
    at: note.at,
    what: `paper.${station}`,
    detail: { paper: paper?.name ?? '', triedFor, day },
  });
  return row.id;
}

/** What was noted of a paper, by its day. */
export const notesOfPaper = (db: Reading, paperId: number): Promise<PaperNote[]> =>
  db
    .select()
    .from(paperNotes)
    .where(eq(paperNotes.paperId, paperId))
    .orderBy(asc(paperNotes.day), asc(paperNotes.id));

/** Which stations were noted of some papers, and which of them ever came in. */
export async function stationsOf(
  db: Reading,
  paperIds: readonly number[],
): Promise<Map<number, { noted: NotedStation[]; everHere: boolean }>> {
  const found = new Map(
    paperIds.map((id) => [id, { noted: [] as NotedStation[], everHere: false }]),
  );
  if (paperIds.length === 0) return found;
  const ids = [...paperIds];
  const noted = await db
    .selectDistinct({ id: paperNotes.paperId, station: paperNotes.station })
    .from(paperNotes)
    .where(inArray(paperNotes.paperId, ids));
  for (const { id, station } of noted) found.get(id)!.noted.push(station);
  const here = await db
    .selectDistinct({ id: lots.paperId })
    .from(lots)
    .where(inArray(lots.paperId, ids));
  for (const { id } of here) found.get(id)!.everHere = true;
  return found;
}

/** Everything that papers were tried for, each word once, and which papers. */
export async function triedFor(db: Reading): Promise<Map<string, Set<number>>> {
  const rows = await db
    .select({ paperId: paperNotes.paperId, words: paperNotes.triedFor })
    .from(paperNotes)
    .where(sql`${paperNotes.triedFor} <> ''`);
  const found = new Map<string, Set<number>>();
  for (const { paperId, words } of rows)
    for (const word of wordsOf(words))
      found.set(word, (found.get(word) ?? new Set()).add(paperId));
  return new Map([...found].sort(([a], [b]) => a.localeCompare(b)));
}
