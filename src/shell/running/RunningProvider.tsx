'use client';
import { createContext, useContext, useEffect, useMemo, useRef, useState } from 'react';
import type { ReactNode } from 'react';
import { useToast } from '../said/Toasts';
import { endedWords, hasEnded } from './job';
import type { JobView } from './job';
import { hearRunning } from './stream';

interface Running {
  jobs: readonly JobView[];
  /** Numbers of the jobs that this page shows: their end is seen there. */
  shown: Set<number>;
}

const RunningContext = createContext<Running>({ jobs: [], shown: new Set() });

/** The system's own word, where it is allowed and nobody looks at the page. */
function notify(words: string): void {
  if (document.visibilityState === 'visible') return;
  if (!('Notification' in window) || Notification.permission !== 'granted') return;
  new Notification('Glassine', { body: words, tag: words });
}

/** All long work of the house, for every view; says when some of it ended that the page does not show. */
export function RunningProvider({ children }: { children: ReactNode }) {
  const [jobs, setJobs] = useState<readonly JobView[]>([]);
  const shown = useRef(new Set<number>());
  const { say } = useToast();
  useEffect(() => {
    let before: ReadonlyMap<number, JobView> | null = null;
    const { stop, holds } = hearRunning((now) => {
      for (const job of before === null ? [] : now) {
        const old = before?.get(job.id);
        // What ended before the first word was heard is no news.
        if (!hasEnded(job) || (old && hasEnded(old))) continue;
        if (!shown.current.has(job.id) && job.state !== 'cancelled') say(endedWords(job));
        if (holds()) notify(endedWords(job));
      }
      before = new Map(now.map((job) => [job.id, job]));
      setJobs(now);
    });
    return stop;
  }, [say]);
  const running = useMemo(() => ({ jobs, shown: shown.current }), [jobs]);
  return <RunningContext.Provider value={running}>{children}</RunningContext.Provider>;
}

/** What runs and waits, in its order. */
export const useRunning = (): readonly JobView[] =>
  useContext(RunningContext).jobs.filter((job) => !hasEnded(job));

/** One job as it stands now; as the page brought it, until something of it is heard. */
export function useJob(first: JobView): JobView {
  const { jobs, shown } = useContext(RunningContext);
  const { id } = first;
  useEffect(() => {
    shown.add(id);
    return () => {
      shown.delete(id);
    };
  }, [shown, id]);
  // What the page brought may be newer: an end is final.
  return hasEnded(first) ? first : (jobs.find((job) => job.id === id) ?? first);
}
