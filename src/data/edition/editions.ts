import { createHash } from 'node:crypto';
import { and, asc, desc, eq } from 'drizzle-orm';
import {
  assign,
  declare,
  declaredFor,
  impressionsOf,
  link,
  reserve,
  reservedBy,
  soldBy,
  spoil,
} from '@/core/edition';
import type {
  Decision,
  Declaration,
  DeclaredFor,
  Impression,
  LedgerEntry,
  LedgerFact,
  LedgerKind,
  Series,
} from '@/core/edition';
import type { ReturnHow } from '@/core/order';
import type { Reading, Writing } from '../reading';
import { Refused } from '../refused';
import { editions, ledger } from '../schema';
import { refuseLentOut } from '../consign/consignments';
import { addImpressionEntry } from './impressionEntry';
import { record } from '../log/log';
import { getWork } from '../work/works';

export interface EditionState {
  id: number;
  workId: number;
  sizeKey: string;
  declaration: Declaration;
  declaredAt: string;
  /** What its hashed entries say it was declared for; null of one that was never attested. */
  declaredFor: DeclaredFor | null;
  impressions: Impression[];
}

export const sha256 = (text: string) => createHash('sha256').update(text).digest('hex');

export const entriesOf = (db: Reading, editionId: number): Promise<LedgerEntry[]> =>
  db.select().from(ledger).where(eq(ledger.editionId, editionId)).orderBy(asc(ledger.seq));

/** Appends a fact to the one chain of the studio, and a line to the log book. */
export async function append(
  tx: Writing,
  fact: LedgerFact,
  edition: { workId: number; sizeKey: string },
  orderId?: number,
): Promise<void> {
  const [last] = await tx.select().from(ledger).orderBy(desc(ledger.seq)).limit(1);
  await record(tx, ledger, link(fact, last, sha256), {
    at: fact.at,
    what: `edition.${fact.kind}`,
    workId: edition.workId,
    sizeKey: edition.sizeKey,
    editionId: fact.editionId,
    series: fact.series ?? undefined,
    impression: fact.number ?? undefined,
    orderId,
    detail: fact.payload,
  });
}

/** A declaration, and what it is for: title and artist as they are then. */
async function toPayload(
  tx: Writing,
  declaration: Declaration,
  { workId, sizeKey }: { workId: number; sizeKey: string },
): Promise<LedgerFact['payload']> {
  const work = await getWork(tx, workId);
  if (!work) throw new Refused('noWork');
  const { title, artist } = work;
  return { ...declaration, workId, sizeKey, title, artist };
}

const fromPayload = (p: LedgerFact['payload']): Declaration => ({
  kind: p.kind as Declaration['kind'],
  scope: p.scope as Declaration['scope'],
  size: Number(p.size),
  artistsProofs: Number(p.artistsProofs),
});

function stateOf(
  row: { id: number; workId: number; sizeKey: string },
  entries: LedgerEntry[],
): EditionState | null {
  const declared = entries.filter((e) => e.kind === 'declared').at(-1);
  return declared
    ? {
        ...row,
        declaration: fromPayload(declared.payload),
        declaredAt: declared.at,
        declaredFor: declaredFor(entries),
        impressions: impressionsOf(entries),
      }
    : null;
}

const allowed = <T>(decision: Decision<T>): T => {
  if (!decision.allowed) throw new Refused(decision.refusal);
  return decision.value;
};

/** An edition as its ledger tells it. */
export async function getEdition(db: Reading, id: number): Promise<EditionState | null> {
  const row = await db.query.editions.findFirst({ where: eq(editions.id, id) });
  return row ? stateOf(row, await entriesOf(db, id)) : null;
}

async function existing(tx: Writing, id: number): Promise<EditionState> {
  const edition = await getEdition(tx, id);
  if (!edition) throw new Refused('noEdition');
  return edition;
}

/** The editions of one work. */
export async function editionsOf(db: Reading, workId: number): Promise<EditionState[]> {
  const rows = await db
    .select()
    .from(editions)
    .where(eq(editions.workId, workId))
    .orderBy(asc(editions.id));
  const entries = await db
    .select()
    .from(ledger)
    .innerJoin(editions, eq(editions.id, ledger.editionId))
    .where(eq(editions.workId, workId))
    .orderBy(asc(ledger.seq));
  const byEdition = new Map<number, LedgerEntry[]>();
  for (const { ledger: entry } of entries) {
    const list = byEdition.get(entry.editionId);
    if (list) list.push(entry);
    else byEdition.set(entry.editionId, [entry]);
  }
  return rows
    .map((row) => stateOf(row, byEdition.get(row.id) ?? []))
    .filter((e) => e !== null);
}

/** The edition a print of that size belongs to: its own, or the one over all sizes. */
export async function editionFor(
  db: Reading,
  workId: number,
  sizeKey: string,
): Promise<EditionState | null> {
  const found = await editionsOf(db, workId);
  return (
    found.find((e) => e.sizeKey === sizeKey) ??
    found.find((e) => e.sizeKey === 'all') ??
    null
  );
}

