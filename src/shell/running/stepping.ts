import { ALIVE } from './thread';

/** What a thread says of its work: how far it is, with the best so far; at the end what came of it. */
export type ThreadWord<Done, Best> = { share: number; best: Best | null } | { done: Done };

/** Not more often than this is told how far it is. */
const TELL_MS = 80;

/**
 * Makes this thread do one work that is a generator: it tells how far it is, and at the end what
 * came of it. `told` says of a step how far that is.
 */
export function workInSteps<Job, Step, Done, Best>(
  begin: (job: Job) => Generator<Step, Done>,
  told: (step: Step) => { share: number; best: Best | null },
): void {
  self.onmessage = ({ data }: MessageEvent<Job>) => {
    const tell = (word: ThreadWord<Done, Best>) => self.postMessage(word);
    const steps = begin(data);
    let last = performance.now();
    for (;;) {
      const step = steps.next();
      if (step.done) return tell({ done: step.value });
      const now = performance.now();
      if (now - last < TELL_MS) continue;
      last = now;
      tell(told(step.value));
    }
  };
  self.postMessage(ALIVE);
}
