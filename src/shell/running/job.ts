/** Long work as a page follows it. */
export interface JobView {
  id: number;
  state: 'queued' | 'running' | 'done' | 'failed' | 'cancelled' | 'cutOff';
  stage: string;
  share: number;
  error: string | null;
  /** Jobs that come before it. */
  ahead: number;
  secondsLeft: number | null;
  /** What it is, of which work; and where it is seen. */
  what?: string;
  href?: string;
}

export const hasEnded = (job: JobView) => !['queued', 'running'].includes(job.state);

/** About how long it will still take, no finer than it is known. */
export function timeLeftWords(seconds: number | null): string {
  if (seconds === null || seconds < 1) return '';
  if (seconds < 90)
    return `, about ${Math.max(1, Math.round(seconds / 5) * 5 || 1)} s left`;
  return `, about ${Math.round(seconds / 60)} min left`;
}

export const stageWords = (job: JobView): string =>
  job.state === 'queued'
    ? `waiting, ${job.ahead === 0 ? 'next in line' : `${job.ahead} before it`}`
    : `${job.stage}${timeLeftWords(job.secondsLeft)}`;

/** How long work ended, in a sentence. */
export const endedWords = (job: JobView, what = job.what ?? 'Work'): string =>
  job.state === 'done'
    ? `${what}: done.`
    : job.state === 'cancelled'
      ? `${what}: stopped. Nothing of it was kept.`
      : `${what} did not finish: ${job.error ?? 'unknown reason'}.`;
