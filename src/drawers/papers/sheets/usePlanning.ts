'use client';
import { useEffect, useRef, useState } from 'react';
import type { CutFault, CutJob, CutPlan } from '@/core/cut';
import type { Planning } from './planning.worker';

export interface PlanningNow {
  /** 0..1 while it is planned; null while nothing is. */
  share: number | null;
  /** The best so far. */
  best: CutPlan | null;
  /** Ends it with the best so far. */
  stop: () => void;
}

/**
 * Plans a job in a thread of its own whenever `key` is another; null: there is nothing to plan.
 * `found` is called once with what came of it; `stopped` where it was ended before its time.
 */
export function usePlanning(
  key: string | null,
  job: CutJob,
  found: (plan: CutPlan | CutFault | null, stopped: boolean) => void,
): PlanningNow {
  const [now, setNow] = useState<{ share: number; best: CutPlan | null } | null>(null);
  const stop = useRef<() => void>(() => undefined);
  const tell = useRef(found);
  tell.current = found;
  const wanted = useRef(job);
  wanted.current = job;
  useEffect(() => {
    if (key === null) return;
    let best: CutPlan | null = null;
    const thread = new Worker(new URL('./planning.worker.ts', import.meta.url), {
      type: 'module',
    });
    const end = (plan: CutPlan | CutFault | null, stopped: boolean) => {
      thread.terminate();
      stop.current = () => undefined;
      setNow(null);
      tell.current(plan, stopped);
    };
    stop.current = () => end(best, true);
    thread.onmessage = ({ data }: MessageEvent<Planning>) => {
      if ('done' in data) return end(data.done, false);
      best = data.best;
      setNow(data);
    };
    thread.onerror = () => end(null, true);
    setNow({ share: 0, best: null });
    thread.postMessage(wanted.current);
    return () => {
      thread.terminate();
      stop.current = () => undefined;
      setNow(null);
    };
  }, [key]);
  return { share: now?.share ?? null, best: now?.best ?? null, stop: () => stop.current() };
}
