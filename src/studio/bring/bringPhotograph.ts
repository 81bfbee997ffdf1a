import { stat } from 'node:fs/promises';
import type { Readable } from 'node:stream';
import type { Corners } from '@/core/capture/geometry';
import { addProofPhotograph, getWork } from '@/data';
import { Cancelled, readMaster } from '@/engine';
import { keeping } from '../keeping/keeping';
import { NoMaster, heldAgainstMaster } from '../reads/photographedProof';
import { now } from '../running/studio';
import { ANY_PICTURE, no, receiveFile } from '../wayIn/received';
import type { IntakeAnswer } from '../wayIn/received';
import { rowId } from '../wayIn/rowId';
import { photographFaultWords } from '../words/photographWords';
import { roundOf } from './bringReading';

/** As large as a camera's picture or a scan of a print is. */
const PHOTOGRAPH = { ...ANY_PICTURE, mostBytes: 500e6 };

/** Corners to begin with, where they are placed by hand. */
const withinOf = (width: number, height: number): Corners => {
  const [l, t, r, b] = [0.15 * width, 0.15 * height, 0.85 * width, 0.85 * height];
  return [
    { x: l, y: t },
    { x: r, y: t },
    { x: r, y: b },
    { x: l, y: b },
  ];
};

/**
 * Takes a photograph or a scan of a round: finds the print in it, or lets its corners be placed by hand.
 * What is not found is refused in words, and nothing of it kept; nor is anything once it is stopped.
 */
export const receiveProofPhotograph = (
  { work, round, byHand }: { work: string; round: string; byHand: boolean },
  givenName: string,
  source: Readable,
  stop: AbortSignal,
): Promise<IntakeAnswer> =>
  receiveFile(givenName, source, PHOTOGRAPH, async ({ open, name, received }) => {
    const db = open.db.read;
    const of = await roundOf(open, rowId(work), rowId(round));
    if (!of) return no(`${name}: its round is not there. Open the proof station anew.`);
    const title = (await getWork(db, of.workId))?.title ?? 'this picture';
    const { facts } = await readMaster(received.path, (await stat(received.path)).size);
    const { width, height } = facts;
    let placing = { proof: withinOf(width, height), original: null as Corners | null };
    if (!byHand) {
      const anywhere = { placed: null, proofAt: 'right', card: null } as const;
      try {
        const seen = await heldAgainstMaster(open, db, of, received.path, anywhere, stop);
        if ('code' in seen) return no(photographFaultWords(name, title, seen));
        if (!seen.regions) return no(photographFaultWords(name, title, { code: 'little' }));
        placing = { proof: seen.proof.corners, original: seen.original?.corners ?? null };
      } catch (error) {
        if (!(error instanceof NoMaster)) throw error;
        return no(
          `${name}: round ${of.round} ${error.message}. Send the next round with its file.`,
        );
      }
    }
    if (stop.aborted) throw new Cancelled();
    const photograph = { sha256: received.sha256, name, width, height, at: now() };
    await keeping(open, async ({ keep }) => {
      await keep(received);
      await open.db.write((tx) =>
        addProofPhotograph(
          tx,
          photograph,
          { ...placing, proofAt: 'right', card: null, byHand },
          of,
        ),
      );
    });
    return { ok: true, name };
  });
