import { availableParallelism } from 'node:os';
import { Worker } from 'node:worker_threads';
import { FileRefusal } from '../fileRefusal';
import type { WorkerWord } from './pixel.worker';
import type { Progress } from '../progress';
import type { TaskInput, TaskName, TaskResult } from './tasks';

/** Thrown when running work was stopped by the user. */
export class Cancelled extends Error {
  constructor() {
    super('cancelled');
  }
}

export type StartWorker = () => Worker;

/** Threads that work at the same time; `GLASSINE_WORKERS`, else one for each processor, four at most. */
export const WORKERS = Math.max(
  1,
  Number(process.env.GLASSINE_WORKERS) || Math.min(4, availableParallelism()),
);

/**
 * Nice enough that the thread which answers requests comes first, ten to one; at 19 a busy
 * machine would all but stop the work. What someone waits for stands back by much less.
 */
const NICENESS = 10;
const NICENESS_AT_ONCE = 3;

/** Threads for what someone waits for. */
const AT_ONCE = Math.min(2, WORKERS);

interface Waiting {
  task: TaskName;
  input: unknown;
  progress: Progress;
  signal: AbortSignal;
  resolve: (result: never) => void;
  reject: (error: Error) => void;
}

const failure = (word: Extract<WorkerWord, { kind: 'failed' }>): Error =>
  word.refused
    ? new FileRefusal(word.refused)
    : Object.assign(new Error(word.message), { code: word.code });

/**
 * A fixed number of worker threads and a line of tasks before them. A thread is kept for
 * the next task; one that is stopped or dies is replaced.
 */
export class WorkerPool {
  private readonly line: Waiting[] = [];
  private readonly idle: Worker[] = [];
  private threads = 0;

  constructor(
    private readonly size: number,
    private readonly start: StartWorker,
    /** Whether a thread is stopped in the middle of a task that is not wanted any more. */
    private readonly stops = true,
    private readonly niceness = NICENESS,
  ) {}

  /** Runs a task when a thread is free. Rejects with Cancelled once the thread has ended. */
  run<K extends TaskName>(
    task: K,
    input: TaskInput<K>,
    progress: Progress,
    signal: AbortSignal,
  ): Promise<TaskResult<K>> {
    return new Promise((resolve, reject) => {
      this.line.push({ task, input, progress, signal, resolve, reject });
      this.next();
    });
  }

  /** Ends all threads; what runs is lost. */
  async close(): Promise<void> {
    await Promise.all(this.idle.splice(0).map((worker) => worker.terminate()));
  }

  private next(): void {
    const worker = this.line.length > 0 ? (this.idle.pop() ?? this.another()) : undefined;
    const entry = worker && this.line.shift();
    if (!worker || !entry) return;
    if (entry.signal.aborted) {
      entry.reject(new Cancelled());
      this.idle.push(worker);
      return this.next();
    }
    this.give(worker, entry);
  }

  private another(): Worker | undefined {
    if (this.threads >= this.size) return undefined;
    this.threads += 1;
    const worker = this.start();
    // Whoever gave it work is told by `give`; one that dies idle is only forgotten.
    worker.on('error', () => undefined);
    worker.on('exit', () => {
      const place = this.idle.indexOf(worker);
      if (place < 0) return;
      this.idle.splice(place, 1);
      this.threads -= 1;
    });
    return worker;
  }

  private give(worker: Worker, entry: Waiting): void {
    let ended = false;
    const cancel = () => void worker.terminate();
    const settle = (then: () => void) => {
      if (ended) return;
      ended = true;
      worker.off('message', hear).off('error', lost).off('exit', exit);
      entry.signal.removeEventListener('abort', cancel);
      then();
      this.next();
    };
    const free = (then: () => void) =>
      settle(() => {
        // A thread that waits does not keep the process alive.
        worker.unref();
        this.idle.push(worker);
        then();
      });
    const hear = (word: WorkerWord) => {
      if (word.kind === 'progress') entry.progress(word.stage, word.share);
      else if (word.kind === 'done') free(() => entry.resolve(word.result as never));
      else free(() => entry.reject(failure(word)));
    };
    const lost = (error: Error) =>
      settle(() => {
        this.threads -= 1;
        entry.reject(entry.signal.aborted ? new Cancelled() : error);
      });
    const exit = (code: number) => lost(new Error(`the worker thread ended with ${code}`));
    worker.ref();
    worker.on('message', hear).on('error', lost).on('exit', exit);
    if (this.stops) entry.signal.addEventListener('abort', cancel);
    const { task, input } = entry;
    worker.postMessage({ task, input, niceness: this.niceness });
  }
}

let start: StartWorker = () => new Worker(new URL('./pixel.worker.ts', import.meta.url));
let pool: WorkerPool | undefined;
let atOnce: WorkerPool | undefined;

/** Programs that run from source, without the bundler, start worker threads their own way. */
export const startWorkersBy = (other: StartWorker): void => {
  start = other;
};

/** Runs a task in the pool of this process. */
export const runInWorker: WorkerPool['run'] = (task, input, progress, signal) =>
  (pool ??= new WorkerPool(WORKERS, () => start())).run(task, input, progress, signal);

/**
 * Runs a short task that someone waits for with the picture before them, in threads of its
 * own: long work does not stand in its way. Not wanted any more, it is dropped only while
 * it waits; a thread costs more than what is left of the task.
 */
export const runAtOnce: WorkerPool['run'] = (task, input, progress, signal) =>
  (atOnce ??= new WorkerPool(AT_ONCE, () => start(), false, NICENESS_AT_ONCE)).run(
    task,
    input,
    progress,
    signal,
  );

/** Starts the threads of `runAtOnce` ahead of the first who waits; once. */
export function readyAtOnce(): void {
  if (atOnce) return;
  const nobody = new AbortController().signal;
  for (let i = 0; i < AT_ONCE; i += 1)
    runAtOnce('rest', null, () => undefined, nobody).catch(() => undefined);
}
