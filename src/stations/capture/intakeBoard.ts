import type { Readable } from 'node:stream';
import { fitFlatField } from '@/core/capture/evenness';
import { addBoardShot } from '@/data';
import { runInWorker } from '@/engine';
import { no, now, receiveFor } from '@/studio';
import type { IntakeAnswer } from '@/studio';

const NOT_PLAIN = {
  dark: 'it is all but black. Expose the board to a light grey and photograph it again.',
  notPlain:
    'this is not a plain board: its light does not change smoothly. Photograph the bare board, out of focus if need be.',
} as const;

/**
 * Takes a photograph of a plain board: its light over a grid is kept, the photograph itself
 * is not. Anything but a plain board is refused, since no falloff could be read from it.
 */
export const receiveBoard = (
  workId: string,
  givenName: string,
  source: Readable,
  stop: AbortSignal,
): Promise<IntakeAnswer> =>
  receiveFor(workId, givenName, source, async ({ open, work, name, received }) => {
    const board = await runInWorker('board', received, () => undefined, stop);
    const light = Float64Array.from(board.grid.light);
    const fitted = fitFlatField({ ...board.grid, light });
    if (!fitted.ok) return no(`${name}: ${NOT_PLAIN[fitted.because]}`);
    const { sha256 } = received;
    await open.db.write((tx) =>
      addBoardShot(tx, { workId: work.id, name, sha256, ...board, at: now() }),
    );
    return { ok: true, name };
  });
