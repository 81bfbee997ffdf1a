import { inProcess, MASTER } from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { plain } from '../../../e2e/support/pictures';
import { readPicture } from '@/core/capture/reading';
import { addMaster, saveReading } from '@/data';
import { loadTable } from './view';

let here: InProcess;
beforeAll(async () => {
  here = await inProcess();
});
afterAll(() => here.end());

const at = '2026-11-03T09:00:00.000Z';
const short = async () =>
  (await loadTable()).lines.filter((line) => line.what === 'fallsShort');

it('judges what is on offer by the detail that was measured', async () => {
  expect(await short()).toEqual([]);
  const reading = readPicture({ ...plain(70, 70, 120), channels: 3 });
  const detail = { ...reading.detail, fraction: 0.12, confidence: 0.9 };
  await here.open.db.write((tx) =>
    saveReading(tx, {
      sha256: 'a'.repeat(64),
      reading: { ...reading, detail },
      workId: 1,
      at,
    }),
  );
  expect(await short()).toMatchObject([{ workId: 1, size: expect.any(String) as string }]);
});

it('judges what is on offer by what a crop leaves', async () => {
  const sha256 = 'c'.repeat(64);
  const row = { workId: 1, sha256, name: 'anew.tif', assumedSpace: null, at };
  await here.open.db.write((tx) => addMaster(tx, row, MASTER));
  expect(await short()).toEqual([]);
  const corner = (x: number, y: number) => ({ x, y });
  const corners = [corner(0, 0), corner(600, 0), corner(600, 800), corner(0, 800)] as const;
  const derivation = { corners: [...corners], flatField: null } as never;
  await here.open.db.write((tx) => addMaster(tx, { ...row, derivation }, MASTER));
  expect(await short()).toMatchObject([{ workId: 1 }]);
});
