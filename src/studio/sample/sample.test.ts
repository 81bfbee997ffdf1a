import { existsSync, readFileSync, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { assignNumber, declareEdition, readSettings } from '@/data';
import { inProcess, startRealWorkers } from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { ownStudio, sampleFolder, studio } from '../open/open';
import { takeMaster } from '../jobs/takeMaster';
import { enterSample, leaveSample } from './sample';

jest.mock('../jobs/takeMaster', () => {
  const real = jest.requireActual<{ takeMaster: typeof takeMaster }>('../jobs/takeMaster');
  return { takeMaster: jest.fn(real.takeMaster) };
});

let here: InProcess;
beforeAll(async () => {
  here = await inProcess({ numbered: 1, orders: 1 });
  startRealWorkers();
});
afterAll(() => here.end());

/** Every file of the data folder but what the database keeps open, with its bytes. */
const filesOf = (home: string) =>
  readdirSync(home, { recursive: true, encoding: 'utf8' })
    .filter((name) => statSync(join(home, name)).isFile())
    .sort()
    .map((name) => [
      name,
      /\.(db|db-wal|db-shm|lock|json)$/.test(name)
        ? ''
        : readFileSync(join(home, name)).toString('base64'),
    ]);

/** Every row of every table. */
const rowsOf = async () => {
  const tables = await here.rows<{ name: string }>(
    "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%' ORDER BY name",
  );
  return Promise.all(
    tables.map(async ({ name }) => [name, await here.rows(`SELECT * FROM "${name}"`)]),
  );
};

it('brings a painted original and a paper in a studio of its own, and goes without a trace', async () => {
  const own = here.open;
  const [files, rows] = [filesOf(own.home), await rowsOf()];
  const workId = (await enterSample())!;
  const sample = await studio();
  expect(sample).not.toBe(own);
  expect(await ownStudio()).toBe(own);
  const { sample: isSample, locale } = await readSettings(sample.db.read);
  expect([isSample, locale]).toEqual([true, (await readSettings(own.db.read)).locale]);
  expect(await sample.db.read.all('SELECT id, title FROM work')).toEqual([
    { id: workId, title: 'Half Moon, Low Water' },
  ]);
  expect(await sample.db.read.all('SELECT count(*) AS n FROM paper')).toEqual([{ n: 1 }]);
  // No number of the sample is one of the own studio: no page of one means a thing of the other.
  expect(workId).toBeGreaterThan(1e6);
  // Facts can be made in it.
  const at = '2026-11-02T12:00:00.000Z';
  await sample.db.write(async (tx) => {
    const editionId = await declareEdition(tx, {
      workId,
      sizeKey: 'metricFrames-30x40',
      declaration: { kind: 'limited', scope: 'perSize', size: 5, artistsProofs: 0 },
      at,
    });
    const asked = { editionId, sizeKey: 'metricFrames-30x40', series: 'number' as const };
    await assignNumber(tx, { ...asked, at });
  });
  expect(await enterSample()).toBeNull();

  expect(await leaveSample()).toBe(true);
  expect(await studio()).toBe(own);
  expect(existsSync(sampleFolder(own.home))).toBe(false);
  expect(filesOf(own.home)).toEqual(files);
  expect(await rowsOf()).toEqual(rows);
  expect(await leaveSample()).toBe(false);
});

it('leaves nothing where it cannot be made', async () => {
  const own = here.open;
  jest.mocked(takeMaster).mockRejectedValueOnce(new Error('the disk is full'));
  await expect(enterSample()).rejects.toThrow('the disk is full');
  expect(await studio()).toBe(own);
  expect(existsSync(sampleFolder(own.home))).toBe(false);
});
