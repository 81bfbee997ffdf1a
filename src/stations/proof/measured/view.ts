import { driftSince } from '@/core/proof';
import type { StripLimits } from '@/core/proof';
import type { Proof, ProofReading, Reading } from '@/data';
import { measuredProof, orGone, stripOfRound, studio } from '@/studio';

/** What was read of a round, what that says, and how far it is from the approved one. */
export async function measuredOf(
  db: Reading,
  round: Proof | null,
  proofs: readonly Proof[],
  readings: readonly ProofReading[],
  limits: StripLimits,
) {
  const of = (p: Pick<Proof, 'id'>) => readings.find((r) => r.roundId === p.id);
  const reading = round && of(round);
  if (!round || !reading)
    return {
      reading: null,
      measured: null,
      against: null,
      strip: round !== null && (await stripOfRound(db, round)) !== null,
      fault: null,
    };
  const approved = proofs.findLast(
    (p) =>
      p.verdict === 'approved' &&
      p.id !== round.id &&
      p.sizeKey === round.sizeKey &&
      p.paperId === round.paperId &&
      of(p),
  );
  const drift = approved && driftSince(reading.patches, of(approved)!.patches, limits);
  const found = await orGone(measuredProof(await studio(), db, round, reading));
  return {
    reading: { id: reading.id, source: reading.source, at: reading.at },
    measured: typeof found === 'string' ? null : found,
    /** Why a reading that is there says nothing. */
    fault: typeof found === 'string' ? found : null,
    /** Drift since the approved round of the same size and paper; null: there is none to hold it against. */
    against: drift && ('code' in drift ? null : { round: approved.round, ...drift }),
    strip: true,
  };
}
