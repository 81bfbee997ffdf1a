'use client';
import { useEffect, useRef, useState } from 'react';
import type { CutFault, CutJob, CutPlan } from '@/core/cut';
import { pageThread } from '@/shell/running';
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
 * `found` is called once with what came of it; `stopped` where it was ended before its time, and
 * 'failed' where it could not be planned at all.
 */
export function usePlanning(
  key: string | null,
  job: CutJob,
  found: (plan: CutPlan | CutFault | 'failed' | null, stopped: boolean) => void,
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
    let over = false;
    const thread = pageThread(
      new Worker(new URL('./planning.worker.ts', import.meta.url), { type: 'module' }),
    );
    const leave = () => {
      over = true;
      thread.end();
      stop.current = () => undefined;
      setNow(null);
    };
    const end = (...came: Parameters<typeof found>) => {
      if (over) return;
      leave();
      tell.current(...came);
    };
    stop.current = () => end(best, true);
    setNow({ share: 0, best: null });
    void thread.alive.then((alive) => {
      if (!alive) return end('failed', false);
      if (over) return;
      const { worker } = thread;
      worker.onmessage = ({ data }: MessageEvent<Planning>) => {
        if ('done' in data) return end(data.done, false);
        best = data.best;
        setNow(data);
      };
      worker.onerror = () => end('failed', false);
      worker.postMessage(wanted.current);
    });
    return leave;
  }, [key]);
  return { share: now?.share ?? null, best: now?.best ?? null, stop: () => stop.current() };
}