/** Declares an edition, or changes it as far as the rules allow. Throws Refused. */
export async function declareEdition(
  tx: Writing,
  wanted: { workId: number; sizeKey: string; declaration: Declaration; at: string },
): Promise<number> {
  const { workId, sizeKey, declaration, at } = wanted;
  const others = await editionsOf(tx, workId);
  const own = others.find((e) => e.sizeKey === sizeKey);
  if (!own && others.some((e) => e.sizeKey === 'all' || sizeKey === 'all'))
    throw new Refused('otherSchool');
  allowed(declare(declaration, own?.declaration ?? null, own?.impressions ?? []));
  const editionId =
    own?.id ??
    (await tx.insert(editions).values({ workId, sizeKey, createdAt: at }).returning())[0]!
      .id;
  const payload = await toPayload(tx, declaration, { workId, sizeKey });
  await append(
    tx,
    { editionId, kind: 'declared', series: null, number: null, at, payload },
    { workId, sizeKey },
  );
  return editionId;
}

/** Gives out a number: the next free one, or the one asked for. Throws Refused. */
export async function assignNumber(
  tx: Writing,
  wanted: {
    editionId: number;
    series: Series;
    requested?: number;
    sizeKey: string;
    /** A print that was cut from a sheet and waits for its number. */
    pieceId?: number | undefined;
    at: string;
  },
): Promise<number> {
  const { editionId, series, requested, pieceId, at } = wanted;
  const edition = await existing(tx, editionId);
  // An edition of one size prints that size, whatever is asked for.
  const sizeKey = edition.sizeKey === 'all' ? wanted.sizeKey : edition.sizeKey;
  const number = allowed(
    assign(edition.declaration, edition.impressions, series, requested),
  );
  const printing =
    1 +
    (edition.impressions.find((i) => i.series === series && i.number === number)
      ?.printing ?? 0);
  await append(
    tx,
    { editionId, kind: 'assigned', series, number, at, payload: { printing, sizeKey } },
    edition,
  );
  await addImpressionEntry(tx, edition, { series, number, sizeKey, pieceId, at });
  return number;
}

const impressionIn = (edition: EditionState, series: Series, number: number) =>
  edition.impressions.find((i) => i.series === series && i.number === number);

/** Records that an impression was spoiled and destroyed. Throws Refused. */
export async function spoilImpression(
  tx: Writing,
  wanted: { editionId: number; series: Series; number: number; reason: string; at: string },
): Promise<void> {
  const { editionId, series, number, reason, at } = wanted;
  const edition = await existing(tx, editionId);
  allowed(spoil(impressionIn(edition, series, number)));
  await refuseLentOut(tx, { editionId, series, number }, null);
  await append(
    tx,
    { editionId, kind: 'spoiled', series, number, at, payload: { reason } },
    edition,
  );
}

/** One impression and the order whose fate it shares. */
export interface OrderedImpression {
  editionId: number;
  series: Series;
  number: number;
  order: string;
  orderId: number;
  at: string;
}

/** Appends what an order does to an impression, where the rule allows it. Throws Refused. */
async function byOrder(
  tx: Writing,
  { editionId, series, number, order, orderId, at }: OrderedImpression,
  kind: LedgerKind,
  rule: (impression: Impression | undefined, order: string) => Decision<Impression>,
  payload: LedgerFact['payload'] = {},
): Promise<void> {
  const edition = await existing(tx, editionId);
  allowed(rule(impressionIn(edition, series, number), order));
  const fact = { editionId, kind, series, number, at, payload: { order, ...payload } };
  await append(tx, fact, edition, orderId);
}

/** Reserves a numbered impression for an order. Throws Refused. */
export const reserveImpression = (tx: Writing, of: OrderedImpression) =>
  byOrder(tx, of, 'ordered', reserve);

/** Gives an impression that an order had reserved back to its edition. Throws Refused. */
export const releaseImpression = (tx: Writing, of: OrderedImpression) =>
  byOrder(tx, of, 'released', reservedBy);

/** Records that an ordered impression went out: it is sold for good. Throws Refused. */
export const shipImpression = (tx: Writing, of: OrderedImpression) =>
  byOrder(tx, of, 'shipped', reservedBy);

/** Records that a sold impression came back, whole or damaged, or is lost. Throws Refused. */
export const returnImpression = (tx: Writing, of: OrderedImpression, how: ReturnHow) =>
  how === 'lost'
    ? byOrder(tx, of, 'lost', soldBy)
    : byOrder(tx, of, 'returned', soldBy, { condition: how });

/**
 * What an impression is certified with: its edition, and the hash of the entry that gave it its
 * number in its present printing, which a certificate's code carries. Null where it has none.
 */
export async function numberingOf(
  db: Reading,
  { editionId, series, number }: { editionId: number; series: Series; number: number },
): Promise<{ edition: EditionState; hash: string } | null> {
  const edition = await getEdition(db, editionId);
  const [entry] = await db
    .select({ hash: ledger.hash })
    .from(ledger)
    .where(
      and(
        eq(ledger.editionId, editionId),
        eq(ledger.kind, 'assigned'),
        eq(ledger.series, series),
        eq(ledger.number, number),
      ),
    )
    .orderBy(desc(ledger.seq))
    .limit(1);
  return edition && entry ? { edition, hash: entry.hash } : null;
}
