'use server';
import type { Answer } from '@/core/input';
import { isSeen } from '@/core/proof';
import { addProofPlacing, proofPhotographsOf } from '@/data';
import { act, refuse, roundOf } from '@/studio';
import { placingForm } from '../proofForms';

/** Pixels that a corner is moved by, at least, by a hand. */
const STILL = 0.75;

/** Notes where the print lies in a photograph: corners, a grey card, on which side of the original. */
export async function placePhotograph(typed: unknown): Promise<Answer<null>> {
  return act(placingForm, typed, {}, async (v, { studio, write, at }) => {
    const round = await roundOf(studio, v.workId, v.roundId);
    const photographs = await proofPhotographsOf(studio.db.read, v.workId);
    const photograph = photographs.find(
      (p) => p.id === v.photographId && p.roundId === v.roundId,
    );
    if (!round || !photograph)
      return refuse('This photograph is not there. Open the proof station anew.');
    const { width, height, placing } = photograph;
    const [a, b, c, d] = v.corners;
    if (!a || !b || !c || !d)
      return refuse('Corners: there are four. Reload and place them again.');
    if ([...v.corners, ...v.cards].some((p) => p.x > width || p.y > height))
      return refuse('Corners: one lies beside the photograph. Move it back into it.');
    const proof: typeof placing.proof = [a, b, c, d];
    if (!isSeen(proof))
      return refuse(
        'Corners: these are not four corners of a picture, clockwise from its top left. Move them apart.',
      );
    // On the other side of the original lies what was taken for it.
    const swapped = placing.original !== null && v.proofAt !== placing.proofAt;
    const where = swapped
      ? { proof: placing.original!, original: proof }
      : { proof, original: placing.original };
    // What is shown lies where the light fits best, a little beside where it was placed.
    const moved = proof.some((p, i) => {
      const was = placing.proof[i]!;
      return Math.hypot(p.x - was.x, p.y - was.y) > STILL;
    });
    await write((tx) =>
      addProofPlacing(
        tx,
        photograph,
        {
          ...where,
          proofAt: v.proofAt,
          card: v.cards[0] ?? null,
          byHand: placing.byHand || moved,
          at,
        },
        round,
      ),
    );
    return null;
  });
}
