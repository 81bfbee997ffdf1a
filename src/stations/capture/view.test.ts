import { inProcess } from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { plain } from '../../../e2e/support/pictures';
import { plantSpecks } from '../../../demo/capture/dust';
import { readPicture } from '@/core/capture/reading';
import type { MasterReading } from '@/core/capture/reading';
import { saveReading } from '@/data';
import { judgeSpeck, keepPrintWish, noteSignature } from './actions';
import { loadCapture } from './view';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

const SIDE = 420;
let here: InProcess;
let reading: MasterReading;
beforeAll(async () => {
  here = await inProcess();
  const picture = plain(SIDE, SIDE, 140);
  plantSpecks(picture, 5, 6);
  reading = readPicture({ ...picture, channels: 3 });
});
afterAll(() => here.end());

const read = (sha256: string) =>
  here.open.db.write((tx) =>
    saveReading(tx, { sha256, reading, workId: 1, at: '2026-11-03T09:00:00.000Z' }),
  );
const codes = async (sheet = 'master') =>
  (await loadCapture('1', { sheet })).found!.cautions.map((c) => c.code);

it('judges an unread master by its tags and its size alone', async () => {
  const { found } = await loadCapture('1', {});
  expect(found!.reading).toBeNull();
  expect(found!.verdicts).toEqual([]);
  expect(await codes()).toContain('signatureUnknown');
  expect(await codes()).not.toContain('specks');
});

it('takes what was read and what was said into the one verdict', async () => {
  await here.take({ width: SIDE, height: SIDE }, '1'.repeat(64));
  await read('1'.repeat(64));
  const before = (await loadCapture('1', { sheet: 'specks' })).found!;
  expect(before.reading!.specks.found.length).toBeGreaterThanOrEqual(4);
  expect(new Set(before.verdicts)).toEqual(new Set(['open']));
  expect(await codes()).toContain('specks');
  for (const { x, y, diameter } of before.reading!.specks.found)
    await judgeSpeck({
      workId: '1',
      x: String(x),
      y: String(y),
      diameter: String(diameter),
      verdict: 'mended',
    });
  await noteSignature({ workId: '1', present: 'absent' });
  const after = (await loadCapture('1', {})).found!;
  expect(new Set(after.verdicts)).toEqual(new Set(['mended']));
  expect(after.signature).toBe('absent');
  expect(await codes()).not.toContain('specks');
  expect(await codes()).not.toContain('signatureUnknown');
});

it('carries verdicts to a newer version of twice the pixels, and lists both', async () => {
  await here.take({ width: 2 * SIDE, height: 2 * SIDE }, '2'.repeat(64));
  const twice = (v: number) => 2 * v;
  const larger = {
    ...reading,
    width: twice(SIDE),
    height: twice(SIDE),
    specks: {
      ...reading.specks,
      found: reading.specks.found.map((s) => ({ ...s, x: twice(s.x), y: twice(s.y) })),
    },
  };
  await here.open.db.write((tx) =>
    saveReading(tx, {
      sha256: '2'.repeat(64),
      reading: larger,
      workId: 1,
      at: '2026-11-04T09:00:00.000Z',
    }),
  );
  const { found, versions } = await loadCapture('1', { sheet: 'versions' });
  expect(new Set(found!.verdicts)).toEqual(new Set(['mended']));
  expect(versions.map((v) => [v.pixels.width, v.read, v.mended])).toEqual([
    [2 * SIDE, true, 0],
    [SIDE, true, null],
    [7087, false, null],
  ]);
});

it('opens the plan with the print that was wanted last, and every device on the list', async () => {
  const wish = {
    workId: '1',
    width: '600 mm',
    height: '600 mm',
    ppi: '240',
    deviceId: '1',
  };
  await keepPrintWish(wish);
  const { plan, sheet } = await loadCapture('1', { sheet: 'plan' });
  expect(sheet).toBe('plan');
  expect(plan.wish).toMatchObject({ width: 600, height: 600, ppi: 240, deviceId: 1 });
  expect(new Set(plan.devices.map((d) => d.device.kind)).size).toBe(4);
});
