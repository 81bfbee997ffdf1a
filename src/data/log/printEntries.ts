import { and, asc, desc, eq, inArray, sql } from 'drizzle-orm';
import type { SQL } from 'drizzle-orm';
import { ASPECT_NAMES } from '@/core/log';
import type { Opinion } from '@/core/log';
import type { Recipe } from '@/core/prepare';
import type { Minor } from '@/core/units';
import type { Reading, Writing } from '../reading';
import { entryItems, masters, papers, printEntries, printOpinions, works } from '../schema';
import type { EntryKind } from '../schema';
import { getDevice, masterReading, printWishOf } from '../capture/captures';
import { record } from './log';

export type PrintEntry = typeof printEntries.$inferSelect;
export type PrintOpinion = typeof printOpinions.$inferSelect;

export interface NewPrintEntry {
  kind: EntryKind;
  ref: number;
  what: string;
  /** Every work that it is about. */
  workIds: readonly number[];
  masterId: number | null;
  sizeKey: string | null;
  recipe: Recipe | null;
  recipeName?: string;
  factor: number | null;
  paperId?: number | null;
  route?: string;
  cost?: { amount: Minor; currency: string } | null;
  at: string;
}

/** What the master of a work came from: the device it was planned with, else what the original is. */
export async function printSourceOf(tx: Reading, workId: number): Promise<string | null> {
  const wish = await printWishOf(tx, workId);
  const device = wish?.deviceId ? await getDevice(tx, wish.deviceId) : undefined;
  if (device) return device.kind;
  const work = await tx.query.works.findFirst({ where: eq(works.id, workId) });
  return work?.kind ?? null;
}

/** How much of a master's pixels is real, where it was read and could be told. */
export async function detailOfMaster(
  tx: Reading,
  masterId: number | null,
): Promise<number | null> {
  if (masterId === null) return null;
  const master = await tx.query.masters.findFirst({ where: eq(masters.id, masterId) });
  const reading = master && (await masterReading(tx, master.sha256));
  return reading?.detail.fraction ?? null;
}

/** Writes an entry of the log book; called by every write that makes a file, a proof or an impression. */
export async function addPrintEntry(tx: Writing, entry: NewPrintEntry): Promise<number> {
  const { paperId = null, workIds, cost = null, ...rest } = entry;
  const paper =
    paperId === null
      ? undefined
      : await tx.query.papers.findFirst({ where: eq(papers.id, paperId) });
  const about = [...new Set(workIds)];
  const [only] = about;
  const workId = about.length === 1 ? only! : null;
  const [row] = await tx
    .insert(printEntries)
    .values({
      ...rest,
      workId,
      recipeName: entry.recipeName ?? '',
      source: workId === null ? null : await printSourceOf(tx, workId),
      detail: await detailOfMaster(tx, entry.masterId),
      paperId,
      paper: paper?.name ?? '',
      base: paper?.base ?? null,
      surface: paper?.surface ?? null,
      route: entry.route ?? '',
      setting: paper?.printerSetting ?? '',
      cost: cost?.amount ?? null,
      currency: cost?.currency ?? '',
    })
    .returning({ id: printEntries.id });
  for (const id of about)
    await tx.insert(entryItems).values({ entryId: row!.id, workId: id });
  return row!.id;
}

/** Keeps what was thought of a print. */
export async function addPrintOpinion(
  tx: Writing,
  opinion: Omit<PrintOpinion, 'id'>,
): Promise<void> {
  const entry = await getPrintEntry(tx, opinion.entryId);
  const said = ASPECT_NAMES.filter((a) => opinion[a] !== null);
  await record(tx, printOpinions, opinion, {
    at: opinion.at,
    what: 'print.judged',
    ...(entry?.workId ? { workId: entry.workId } : {}),
    ...(entry?.sizeKey ? { sizeKey: entry.sizeKey } : {}),
    detail: {
      what: entry?.what ?? '',
      said: said.map((a) => `${a} ${opinion[a]}`).join(', '),
      remarks: opinion.remarks,
    },
  });
}

export const getPrintEntry = (db: Reading, id: number): Promise<PrintEntry | undefined> =>
  db.query.printEntries.findFirst({ where: eq(printEntries.id, id) });

