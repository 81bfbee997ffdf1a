import { Cancelled } from './runInWorker';
import type { Progress } from './tilesPass';

export type JobState = 'queued' | 'running' | 'done' | 'failed' | 'cancelled';

export interface Job {
  id: number;
  kind: 'read' | 'printFile';
  workId: number;
  state: JobState;
  stage: string;
  /** 0..1 */
  share: number;
  error: string | null;
}

export type JobRun = (progress: Progress, signal: AbortSignal) => Promise<void>;

interface Waiting {
  job: Job;
  run: JobRun;
  abort: AbortController;
  settled: () => void;
}

/**
 * Runs jobs one after the other, so that the machine stays answerable; keeps the latest
 * state of each in memory and hands every change of state to `save`.
 */
export class JobQueue {
  private readonly waiting: Waiting[] = [];
  private readonly known = new Map<number, Waiting>();
  private busy = false;

  constructor(private readonly save: (job: Job) => Promise<void>) {}

  get(id: number): Job | undefined {
    return this.known.get(id)?.job;
  }

  /** Queues a job; the promise settles when it has ended, however it ended. */
  add(job: Job, run: JobRun): Promise<void> {
    return new Promise((resolve) => {
      const entry = { job, run, abort: new AbortController(), settled: resolve };
      this.known.set(job.id, entry);
      this.waiting.push(entry);
      void this.next();
    });
  }

  cancel(id: number): void {
    this.known.get(id)?.abort.abort();
  }

  private async next(): Promise<void> {
    if (this.busy) return;
    const entry = this.waiting.shift();
    if (!entry) return;
    this.busy = true;
    const { job, run, abort } = entry;
    try {
      if (abort.signal.aborted) throw new Cancelled();
      job.state = 'running';
      await this.save(job);
      await run((stage, share) => {
        job.stage = stage;
        job.share = share;
      }, abort.signal);
      job.state = 'done';
      job.share = 1;
    } catch (error) {
      job.state = error instanceof Cancelled ? 'cancelled' : 'failed';
      job.error = error instanceof Error ? error.message : String(error);
    }
    await this.save(job).catch(() => undefined);
    this.busy = false;
    entry.settled();
    void this.next();
  }
}
