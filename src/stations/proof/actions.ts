'use server';
import { noonOf } from '@/core/days';
import { nextRound, verdictFault } from '@/core/proof';
import { addProofReturn, addProofRound, getPaper, proofsOf } from '@/data';
import { act, refuse, sizeFault } from '@/studio';
import type { Answer } from '@/core/input';
import { backForm, sendForm } from './proofForms';

/** Sends the next proof round of a size on a paper. */
export async function sendProof(typed: unknown): Promise<Answer<number>> {
  return act(sendForm, typed, {}, async (v, { studio, settings, write, at, today }) => {
    const { workId, sizeKey, paperId, route, cost, remarks } = v;
    if (!(await getPaper(studio.db.read, paperId))) {
      const message = 'Paper: choose one from the drawer; add it there first if it is new.';
      return refuse(message, { paperId: message });
    }
    const sentAt = v.sentOn === today ? at : noonOf(v.sentOn, settings.timeZone);
    return write(async (tx) => {
      const fault = await sizeFault(tx, workId, sizeKey);
      if (fault) return fault;
      const rounds = await proofsOf(tx, workId);
      const { round, out } = nextRound(rounds, { paperId, sizeKey });
      if (out)
        return refuse(
          `Round ${out.round} on this paper is still out. Say what was seen on it first.`,
        );
      return addProofRound(tx, {
        workId,
        sizeKey,
        paperId,
        round,
        route,
        cost,
        currency: settings.currency,
        remarks,
        sentAt,
      });
    });
  });
}

/** Notes what was seen on a round that came back, and the verdict. */
export async function judgeProof(typed: unknown): Promise<Answer<null>> {
  return act(
    backForm,
    typed,
    {},
    async ({ workId, roundId, seen, toChange, verdict }, { write, at }) =>
      write(async (tx) => {
        const round = (await proofsOf(tx, workId)).find((p) => p.id === roundId);
        if (!round) return refuse('This round is not there. Open the proof station anew.');
        if (round.verdict !== null)
          return refuse(
            'This round has been judged already; its verdict stands. Send a further round instead.',
          );
        if (verdictFault({ verdict, toChange })) {
          const message = 'To change: is empty. Say what the next round tries.';
          return refuse(message, { toChange: message });
        }
        await addProofReturn(tx, { roundId, seen, toChange, verdict, backAt: at }, round);
        return null;
      }),
  );
}
