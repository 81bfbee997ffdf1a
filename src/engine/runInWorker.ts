import { Worker } from 'node:worker_threads';
import type { WorkerWord } from './pixel.worker';
import type { Task } from './tasks';
import type { Progress } from './tilesPass';

/** Thrown when a running task was cancelled by the user. */
export class Cancelled extends Error {
  constructor() {
    super('cancelled');
  }
}

export type StartWorker = (task: Task) => Worker;

let start: StartWorker = (task) =>
  new Worker(new URL('./pixel.worker.ts', import.meta.url), { workerData: task });

/** Programs that run from source, without the bundler, start worker threads their own way. */
export const startWorkersBy = (other: StartWorker): void => {
  start = other;
};

/** Runs a task in a worker thread of its own; aborting the signal ends the thread at once. */
export function runInWorker(
  task: Task,
  progress: Progress,
  signal: AbortSignal,
): Promise<void> {
  return new Promise((resolve, reject) => {
    const worker = start(task);
    const end = (settle: () => void) => {
      signal.removeEventListener('abort', cancel);
      void worker.terminate();
      settle();
    };
    const cancel = () => end(() => reject(new Cancelled()));
    signal.addEventListener('abort', cancel);
    worker.on('message', (word: WorkerWord) => {
      if (word.kind === 'progress') progress(word.stage, word.share);
      else if (word.kind === 'done') end(resolve);
      else end(() => reject(new Error(word.message)));
    });
    worker.on('error', (error) => end(() => reject(error)));
    worker.on('exit', (code) => end(() => reject(new Error(`worker ended with ${code}`))));
    if (signal.aborted) cancel();
  });
}
