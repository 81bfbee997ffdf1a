'use client';
import type { CutFault, CutJob, CutPlan } from '@/core/cut';
import { useThreadWork } from '@/shell/running';
import type { WorkNow } from '@/shell/running';

const open = () =>
  new Worker(new URL('./planning.worker.ts', import.meta.url), { type: 'module' });

/** Plans a job in a thread of its own whenever `key` is another; null: there is nothing to plan. */
export const usePlanning = (
  key: string | null,
  job: CutJob,
  found: (plan: CutPlan | CutFault | 'failed' | null, stopped: boolean) => void,
): WorkNow<CutPlan> =>
  useThreadWork<CutJob, CutPlan | CutFault, CutPlan>(key, job, open, found);
