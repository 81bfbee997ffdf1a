import { readdir } from 'node:fs/promises';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { inProcess } from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { Cancelled, FileRefusal } from '@/engine';
import { no, receiveFor, shownName } from './received';
import type { Arrived } from './received';

let here: InProcess;
beforeAll(async () => {
  here = await inProcess();
});
afterAll(() => here.end());

/** Ten bytes that begin as a JPEG does. */
const body = () => Readable.from([Buffer.from('ffd8ffe0000104f00d00', 'hex')]);

/** Every file below the data folder, but for the database. */
async function kept(): Promise<string[]> {
  const all = await readdir(here.open.home, { recursive: true, withFileTypes: true });
  return all
    .filter((entry) => entry.isFile() && !entry.name.startsWith('studio.db'))
    .map((entry) => join(entry.parentPath, entry.name));
}

it('hands over what arrived, and keeps nothing of it by itself', async () => {
  const before = await kept();
  let arrived: Arrived | undefined;
  const answer = await receiveFor('1', 'a/b\\shot.png', body(), (a) => {
    arrived = a;
    return Promise.resolve({ ok: true, name: a.name });
  });
  expect(answer).toEqual({ ok: true, name: 'shot.png' });
  expect(arrived!.work.title).toBe('Slack Water');
  expect(arrived!.received.bytes).toBe(10);
  expect(await kept()).toEqual(before);
});

it.each([
  [
    'a refusal of its own',
    () => Promise.resolve(no('shot.png: not this.')),
    /^shot\.png: not this\.$/,
  ],
  [
    'a file that is none of the formats',
    () =>
      Promise.reject(new FileRefusal({ code: 'notAPicture', kind: 'unknown' } as never)),
    /shot\.png/,
  ],
  ['a stop', () => Promise.reject(new Cancelled()), /stopped\. Nothing of it was kept/],
  [
    'a full disk',
    () => Promise.reject(Object.assign(new Error('write'), { code: 'ENOSPC' })),
    /disk with the data folder is full/,
  ],
  [
    'a broken connection',
    () => Promise.reject(Object.assign(new Error('reset'), { code: 'ECONNRESET' })),
    /did not arrive whole \(ECONNRESET\)/,
  ],
])('answers %s in a sentence, and leaves nothing behind', async (_, take, words) => {
  const before = await kept();
  const answer = await receiveFor('1', 'shot.png', body(), take);
  expect(answer).toMatchObject({ ok: false });
  expect((answer as { message: string }).message).toMatch(words);
  expect(await kept()).toEqual(before);
});

it('takes nothing for a work that is not there', async () => {
  const take = jest.fn();
  for (const work of ['99', 'x', ''])
    expect(await receiveFor(work, 'shot.png', body(), take)).toMatchObject({
      ok: false,
      message: expect.stringMatching(/the work it was meant for is not there/) as string,
    });
  expect(take).not.toHaveBeenCalled();
});

it.each([
  ['/home/senna/scan.tif', 'scan.tif'],
  ['C:\\scans\\scan.tif', 'scan.tif'],
  ['sc\u0000a\u202en\n.tif', 'scan .tif'],
  ['', 'file without a name'],
])('shows the name %j as %s', (given, shown) => expect(shownName(given)).toBe(shown));
