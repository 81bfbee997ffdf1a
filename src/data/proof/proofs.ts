import { and, asc, eq, inArray, sql } from 'drizzle-orm';
import { meantExtent } from '@/core/paper';
import { nominalSize } from '@/core/size';
import type { PatchReading } from '@/core/proof';
import type { Reading, Writing } from '../reading';
import {
  papers,
  printFiles,
  profiles,
  proofCustomers,
  proofReadings,
  proofReturns,
  proofRounds,
  sheetFiles,
} from '../schema';
import { addPrintEntry } from '../log/printEntries';
import { printExtent, takePaper } from '../paper/takePaper';
import { record } from '../log/log';

type Row = typeof proofRounds.$inferSelect;
/** What a round of now says beside what all rounds say. */
type Said = 'printFileId' | 'sheetId' | 'masterId' | 'recipe' | 'profileSha256' | 'intent';
type SaidToo = Said | 'blackPoint' | 'setting' | 'lot' | 'dueOn' | 'sending' | 'inkSet';

export type NewProofRound = Omit<Row, 'id' | SaidToo> & Partial<Pick<Row, SaidToo>>;
type NewReturn = typeof proofReturns.$inferSelect;
export type NewProofReturn = Omit<NewReturn, 'light' | 'byEye'> &
  Partial<Pick<NewReturn, 'light' | 'byEye'>>;
export type ProofReading = typeof proofReadings.$inferSelect;
export type ProofCustomer = typeof proofCustomers.$inferSelect;

export type Proof = Row & {
  paper: string;
  /** What was sent: the name of the file or the sheet. */
  file: string | null;
  profile: string | null;
  /** Whether what was sent was in ink (CMYK). */
  inInk: boolean;
  /** mm2. */
  area: number | null;
  backAt: string | null;
  seen: string | null;
  toChange: string | null;
  verdict: NewReturn['verdict'] | null;
  light: NewReturn['light'];
  byEye: NewReturn['byEye'];
};

/**
 * Sends a round: what was sent, by what it was made and printed, as far as it is said. Printed
 * here it takes its paper, unless that was taken with the sheet that it lies on (`paperTaken`).
 */
export async function addProofRound(
  tx: Writing,
  round: NewProofRound,
  paperTaken = false,
): Promise<number> {
  const { workId, sizeKey } = round;
  const file = round.printFileId
    ? await tx.query.printFiles.findFirst({ where: eq(printFiles.id, round.printFileId) })
    : undefined;
  const recipe = round.recipe ?? file?.recipe ?? null;
  const masterId = round.masterId ?? file?.masterId ?? null;
  const row = await record(
    tx,
    proofRounds,
    { ...round, recipe, masterId },
    {
      at: round.sentAt,
      what: 'proof.sent',
      workId,
      sizeKey,
      detail: {
        round: round.round,
        paperId: round.paperId,
        route: round.route,
        cost: round.cost,
      },
    },
  );
  const what = `proof round ${round.round}`;
  const entryId = await addPrintEntry(tx, {
    kind: 'proofRound',
    ref: row.id,
    what,
    workIds: [workId],
    masterId,
    sizeKey,
    recipe,
    factor: file?.factor ?? null,
    paperId: round.paperId,
    route: round.route,
    cost: { amount: round.cost, currency: round.currency },
    at: round.sentAt,
  });
  const { paperId, route, sentAt: at } = round;
  const sheet = round.sheetId
    ? await tx.query.sheetFiles.findFirst({ where: eq(sheetFiles.id, round.sheetId) })
    : undefined;
  const extent = sheet ? meantExtent(sheet, sheet.ppi) : printExtent(file, sizeKey);
  // Rounds that are sent together share one sheet: the first takes it.
  const shared = paperTaken || (await sharesItsSheet(tx, row));
  if (!shared) await takePaper(tx, { entryId, what, paperId, route, extent, workId, at });
  return row.id;
}

/** Whether another round was sent before on the very same sheet, in the same sending. */
async function sharesItsSheet(tx: Writing, round: Row): Promise<boolean> {
  if (round.sheetId === null || round.sending === null) return false;
  const [other] = await tx
    .select({ id: proofRounds.id })
    .from(proofRounds)
    .where(
      and(
        eq(proofRounds.sheetId, round.sheetId),
        eq(proofRounds.sending, round.sending),
        eq(proofRounds.paperId, round.paperId),
        sql`${proofRounds.id} < ${round.id}`,
      ),
    )
    .limit(1);
  return other !== undefined;
}

export async function addProofReturn(
  tx: Writing,
  back: NewProofReturn,
  round: Pick<Row, 'workId' | 'sizeKey' | 'round' | 'paperId'>,
): Promise<void> {
  await record(tx, proofReturns, back, {
    at: back.backAt,
    what: `proof.${back.verdict}`,
    workId: round.workId,
    sizeKey: round.sizeKey,
    detail: {
      round: round.round,
      paperId: round.paperId,
      seen: back.seen,
      toChange: back.toChange,
    },
  });
}

