'use client';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState, useTransition } from 'react';
import { Button } from '../actions/Button';
import { Problem, Progress } from '../said/states';
import { endedWords, hasEnded, stageWords } from './job';
import type { JobView } from './job';
import { useJob } from './RunningProvider';

/**
 * Follows a job: stage, per cent, time left, stop; run again when it ended before its time. Reads
 * the page again when the job has ended.
 */
export function JobLine({ job: first, what }: { job: JobView; what: string }) {
  const job = useJob(first);
  const [problem, setProblem] = useState<string | null>(null);
  const [, start] = useTransition();
  const router = useRouter();
  const running = !hasEnded(job);
  const ran = useRef(running);
  useEffect(() => {
    if (ran.current && !running) router.refresh();
    ran.current = running;
  }, [running, router]);
  const tell = (method: 'DELETE' | 'POST') =>
    start(async () => {
      const answer = await fetch(`/api/jobs/${job.id}`, { method }).catch(() => null);
      setProblem(
        answer?.ok ? null : 'Glassine did not answer. Is it still running? Try again.',
      );
      if (method === 'POST') router.refresh();
    });
  if (job.state === 'done') return null;
  return (
    <div style={{ display: 'grid', gap: 7 }}>
      {running ? (
        <Progress label={`${what}: ${stageWords(job)}`} share={job.share} />
      ) : (
        <Problem>{endedWords(job, what)}</Problem>
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
