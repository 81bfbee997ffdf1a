import { inProcess } from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { tellRunning } from './running';
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
