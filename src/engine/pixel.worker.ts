import { parentPort, workerData } from 'node:worker_threads';
import { runTask } from './tasks';
import type { Task } from './tasks';

export type WorkerWord =
  | { kind: 'progress'; stage: string; share: number }
  | { kind: 'done' }
  | { kind: 'failed'; message: string };

const say = (word: WorkerWord) => parentPort?.postMessage(word);

let lastSaid = 0;
runTask(workerData as Task, (stage, share) => {
  const now = performance.now();
  if (now - lastSaid < 100 && share < 1) return;
  lastSaid = now;
  say({ kind: 'progress', stage, share });
}).then(
  () => say({ kind: 'done' }),
  (error: unknown) =>
    say({
      kind: 'failed',
      message: error instanceof Error ? error.message : String(error),
    }),
);
