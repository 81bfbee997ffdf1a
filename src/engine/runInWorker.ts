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

/** Runs a task in a worker thread of its own; aborting the signal ends the thread at once. */
export function runInWorker(
  task: Task,
  progress: Progress,
  signal: AbortSignal,
): Promise<void> {
  return new Promise((resolve, reject) => {
    const worker = new Worker(new URL('./pixel.worker.ts', import.meta.url), {
      workerData: task,
    });
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
