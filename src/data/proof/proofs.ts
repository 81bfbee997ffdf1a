import { asc, eq } from 'drizzle-orm';
import type { Reading, Writing } from '../reading';
import { papers, proofReturns, proofRounds } from '../schema';
import { addPrintEntry } from '../log/printEntries';
import { getPrintFile, printFilesOf } from '../prepare/printFiles';
import { record } from '../log/log';

export type NewProofRound = Omit<typeof proofRounds.$inferSelect, 'id'>;
export type NewProofReturn = typeof proofReturns.$inferSelect;
export type Proof = typeof proofRounds.$inferSelect & {
  paper: string;
  backAt: string | null;
  seen: string | null;
  toChange: string | null;
  verdict: NewProofReturn['verdict'] | null;
};

/** Sends a round: of the print file named, else of the newest one of its size, if there is one. */
export async function addProofRound(
  tx: Writing,
  { printFileId, ...round }: Omit<NewProofRound, 'printFileId'> & { printFileId?: number },
): Promise<number> {
  const { workId, sizeKey } = round;
  const file = printFileId
    ? await getPrintFile(tx, printFileId)
    : (await printFilesOf(tx, workId)).find((f) => f.sizeKey === sizeKey);
  const values = { ...round, printFileId: file?.id ?? null };
  const row = await record(tx, proofRounds, values, {
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
  });
  await addPrintEntry(tx, {
    kind: 'proofRound',
    ref: row.id,
    what: `proof round ${round.round}`,
    workIds: [workId],
    masterId: file?.masterId ?? null,
    sizeKey,
    recipe: file?.recipe ?? null,
    factor: file?.factor ?? null,
    paperId: round.paperId,
    route: round.route,
    cost: { amount: round.cost, currency: round.currency },
    at: round.sentAt,
  });
  return row.id;
}

export async function addProofReturn(
  tx: Writing,
  back: NewProofReturn,
  round: NewProofRound,
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

const joined = (db: Reading) =>
  db
    .select({ round: proofRounds, back: proofReturns, paper: papers.name })
    .from(proofRounds)
    .innerJoin(papers, eq(papers.id, proofRounds.paperId))
    .leftJoin(proofReturns, eq(proofReturns.roundId, proofRounds.id));

type Joined = Awaited<ReturnType<typeof joined>>[number];

const asProof = ({ round, back, paper }: Joined): Proof => ({
  ...round,
  paper,
  backAt: back?.backAt ?? null,
  seen: back?.seen ?? null,
  toChange: back?.toChange ?? null,
  verdict: back?.verdict ?? null,
});

/** Rounds of one work, oldest first. */
export const proofsOf = async (db: Reading, workId: number): Promise<Proof[]> =>
  (await joined(db).where(eq(proofRounds.workId, workId)).orderBy(asc(proofRounds.id))).map(
    asProof,
  );