/** Notes what an instrument read of a round's control strip. */
export async function addProofReading(
  tx: Writing,
  reading: { patches: PatchReading[]; source: string; at: string },
  round: Pick<Proof, 'id' | 'workId' | 'sizeKey' | 'round' | 'paper'>,
): Promise<number> {
  const values = { roundId: round.id, ...reading };
  const row = await record(tx, proofReadings, values, {
    at: reading.at,
    what: 'proof.read',
    workId: round.workId,
    sizeKey: round.sizeKey,
    detail: {
      round: round.round,
      paper: round.paper,
      patches: reading.patches.length,
      source: reading.source,
    },
  });
  return row.id;
}

/** Notes what the customer of a print said of its proof. */
export async function addProofCustomer(
  tx: Writing,
  said: Omit<ProofCustomer, 'id'>,
  round: Pick<Proof, 'workId' | 'sizeKey' | 'round'>,
): Promise<number> {
  const row = await record(tx, proofCustomers, said, {
    at: said.at,
    what: said.agreed ? 'proof.agreed' : 'proof.notAgreed',
    workId: round.workId,
    sizeKey: round.sizeKey,
    detail: { round: round.round, said: said.said },
  });
  return row.id;
}

/** Readings of the rounds of a work, newest first. */
export const proofReadingsOf = (db: Reading, workId: number): Promise<ProofReading[]> =>
  db
    .select()
    .from(proofReadings)
    .where(
      sql`${proofReadings.roundId} IN (SELECT id FROM proof_round WHERE work_id = ${workId})`,
    )
    .orderBy(sql`${proofReadings.id} DESC`);

/** What customers said of the rounds of a work, oldest first. */
export const proofCustomersOf = (db: Reading, workId: number): Promise<ProofCustomer[]> =>
  db
    .select()
    .from(proofCustomers)
    .where(
      sql`${proofCustomers.roundId} IN (SELECT id FROM proof_round WHERE work_id = ${workId})`,
    )
    .orderBy(asc(proofCustomers.id));

const joined = (db: Reading) =>
  db
    .select({
      round: proofRounds,
      back: proofReturns,
      paper: papers.name,
      file: printFiles,
      sheet: sheetFiles.name,
      profile: profiles.name,
    })
    .from(proofRounds)
    .innerJoin(papers, eq(papers.id, proofRounds.paperId))
    .leftJoin(proofReturns, eq(proofReturns.roundId, proofRounds.id))
    .leftJoin(printFiles, eq(printFiles.id, proofRounds.printFileId))
    .leftJoin(sheetFiles, eq(sheetFiles.id, proofRounds.sheetId))
    .leftJoin(profiles, eq(profiles.sha256, proofRounds.profileSha256));

type Joined = Awaited<ReturnType<typeof joined>>[number];

const areaOf = (sizeKey: string): number | null => {
  const size = nominalSize(sizeKey);
  return size ? size.width * size.height : null;
};

const asProof = ({ round, back, paper, file, sheet, profile }: Joined): Proof => ({
  ...round,
  // Rounds of before did not say by what their file was made; the file does.
  masterId: round.masterId ?? file?.masterId ?? null,
  recipe: round.recipe ?? file?.recipe ?? null,
  paper,
  file: file?.name ?? sheet,
  profile,
  inInk: file?.channels === 4,
  area: areaOf(round.sizeKey),
  backAt: back?.backAt ?? null,
  seen: back?.seen ?? null,
  toChange: back?.toChange ?? null,
  verdict: back?.verdict ?? null,
  light: back?.light ?? null,
  byEye: back?.byEye ?? null,
});

/** Rounds of one work, oldest first. */
export const proofsOf = async (db: Reading, workId: number): Promise<Proof[]> =>
  (await joined(db).where(eq(proofRounds.workId, workId)).orderBy(asc(proofRounds.id))).map(
    asProof,
  );

/** The approved rounds of some works, oldest first. */
export const approvedProofs = async (
  db: Reading,
  workIds: readonly number[],
): Promise<Proof[]> =>
  (
    await joined(db)
      .where(
        and(
          inArray(proofRounds.workId, [...workIds]),
          eq(proofReturns.verdict, 'approved'),
        ),
      )
      .orderBy(asc(proofRounds.id))
  ).map(asProof);

/** Rounds on a paper, of whatever work, newest first. */
export const proofsOnPaper = async (
  db: Reading,
  paperId: number,
  limit: number,
): Promise<Proof[]> =>
  (
    await joined(db)
      .where(eq(proofRounds.paperId, paperId))
      .orderBy(sql`${proofRounds.id} DESC`)
      .limit(limit)
  ).map(asProof);

/** A reading by its number, and the work it is of. */
export async function getProofReading(
  db: Reading,
  id: number,
): Promise<(ProofReading & { workId: number }) | null> {
  const [found] = await db
    .select({ reading: proofReadings, workId: proofRounds.workId })
    .from(proofReadings)
    .innerJoin(proofRounds, eq(proofRounds.id, proofReadings.roundId))
    .where(eq(proofReadings.id, id));
  return found ? { ...found.reading, workId: found.workId } : null;
}
