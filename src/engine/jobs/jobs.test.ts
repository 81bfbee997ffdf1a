import { JobQueue } from './jobs';
import type { Job, JobRun } from './jobs';
import { Cancelled } from './workerPool';

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

function queue(atOnce = 1) {
  const saved: string[] = [];
  const clock = { ms: 0 };
  return {
    saved,
    clock,
    jobs: new JobQueue({
      atOnce,
      clock: () => clock.ms,
      save: (j) => {
        saved.push(`${j.id} ${j.state}`);
        return Promise.resolve();
      },
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
  expect(saved.sort()).toEqual(['1 cancelled', '1 running', '2 cancelled']);
});

it('keeps the reason of a job that failed, and goes on with the next', async () => {
  const { jobs } = queue();
  await jobs.add(job(1), () => Promise.reject(new Error('disk full')));
  await jobs.add(job(2), () => Promise.resolve());
  expect(jobs.get(1)).toMatchObject({ state: 'failed', error: 'disk full' });
  expect(jobs.get(2)?.state).toBe('done');
});

it('runs as many at once as it may, and tells each its place in the line', async () => {
  const { jobs, clock } = queue(2);
  const all = [1, 2, 3, 4].map((id) => jobs.add(job(id), untilStopped));
  await tick();
  expect(jobs.list().map((j) => [j.id, j.state, j.ahead])).toEqual([
    [1, 'running', 0],
    [2, 'running', 0],
    [3, 'queued', 2],
    [4, 'queued', 3],
  ]);
  clock.ms = 4000;
  expect(jobs.get(1)?.secondsLeft).toBeNull();
  jobs.cancel(3);
  jobs.cancel(1);
  await all[0];
  await tick();
  expect(jobs.list().map((j) => j.id)).toEqual([2, 4]);
  jobs.cancel(2);
  jobs.cancel(4);
  await Promise.all(all);
});

it('reckons the time left from the share done, and tells whoever follows', async () => {
  const { jobs, clock } = queue();
  let told = 0;
  const unfollow = jobs.follow(() => (told += 1));
  const ended = jobs.add(job(1), async (progress, signal) => {
    progress('half way', 0.5);
    await untilStopped(progress, signal);
  });
  await tick();
  clock.ms = 30_000;
  expect(jobs.get(1)).toMatchObject({ stage: 'half way', share: 0.5, secondsLeft: 30 });
  const before = told;
  expect(before).toBeGreaterThanOrEqual(3);
  unfollow();
  jobs.cancel(1);
  expect((await ended).cause).toBeInstanceOf(Cancelled);
  expect(told).toBe(before);
});
