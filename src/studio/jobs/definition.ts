import type { JobRow } from '@/data';
import type { Progress } from '@/engine';
import type { Studio } from '../running/studio';

/** One kind of long work: what it is called, what it does, and what it needs to run again. */
export interface JobDefinition<Spec> {
  /** What it is called while it runs. */
  called: string;
  /** Does the work; may answer with what it found, and with a job that was noted to follow it. */
  run(
    open: Studio,
    spec: Spec,
    progress: Progress,
    signal: AbortSignal,
  ): Promise<{ following?: JobRow; result?: unknown } | void>;
  /** Names of arrivals that it needs when it is run again. */
  needsArrivals?(spec: Spec): string[];
  /** Half-written files that it leaves outside the data folder when it is cut off. */
  leavesParts?(spec: Spec): string[];
}
