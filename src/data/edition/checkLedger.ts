import { and, asc, desc, eq, gt, sql } from 'drizzle-orm';
import { editionFault, verifyChain } from '@/core/edition';
import type { LedgerCheck, LedgerEntry, LedgerFault, ShownEdition } from '@/core/edition';
import type { Reading } from '../reading';
import { editionNow, editions, impressionNow, jobs, ledger } from '../schema';
import { entriesOf, sha256 } from './editions';
import { oddGuards } from './guards';

const PIECE = 500;

/** How far a ledger had come at some moment: its entries, and the hash of the last. */
export interface LedgerHead {
  entries: number;
  hash: string;
}

/** How far the ledger has come. */
export async function ledgerHead(db: Reading): Promise<LedgerHead | null> {
  const [last] = await db.select().from(ledger).orderBy(desc(ledger.seq)).limit(1);
  return last ? { entries: last.seq, hash: last.hash } : null;
}

const count = async (db: Reading, query: ReturnType<typeof sql>): Promise<number> =>
  (await db.all<{ n: number }>(query))[0]!.n;

/** Walks the chain, piece by piece so that others are served meanwhile. */
async function walk(db: Reading): Promise<{ entries: number; fault: LedgerFault | null }> {
  let last: LedgerEntry | undefined;
  for (;;) {
    const piece = await db
      .select()
      .from(ledger)
      .where(gt(ledger.seq, last?.seq ?? 0))
      .orderBy(asc(ledger.seq))
      .limit(PIECE);
    const check = verifyChain(piece, sha256, last);
    if (!check.sound) {
      const { brokenAt, why } = check;
      const entries = await count(db, sql`SELECT count(*) AS n FROM ledger`);
      return { entries, fault: { code: 'entry', brokenAt, why } };
    }
    last = piece.at(-1) ?? last;
    if (piece.length < PIECE) return { entries: check.entries, fault: null };
    await new Promise(setImmediate);
  }
}

/** What is shown of each edition: its row, and what is derived of it. */
async function* shownEditions(db: Reading): AsyncGenerator<ShownEdition> {
  for (let after = 0; ;) {
    const rows = await db
      .select({ edition: editions, now: editionNow })
      .from(editions)
      .leftJoin(editionNow, eq(editionNow.editionId, editions.id))
      .where(gt(editions.id, after))
      .orderBy(asc(editions.id))
      .limit(PIECE);
    for (const { edition, now } of rows) {
      const { id, workId, sizeKey } = edition;
      const kept = await db
        .select()
        .from(impressionNow)
        .where(eq(impressionNow.editionId, id));
      const impressions = kept.map(({ orderNumber, ...of }) => ({
        ...of,
        order: orderNumber,
      }));
      const { kind = null, size = null, artistsProofs = null } = now ?? {};
      yield { id, workId, sizeKey, kind, size, artistsProofs, impressions };
    }
    if (rows.length < PIECE) return;
    after = rows.at(-1)!.edition.id;
    await new Promise(setImmediate);
  }
}

/** Numbers on certificates that the ledger does not know to have been given. */
const certifiedButUnknown = sql`SELECT count(*) AS n FROM document d
  JOIN order_line l ON l.id = d.line_id
  WHERE d.kind = 'certificate' AND l.edition_id IS NOT NULL AND NOT EXISTS (
    SELECT 1 FROM ledger e WHERE e.edition_id = l.edition_id AND e.kind = 'assigned'
      AND e.series = l.series AND e.number = l.impression)`;

const loggedEntries = sql`SELECT count(*) AS n FROM log_line WHERE what LIKE 'edition.%'`;

/** Whether entries that were there once are gone: by the backups, the certificates, the log. */
async function cutOff(db: Reading, entries: number): Promise<LedgerFault | null> {
  const backups = await db
    .select({ result: jobs.result })
    .from(jobs)
    .where(and(eq(jobs.kind, 'backup'), eq(jobs.state, 'done')));
  for (const { result } of backups) {
    const head = (result as { ledger?: LedgerHead | null } | null)?.ledger;
    if (!head) continue;
    const [there] = await db.select().from(ledger).where(eq(ledger.seq, head.entries));
    if (there?.hash !== head.hash)
      return { code: 'cutOff', entries, known: head.entries, by: 'backup' };
  }
  const unknown = await count(db, certifiedButUnknown);
  if (unknown > 0)
    return { code: 'cutOff', entries, known: entries + unknown, by: 'certificate' };
  const logged = await count(db, loggedEntries);
  return logged > entries ? { code: 'cutOff', entries, known: logged, by: 'log' } : null;
}

/**
 * Checks the whole ledger: every entry against the one before, that none is cut off at its end,
 * the guards of the database against those that are shipped, and every edition and impression
 * as it is shown against what its entries tell. Names each fault, of editions the first ten.
 */
export async function checkLedger(db: Reading): Promise<LedgerCheck> {
  const { entries, fault } = await walk(db);
  const faults: LedgerFault[] = fault ? [fault] : [];
  const cut = await cutOff(db, entries);
  if (cut) faults.push(cut);
  const names = await oddGuards(db);
  if (names.length > 0) faults.push({ code: 'guards', names });
  const most = faults.length + 10;
  for await (const shown of shownEditions(db)) {
    const found = editionFault(shown, await entriesOf(db, shown.id));
    if (found) faults.push(found);
    if (faults.length >= most) break;
  }
  return { sound: faults.length === 0, entries, faults };
}
