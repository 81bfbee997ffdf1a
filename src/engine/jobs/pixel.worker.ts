import { readlinkSync } from 'node:fs';
import { setPriority } from 'node:os';
import { parentPort } from 'node:worker_threads';
import { FileRefusal } from '../fileRefusal';
import type { RefusedFile } from '../fileRefusal';
import { runTask } from './tasks';
import type { Order } from './tasks';

export type WorkerWord =
  | { kind: 'progress'; stage: string; share: number }
  | { kind: 'done'; result: unknown }
  | { kind: 'failed'; message: string; code?: string; refused?: RefusedFile };

const SAY_EVERY_MS = 100;

let stoodBack = false;

/** Stands back behind others; once, since a thread may not step forward again. */
function standBack(niceness: number): void {
  if (stoodBack) return;
  stoodBack = true;
  try {
    // Linux keeps a priority for every thread; elsewhere the name is not there, and no harm done.
    setPriority(Number(readlinkSync('/proc/thread-self').split('/').at(-1)), niceness);
  } catch {
    /* Not to be had here: the work is done all the same. */
  }
}

const say = (word: WorkerWord) => parentPort?.postMessage(word);

parentPort?.on('message', (order: Order & { niceness: number }) => {
  standBack(order.niceness);
  let lastSaid = 0;
  runTask(order, (stage, share) => {
    const now = performance.now();
    if (now - lastSaid < SAY_EVERY_MS && share < 1) return;
    lastSaid = now;
    say({ kind: 'progress', stage, share });
  }).then(
    (result) => say({ kind: 'done', result }),
    (error: unknown) =>
      say({
        kind: 'failed',
        message: error instanceof Error ? error.message : String(error),
        code: (error as NodeJS.ErrnoException).code,
        refused: error instanceof FileRefusal ? error.refused : undefined,
      }),
  );
});
