import { rm } from 'node:fs/promises';
import type { Readable } from 'node:stream';
import { fitFlatField } from '@/core/capture/evenness';
import { addBoardShot, getWork } from '@/data';
import { Cancelled, FileRefusal, MAX_BYTES, receive, runInWorker } from '@/engine';
import { faultWords, now, refusalWords, rowId, studio } from '@/studio';
import { shownName } from './intake';
import type { IntakeAnswer } from './intake';

const NOT_PLAIN = {
  dark: 'it is all but black. Expose the board to a light grey and photograph it again.',
  notPlain:
    'this is not a plain board: its light does not change smoothly. Photograph the bare board, out of focus if need be.',
} as const;

/**
 * Takes a photograph of a plain board: its light over a grid is kept, the photograph itself
 * is not. Anything but a plain board is refused, since no falloff could be read from it.
 */
export async function receiveBoard(
  workId: string,
  givenName: string,
  source: Readable,
  stop: AbortSignal,
): Promise<IntakeAnswer> {
  const open = await studio();
  const name = shownName(givenName);
  const no = (message: string): IntakeAnswer => ({
    ok: false,
    message: `${name}: ${message}`,
  });
  const work = await getWork(open.db.read, rowId(workId));
  if (!work) {
    source.resume();
    return no('the work it was meant for is not there. Open the work and drop it again.');
  }
  let path: string | null = null;
  try {
    const received = await receive(open.home, source, MAX_BYTES);
    path = received.path;
    const { sha256, bytes } = received;
    const board = await runInWorker('board', { path, bytes }, () => undefined, stop);
    const light = Float64Array.from(board.grid.light);
    const fitted = fitFlatField({ ...board.grid, light });
    if (!fitted.ok) return no(NOT_PLAIN[fitted.because]);
    await open.db.write((tx) =>
      addBoardShot(tx, { workId: work.id, name, sha256, ...board, at: now() }),
    );
    return { ok: true, name };
  } catch (error) {
    if (error instanceof FileRefusal)
      return { ok: false, message: refusalWords(name, error.refused) };
    if (error instanceof Cancelled) return no('stopped. Nothing of it was kept.');
    const fault = faultWords(error);
    if (fault) return no(fault);
    const { code } = error as NodeJS.ErrnoException;
    return no(`it did not arrive whole (${code ?? 'connection broken'}). Drop it again.`);
  } finally {
    if (path) await rm(path, { force: true });
  }
}
