'use client';
import { useEffect, useRef, useState } from 'react';
import type { ThreadWord } from './stepping';
import { pageThread } from './thread';

export interface WorkNow<Best> {
  /** 0..1 while it is at work; null while nothing is. */
  share: number | null;
  /** The best so far. */
  best: Best | null;
  /** Ends it with the best so far. */
  stop: () => void;
}

/**
 * Does a job in a thread of the page's own whenever `key` is another; null: there is nothing to
 * do. `found` is called once with what came of it; `stopped` where it was ended before its time, and
 * 'failed' where it could not be done at all.
 */
export function useThreadWork<Job, Done, Best = null>(
  key: string | null,
  job: Job,
  open: () => Worker,
  found: (came: Done | Best | 'failed' | null, stopped: boolean) => void,
): WorkNow<Best> {
  const [now, setNow] = useState<{ share: number; best: Best | null } | null>(null);
  const stop = useRef<() => void>(() => undefined);
  const tell = useRef(found);
  tell.current = found;
  const wanted = useRef({ job, open });
  wanted.current = { job, open };
  useEffect(() => {
    if (key === null) return;
    let best: Best | null = null;
    let over = false;
    const thread = pageThread(wanted.current.open());
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
      worker.onmessage = ({ data }: MessageEvent<ThreadWord<Done, Best>>) => {
        if ('done' in data) return end(data.done, false);
        best = data.best;
        setNow(data);
      };
      worker.onerror = () => end('failed', false);
      worker.postMessage(wanted.current.job);
    });
    return leave;
  }, [key]);
  return { share: now?.share ?? null, best: now?.best ?? null, stop: () => stop.current() };
}
