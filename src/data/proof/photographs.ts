import { desc, eq, inArray, sql } from 'drizzle-orm';
import type { Reading, Writing } from '../reading';
import { proofPhotographs, proofPlacings, proofRounds } from '../schema';
import { record } from '../log/log';
import type { Proof } from './proofs';

export type ProofPhotograph = typeof proofPhotographs.$inferSelect;
export type ProofPlacing = typeof proofPlacings.$inferSelect;
export type NewPlacing = Omit<ProofPlacing, 'id' | 'photographId'>;

/** A photograph of a round, and where the print lies in it. */
export interface PlacedPhotograph extends ProofPhotograph {
  placing: ProofPlacing;
}

type Of = Pick<Proof, 'id' | 'workId' | 'sizeKey' | 'round' | 'paper'>;

/** Takes a photograph of a round, with where the print was found in it. */
export async function addProofPhotograph(
  tx: Writing,
  photograph: Omit<ProofPhotograph, 'id' | 'roundId'>,
  placing: Omit<NewPlacing, 'at'>,
  round: Of,
): Promise<number> {
  const { at, name } = photograph;
  const row = await record(
    tx,
    proofPhotographs,
    { roundId: round.id, ...photograph },
    {
      at,
      what: 'proof.photographed',
      workId: round.workId,
      sizeKey: round.sizeKey,
      detail: { round: round.round, paper: round.paper, name },
    },
  );
  await tx.insert(proofPlacings).values({ photographId: row.id, ...placing, at });
  return row.id;
}

/** Notes where the print lies in a photograph, as it was placed by hand. */
export async function addProofPlacing(
  tx: Writing,
  photograph: Pick<ProofPhotograph, 'id' | 'name'>,
  placing: NewPlacing,
  round: Of,
): Promise<void> {
  await record(
    tx,
    proofPlacings,
    { photographId: photograph.id, ...placing },
    {
      at: placing.at,
      what: 'proof.placed',
      workId: round.workId,
      sizeKey: round.sizeKey,
      detail: { round: round.round, name: photograph.name },
    },
  );
}

async function placed(
  db: Reading,
  photographs: ProofPhotograph[],
): Promise<PlacedPhotograph[]> {
  if (photographs.length === 0) return [];
  const ids = photographs.map((p) => p.id);
  const placings = await db
    .select()
    .from(proofPlacings)
    .where(inArray(proofPlacings.photographId, ids))
    .orderBy(desc(proofPlacings.id));
  return photographs.flatMap((p) => {
    const placing = placings.find((l) => l.photographId === p.id);
    return placing ? [{ ...p, placing }] : [];
  });
}

/** Photographs of the rounds of a work, newest first. */
export const proofPhotographsOf = async (
  db: Reading,
  workId: number,
): Promise<PlacedPhotograph[]> =>
  placed(
    db,
    await db
      .select()
      .from(proofPhotographs)
      .where(
        sql`${proofPhotographs.roundId} IN (SELECT id FROM proof_round WHERE work_id = ${workId})`,
      )
      .orderBy(desc(proofPhotographs.id)),
  );

/** A photograph by its number, and the work that it is of; null where there is none. */
export async function getProofPhotograph(
  db: Reading,
  id: number,
): Promise<(PlacedPhotograph & { workId: number }) | null> {
  const [found] = await db
    .select({ photograph: proofPhotographs, workId: proofRounds.workId })
    .from(proofPhotographs)
    .innerJoin(proofRounds, eq(proofRounds.id, proofPhotographs.roundId))
    .where(eq(proofPhotographs.id, id));
  const [photograph] = found ? await placed(db, [found.photograph]) : [];
  return photograph ? { ...photograph, workId: found!.workId } : null;
}
