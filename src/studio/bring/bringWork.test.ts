import { createReadStream, truncateSync } from 'node:fs';
import { stat } from 'node:fs/promises';
import {
  endRealWorkers,
  inProcess,
  startRealWorkers,
} from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { writeMaster } from '../../../e2e/fixtures';
import { bringWork } from './bringWork';

let here: InProcess;
beforeAll(async () => {
  here = await inProcess();
  startRealWorkers();
});
afterAll(async () => {
  await here.end();
  await endRealWorkers();
});

const works = () => here.rows<{ title: string }>('SELECT title FROM work ORDER BY id');

it('a picture becomes a work; one that breaks off leaves none', async () => {
  const before = await works();
  const whole = await writeMaster('low-sun.tif', 600, 400);
  const brought = await bringWork('low-sun.tif', createReadStream(whole), { width: null });
  expect(brought).toMatchObject({ ok: true, words: expect.stringContaining('“Low sun”') });
  expect(await works()).toEqual([...before, { title: 'Low sun' }]);
  const again = await bringWork('other.tif', createReadStream(whole), { width: null });
  expect(again).toMatchObject({
    ok: false,
    message: expect.stringMatching(/already the master/),
  });

  const broken = await writeMaster('broken.tif', 320, 240);
  const { size } = await stat(broken);
  truncateSync(broken, Math.floor(size / 2));
  const refused = await bringWork('broken.tif', createReadStream(broken), { width: 300 });
  expect(refused).toMatchObject({
    ok: false,
    message: expect.stringMatching(/^broken\.tif: /),
  });
  expect(await works()).toEqual([...before, { title: 'Low sun' }]);
});

it('work that is stopped while it is taken in leaves no work', async () => {
  const before = await works();
  const path = await writeMaster('stopped.tif', 500, 400);
  const stopped = new AbortController();
  stopped.abort();
  const brought = await bringWork('stopped.tif', createReadStream(path), {
    width: null,
    stop: stopped.signal,
  });
  expect(brought).toMatchObject({ ok: false, message: expect.stringMatching(/stopped/) });
  expect(await works()).toEqual(before);
});