/** The entry of a proof round, a file, a number; null where it has none. */
export async function entryIdOf(
  db: Reading,
  kind: EntryKind,
  ref: number,
): Promise<number | null> {
  const [row] = await db
    .select({ id: printEntries.id })
    .from(printEntries)
    .where(and(eq(printEntries.kind, kind), eq(printEntries.ref, ref)))
    .limit(1);
  return row?.id ?? null;
}

/** The last prints of a size on a paper, newest first: proofs, impressions, prints without a number. */
export async function printsOfSize(
  db: Reading,
  of: { workId: number; sizeKey: string; paperId: number },
): Promise<number[]> {
  const rows = await db
    .select({ id: printEntries.id })
    .from(printEntries)
    .where(
      and(
        eq(printEntries.workId, of.workId),
        eq(printEntries.sizeKey, of.sizeKey),
        eq(printEntries.paperId, of.paperId),
        inArray(printEntries.kind, ['proofRound', 'impression', 'print']),
      ),
    )
    .orderBy(desc(printEntries.at), desc(printEntries.id))
    .limit(5);
  return rows.map((r) => r.id);
}

export interface EntryFilter {
  workId?: number;
  kind?: EntryKind;
  paperId?: number;
  /** Words that must all occur. */
  words?: string;
}

/** What was typed as a question for the full-text index: each word by its beginning, none of it as syntax. */
export const asMatch = (words: string): string =>
  words
    .split(/\s+/)
    .map((w) => w.replace(/"/g, ''))
    .filter((w) => /[\p{L}\p{N}]/u.test(w))
    .map((w) => `"${w}"*`)
    .join(' ');

function matching({ workId, kind, paperId, words }: EntryFilter): SQL | undefined {
  const wanted: SQL[] = [];
  if (workId)
    wanted.push(
      sql`${printEntries.id} IN (SELECT entry_id FROM entry_item WHERE work_id = ${workId})`,
    );
  if (kind) wanted.push(eq(printEntries.kind, kind));
  if (paperId) wanted.push(eq(printEntries.paperId, paperId));
  const match = words ? asMatch(words) : '';
  if (match)
    wanted.push(
      sql`${printEntries.id} IN (SELECT rowid FROM print_search WHERE print_search MATCH ${match})`,
    );
  return and(...wanted);
}

/** Entries of the log book, newest first. */
export const readEntries = (
  db: Reading,
  filter: EntryFilter,
  limit: number,
  offset = 0,
): Promise<PrintEntry[]> =>
  db
    .select()
    .from(printEntries)
    .where(matching(filter))
    .orderBy(desc(printEntries.at), desc(printEntries.id))
    .limit(limit)
    .offset(offset);

export async function countEntries(db: Reading, filter: EntryFilter): Promise<number> {
  const [row] = await db
    .select({ n: sql<number>`count(*)` })
    .from(printEntries)
    .where(matching(filter));
  return row?.n ?? 0;
}

/** What is thought of a print now, with everything that was said of it. */
export interface OpinionNow {
  opinion: Opinion;
  remarks: string[];
  photographs: string[];
  at: string;
}

/** What is thought now of the given entries; those of which nothing was said are not in it. */
export async function opinionsNow(
  db: Reading,
  entryIds: readonly number[],
): Promise<Map<number, OpinionNow>> {
  const rows =
    entryIds.length === 0
      ? []
      : await db
          .select()
          .from(printOpinions)
          .where(inArray(printOpinions.entryId, [...entryIds]))
          .orderBy(asc(printOpinions.id));
  const now = new Map<number, OpinionNow>();
  for (const row of rows) {
    const before = now.get(row.entryId);
    const opinion = Object.fromEntries(
      ASPECT_NAMES.map((a) => [a, row[a] ?? before?.opinion[a] ?? null]),
    ) as Opinion;
    now.set(row.entryId, {
      opinion,
      remarks: [...(before?.remarks ?? []), ...(row.remarks ? [row.remarks] : [])],
      photographs: [
        ...(before?.photographs ?? []),
        ...(row.photograph ? [row.photograph] : []),
      ],
      at: row.at,
    });
  }
  return now;
}
