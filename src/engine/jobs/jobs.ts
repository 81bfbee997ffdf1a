import { secondsLeft } from '@/core/jobs';
import type { Progress } from '../progress';
import { Cancelled } from './workerPool';

/** `cutOff`: the server stopped while it waited or ran. */
export type JobState = 'queued' | 'running' | 'done' | 'failed' | 'cancelled' | 'cutOff';

export interface Job<Kind extends string = string> {
  id: number;
  kind: Kind;
  workId: number | null;
  state: JobState;
  stage: string;
  /** 0..1 */
  share: number;
  error: string | null;
}

/** A job as it is followed: with its place in the line and the time it will still take. */
export interface JobNow extends Job {
  /** Jobs that start before it; 0 when it is running. */
  ahead: number;
  secondsLeft: number | null;
}

export type JobRun = (progress: Progress, signal: AbortSignal) => Promise<void>;

interface Entry {
  job: Job;
  run: JobRun;
  abort: AbortController;
  startedMs: number | null;
  settled: (ended: EndedJob) => void;
}

/** How a job ended, and what made it fail. */
export interface EndedJob {
  job: Job;
  cause: unknown;
}

export interface JobQueueOptions {
  /** Jobs that run at the same time. */
  atOnce: number;
  clock: () => number;
  /** Writes a change of state or stage down. */
  save: (job: Job) => Promise<void>;
}

/** Ended jobs that are still answered for from memory. */
const REMEMBERED = 200;

/**
 * Runs jobs in the order in which they came, a few at a time; keeps the latest state of
 * each in memory, tells whoever follows, and hands every change of state to `save`.
 */
export class JobQueue {
  private readonly waiting: Entry[] = [];
  private readonly known = new Map<number, Entry>();
  private readonly followers = new Set<() => void>();
  private running = 0;

  constructor(private readonly options: JobQueueOptions) {}

  get(id: number): JobNow | undefined {
    const entry = this.known.get(id);
    return entry && this.now(entry);
  }

  /** Jobs that run or wait, in order. */
  list(): JobNow[] {
    return [...this.known.values()]
      .filter(({ job }) => job.state === 'running' || job.state === 'queued')
      .map((entry) => this.now(entry))
      .sort((a, b) => a.ahead - b.ahead || a.id - b.id);
  }

  /** Those that have ended and are remembered, the newest first; `most` of them. */
  ended(most: number): JobNow[] {
    return [...this.known.values()]
      .filter(({ job }) => job.state !== 'running' && job.state !== 'queued')
      .slice(-most)
      .reverse()
      .map((entry) => this.now(entry));
  }

  /** Calls back on every change of any job, until the returned function is called. */
  follow(change: () => void): () => void {
    this.followers.add(change);
    return () => this.followers.delete(change);
  }

  /** Queues a job; the promise settles when it has ended, however it ended. */
  add(job: Job, run: JobRun): Promise<EndedJob> {
    return new Promise((settled) => {
      const entry = { job, run, abort: new AbortController(), startedMs: null, settled };
      this.known.set(job.id, entry);
      this.waiting.push(entry);
      this.tell();
      void this.next();
    });
  }

  /** Stops a job, running or waiting. */
  cancel(id: number): void {
    const entry = this.known.get(id);
    if (!entry) return;
    entry.abort.abort();
    const place = this.waiting.indexOf(entry);
    if (place < 0) return;
    this.waiting.splice(place, 1);
    void this.end(entry, new Cancelled());
  }

  private now({ job, startedMs }: Entry, clock = this.options.clock()): JobNow {
    const place = this.waiting.findIndex((w) => w.job.id === job.id);
    return {
      ...job,
      ahead: place < 0 ? 0 : this.running + place,
      secondsLeft: startedMs === null ? null : secondsLeft(job.share, clock - startedMs),
    };
  }

  private tell(): void {
    for (const change of this.followers) change();
  }

  private async next(): Promise<void> {
    if (this.running >= this.options.atOnce) return;
    const entry = this.waiting.shift();
    if (!entry) return;
    this.running += 1;
    const { job, run, abort } = entry;
    let cause: unknown = null;
    try {
      entry.startedMs = this.options.clock();
      job.state = 'running';
      this.tell();
      await this.options.save(job);
      await run((stage, share) => {
        job.stage = stage;
        job.share = share;
        this.tell();
      }, abort.signal);
    } catch (error) {
      cause = error ?? new Error('failed');
    }
    this.running -= 1;
    await this.end(entry, cause);
    void this.next();
  }

  private async end(entry: Entry, cause: unknown): Promise<void> {
    const { job } = entry;
    job.state =
      cause === null ? 'done' : cause instanceof Cancelled ? 'cancelled' : 'failed';
    if (cause === null) job.share = 1;
    else job.error = cause instanceof Error ? cause.message : 'unknown reason';
    await this.options.save(job).catch(() => undefined);
    entry.settled({ job, cause });
    this.tell();
    if (this.known.size > REMEMBERED)
      for (const [id, { job: old }] of this.known)
        if (old.state !== 'running' && old.state !== 'queued') {
          this.known.delete(id);
          break;
        }
  }
}
