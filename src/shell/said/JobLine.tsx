'use client';
import { useRouter } from 'next/navigation';
import { useEffect, useState, useTransition } from 'react';
import { Button } from '../actions/Button';
import { Problem, Progress } from './states';

export interface JobView {
  id: number;
  state: 'queued' | 'running' | 'done' | 'failed' | 'cancelled' | 'cutOff';
  stage: string;
  share: number;
  error: string | null;
  /** Jobs that come before it. */
  ahead: number;
  secondsLeft: number | null;
}

const ended = (job: JobView) => !['queued', 'running'].includes(job.state);

/** About how long it will still take, no finer than it is known. */
function timeLeftWords(seconds: number | null): string {
  if (seconds === null || seconds < 1) return '';
  if (seconds < 90)
    return `, about ${Math.max(1, Math.round(seconds / 5) * 5 || 1)} s left`;
  return `, about ${Math.round(seconds / 60)} min left`;
}

const stageWords = (job: JobView): string =>
  job.state === 'queued'
    ? `waiting, ${job.ahead === 0 ? 'next in line' : `${job.ahead} before it`}`
    : `${job.stage}${timeLeftWords(job.secondsLeft)}`;

/**
 * Follows a job over its event stream: stage, per cent, time left, stop; run again when it
 * ended before its time. Reads the page again when the job has ended.
 */
export function JobLine({ job: first, what }: { job: JobView; what: string }) {
  const [job, setJob] = useState(first);
  const [problem, setProblem] = useState<string | null>(null);
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
  const tell = (method: 'DELETE' | 'POST') =>
    start(async () => {
      const answer = await fetch(`/api/jobs/${job.id}`, { method }).catch(() => null);
      setProblem(
        answer?.ok ? null : 'Glassine did not answer. Is it still running? Try again.',
      );
      if (method === 'POST') router.refresh();
    });
  if (job.state === 'done') return null;
  const running = !ended(job);
  return (
    <div style={{ display: 'grid', gap: 7 }}>
      {running ? (
        <Progress label={`${what}: ${stageWords(job)}`} share={job.share} />
      ) : (
        <Problem>
          {job.state === 'cancelled'
            ? `${what}: stopped. Nothing of it was kept.`
            : `${what} did not finish: ${job.error ?? 'unknown reason'}.`}
        </Problem>
      )}
      <Button
        $plain={running}
        $small
        style={{ justifySelf: 'start' }}
        onPress={() => tell(running ? 'DELETE' : 'POST')}
      >
        {running ? 'Stop' : 'Run it again'}
      </Button>
      <Problem>{problem}</Problem>
    </div>
  );
}
