import { inProcess, SIZE } from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { offerSize } from '@/stations/size/actions';
import { runJobAgain } from '@/studio';
import { orderPrintFile } from './actions';
import { loadPrepare } from './view';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

let here: InProcess;
beforeAll(async () => {
  here = await inProcess();
});
afterAll(() => here.end());

const order = (over: Record<string, string> = {}) =>
  orderPrintFile({
    workId: '1',
    sizeKey: SIZE,
    ppi: '300',
    amount: '60',
    radius: '0.8',
    threshold: '2',
    space: 'a98-rgb',
    intent: 'relative',
    ...over,
  });

it('plans the file to the exact size of the sheet', async () => {
  const view = await loadPrepare('1', { size: SIZE });
  expect(view.plan).toMatchObject({ width: 3543, height: 4724 });
  expect(view.plan!.factor).toBeLessThan(1);
  expect(view.files).toEqual([]);
  expect(view.job).toBeNull();
});

it('queues what was ordered, with all it needs to run again', async () => {
  const asked = await order();
  expect(asked).toMatchObject({ ok: true });
  const id = (asked as { value: number }).value;
  const [row] = await here.rows<{ kind: string; spec: string }>(
    `SELECT kind, spec FROM job WHERE id = ${id}`,
  );
  expect(row!.kind).toBe('printFile');
  expect(JSON.parse(row!.spec)).toMatchObject({
    sizeKey: SIZE,
    title: 'Slack Water',
    plan: { width: 3543, height: 4724 },
    recipe: {
      resample: { kernel: 'lanczos3' },
      outputSharpen: { amount: 60, radius: 0.8, threshold: 2 },
      convert: { space: 'a98-rgb', intent: 'relative', blackPoint: true },
      ppi: 300,
    },
  });
  expect((await loadPrepare('1', { size: SIZE })).job).toMatchObject({ id });

  // Its stored original is gone here: it fails in words, and one press orders the same again.
  const state = async () =>
    (
      await here.rows<{ state: string; error: string }>(
        `SELECT * FROM job WHERE id = ${id}`,
      )
    )[0]!;
  for (let i = 0; i < 200 && /queued|running/.test((await state()).state); i += 1)
    await new Promise((r) => setTimeout(r, 20));
  expect(await state()).toMatchObject({
    state: 'failed',
    error: expect.stringMatching(/\w/),
  });
  const again = await runJobAgain(here.open, id, '2026-11-03T10:00:00.000Z');
  const [copy] = await here.rows<{ spec: string }>(
    `SELECT spec FROM job WHERE id = ${again}`,
  );
  expect(copy!.spec).toBe(row!.spec);
  expect(await runJobAgain(here.open, again!, '2026-11-03T10:00:01.000Z')).toBeNull();
  here.open.jobs.cancel(again!);
});

it.each([
  [{ ppi: '2000' }, 'ppi'],
  [{ ppi: '' }, 'ppi'],
  [{ amount: '-1' }, 'amount'],
  [{ radius: '0' }, 'radius'],
  [{ space: 'prophet-rgb' }, 'space'],
  [{ intent: 'saturation' }, 'intent'],
])('refuses %j at its field', async (over, field) => {
  expect(await order(over as Record<string, string>)).toMatchObject({
    ok: false,
    fields: { [field]: expect.any(String) },
  });
});

it('writes what is on offer, at the finest resolution, and nothing else', async () => {
  expect(await order({ sizeKey: 'isoA-A4' })).toMatchObject({
    message: 'This size is not on offer any more. Offer it at Size, then prepare it.',
  });
  const large = 'metricFrames-100x140';
  await offerSize({ workId: '1', sizeKey: large, fit: 'within', border: '20 mm' });
  const answer = await order({ sizeKey: large, ppi: '720' });
  expect(answer).toMatchObject({ ok: true });
  here.open.jobs.cancel((answer as { value: number }).value);
});

it('never guesses the colours of an untagged master', async () => {
  await here.take({ iccDescription: null }, 'b'.repeat(64));
  const answer = await order();
  expect(answer).toMatchObject({ ok: false });
  expect((answer as { message: string }).message).toMatch(
    /no colour profile.*never guessed/,
  );
});
