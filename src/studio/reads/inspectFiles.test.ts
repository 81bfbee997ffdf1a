import { mkdtempSync, rmSync } from 'node:fs';
import { mkdir, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { deadLeaves } from '../../../e2e/support/pictures';
import { plantSpecks } from '../../../demo/capture/dust';
import { filesIn, inspectFile } from './inspectFiles';

// The tasks themselves, in this very thread.
jest.mock('@/engine/jobs/workerPool', () => ({
  WORKERS: 2,
  runInWorker: async (task: string, input: unknown, progress: unknown) => {
    const { runTask } = await import('@/engine/jobs/tasks');
    return runTask({ task, input } as never, progress as never);
  },
}));

let folder: string;
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'glassine-inspect-'));
});
afterAll(() => rmSync(folder, { recursive: true }));

const never = new AbortController().signal;
const report = (name: string) => inspectFile(join(folder, name), () => undefined, never);
const KEYS = [
  'file',
  'width',
  'height',
  'bitsPerChannel',
  'colourModel',
  'ppi',
  'iccDescription',
  'detailFraction',
  'detailConfidence',
  'specks',
  'clippedShare',
  'noise',
  'skewDegrees',
  'warnings',
];

async function written(name: string): Promise<void> {
  const picture = deadLeaves(640, 5);
  const { width, height, data } = picture;
  const bytes = Uint8Array.from(data, (v) => v >> 8);
  await sharp(bytes, { raw: { width, height, channels: 3 } })
    .withMetadata({ density: 360 })
    .png()
    .toFile(join(folder, name));
}

it('answers with the keys that are documented, and with what is in the file', async () => {
  await written('leaves.png');
  const said = await report('leaves.png');
  expect(Object.keys(said)).toEqual(KEYS);
  expect(said).toMatchObject({
    width: 640,
    height: 640,
    bitsPerChannel: 8,
    colourModel: 'rgb',
    skewDegrees: null,
  });
  if ('error' in said) throw new Error(said.error);
  expect(said.ppi).toBeCloseTo(360, 0);
  expect(said.clippedShare.low).toHaveLength(3);
  expect(said.warnings.map((w) => w.code)).toContain('eightBits');
});

it('tells the places of dust in pixels', async () => {
  const plainPicture = { width: 600, height: 500, data: new Uint16Array(600 * 500 * 3) };
  plainPicture.data.fill(150 * 257);
  const planted = plantSpecks(plainPicture, 6, 4);
  await sharp(
    Uint8Array.from(plainPicture.data, (v) => v >> 8),
    { raw: { width: 600, height: 500, channels: 3 } },
  )
    .png()
    .toFile(join(folder, 'dust.png'));
  const said = await report('dust.png');
  if ('error' in said) throw new Error(said.error);
  for (const { x, y } of planted)
    expect(said.specks.some((s) => Math.hypot(s.x - x, s.y - y) < 6)).toBe(true);
});

it('answers in a sentence for what cannot be read', async () => {
  await writeFile(join(folder, 'words.tif'), 'no picture at all');
  for (const [name, words] of [
    ['words.tif', /words\.tif/],
    ['gone.tif', /gone\.tif: there is no such file, or it went away/],
  ] as const) {
    const said = await report(name);
    expect(Object.keys(said)).toEqual(['file', 'error']);
    expect((said as { error: string }).error).toMatch(words);
  }
});

it('takes the pictures of a folder in order, and files as they are named', async () => {
  const inner = join(folder, 'inner');
  await mkdir(inner);
  for (const name of ['b.TIF', 'a.jpeg', 'notes.txt', 'c.png'])
    await writeFile(join(inner, name), '');
  expect(await filesIn([inner, '/not/there.tif'])).toEqual([
    ...['a.jpeg', 'b.TIF', 'c.png'].map((name) => join(inner, name)),
    '/not/there.tif',
  ]);
});
