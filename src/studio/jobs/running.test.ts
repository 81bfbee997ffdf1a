import { inProcess } from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { addJob } from '@/data';
import { runningNow, tellRunning } from './running';
import type { RunningJob } from './running';

let here: InProcess;
beforeAll(async () => {
  here = await inProcess();
});
afterAll(() => here.end());

it('the end of work is told, also where it comes while the words before are made', async () => {
  const { open, workId } = here;
  const told: RunningJob[][] = [];
  const stop = tellRunning(open, (text) => told.push(JSON.parse(text) as RunningJob[]), {
    everyMs: 1,
    failed: () => undefined,
  });
  const job = {
    id: 900,
    kind: 'read',
    workId,
    state: 'queued' as const,
    stage: 'waiting',
    share: 0,
    error: null,
  };
  // It is over before anything that is read of it can have come back.
  await open.jobs.add(job, () => Promise.resolve());
  await new Promise((done) => setTimeout(done, 200));
  stop();
  expect(told.at(-1)!.find((j) => j.id === 900)).toMatchObject({
    state: 'done',
    what: expect.stringMatching(/^Cutting tiles of /),
    href: `/works/${workId}/capture`,
  });
});

it('work for a plan of sheets is seen at that plan', async () => {
  const { open } = here;
  const at = '2026-11-03T10:00:00.000Z';
  const { id } = await open.db.write((tx) =>
    addJob(tx, { kind: 'gang', workId: null, spec: { planId: 7 }, at }),
  );
  let go = () => {};
  const until = new Promise<void>((done) => (go = done));
  const job = { id, kind: 'gang', workId: null, state: 'queued' as const };
  const ended = open.jobs.add({ ...job, stage: '', share: 0, error: null }, () => until);
  expect((await runningNow(open)).find((j) => j.id === id)!.href).toBe('/sheets/7');
  go();
  await ended;
});
