'use client';
import { useRouter } from 'next/navigation';
import { useEffect, useState, useTransition } from 'react';
import { Button } from './Button';
import { Problem, Progress } from './states';

export interface JobView {
  id: number;
  state: 'queued' | 'running' | 'done' | 'failed' | 'cancelled';
  stage: string;
  share: number;
  error: string | null;
}

const ended = (job: JobView) => !['queued', 'running'].includes(job.state);

/**
 * Follows a job over its event stream: stage, per cent, stop. Reads the page again when
 * the job has ended.
 */
export function JobLine({
  job: first,
  what,
  onAgain,
}: {
  job: JobView;
  what: string;
  onAgain?: () => void;
}) {
  const [job, setJob] = useState(first);
  const [, start] = useTransition();
  const router = useRouter();
  useEffect(() => {
    setJob(first);
    if (ended(first)) return;
    const events = new EventSource(`/api/jobs/${first.id}`);
    events.onmessage = (message) => {
      const now = JSON.parse(String(message.data)) as JobView;
      setJob(now);
      if (ended(now)) {
        events.close();
        router.refresh();
      }
    };
    return () => events.close();
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [first.id, first.state, router]);
  if (job.state === 'done') return null;
  if (!ended(job))
    return (
      <div style={{ display: 'grid', gap: 7 }}>
        <Progress label={`${what}: ${job.stage}`} share={job.share} />
        <Button
          $plain
          $small
          style={{ justifySelf: 'start' }}
          onPress={() =>
            start(() => void fetch(`/api/jobs/${job.id}`, { method: 'DELETE' }))
          }
        >
          Stop
        </Button>
      </div>
    );
  return (
    <div style={{ display: 'grid', gap: 7 }}>
      <Problem>
        {job.state === 'cancelled'
          ? `${what}: stopped. Nothing of it was kept.`
          : `${what} did not finish: ${job.error ?? 'unknown reason'}.`}
      </Problem>
      {onAgain && (
        <Button $small style={{ justifySelf: 'start' }} onPress={onAgain}>
          Try again
        </Button>
      )}
    </div>
  );
}
