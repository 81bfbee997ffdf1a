import { planCuts } from '@/core/cut';
import type { CutFault, CutJob, CutPlan } from '@/core/cut';
import { ALIVE } from '@/shell/running/thread';

/** How far the planning is, and at the end what it found. */
export type Planning =
  { share: number; best: CutPlan | null } | { done: CutPlan | CutFault };

/** Not more often than this is told how far it is. */
const TELL_MS = 80;

/** Plans a job, and tells how far it is and the best so far; it ends with the thread. */
self.onmessage = ({ data }: MessageEvent<CutJob>) => {
  const tell = (planning: Planning) => self.postMessage(planning);
  const steps = planCuts(data);
  let told = performance.now();
  for (;;) {
    const step = steps.next();
    if (step.done) return tell({ done: step.value });
    const now = performance.now();
    if (now - told < TELL_MS) continue;
    told = now;
    tell(step.value);
  }
};
self.postMessage(ALIVE);
