import { JobQueue } from './jobs';
import type { Job, JobRun } from './jobs';
import { Cancelled } from './runInWorker';

const job = (id: number): Job => ({
  id,
  kind: 'read',
  workId: 1,
  state: 'queued',
  stage: 'waiting',
  share: 0,
  error: null,
});
const tick = () => new Promise((resolve) => setTimeout(resolve, 5));
const untilStopped: JobRun = (_progress, signal) =>
  new Promise((_resolve, reject) =>
    signal.addEventListener('abort', () => reject(new Cancelled())),
  );

function queue() {
  const saved: string[] = [];
  return {
    saved,
    jobs: new JobQueue((j) => {
      saved.push(`${j.id} ${j.state}`);
      return Promise.resolve();
    }),
  };
}

it('runs one job after the other, and saves every change of state', async () => {
  const { jobs, saved } = queue();
  const order: number[] = [];
  const run =
    (id: number): JobRun =>
    async (progress) => {
      progress('working', 0.5);
      await tick();
      order.push(id);
    };
  await Promise.all([jobs.add(job(1), run(1)), jobs.add(job(2), run(2))]);
  expect(order).toEqual([1, 2]);
  expect(saved).toEqual(['1 running', '1 done', '2 running', '2 done']);
  expect(jobs.get(2)).toMatchObject({ state: 'done', share: 1, stage: 'working' });
});

it('stops a running job and one that still waits', async () => {
  const { jobs, saved } = queue();
  const first = jobs.add(job(1), untilStopped);
  const second = jobs.add(job(2), () => Promise.reject(new Error('never runs')));
  await tick();
  jobs.cancel(2);
  jobs.cancel(1);
  await Promise.all([first, second]);
  expect(saved).toEqual(['1 running', '1 cancelled', '2 cancelled']);
});

it('keeps the reason of a job that failed, and goes on with the next', async () => {
  const { jobs } = queue();
  await jobs.add(job(1), () => Promise.reject(new Error('disk full')));
  await jobs.add(job(2), () => Promise.resolve());
  expect(jobs.get(1)).toMatchObject({ state: 'failed', error: 'disk full' });
  expect(jobs.get(2)?.state).toBe('done');
});
