import { mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { startRealWorkers } from '../../../e2e/support/inProcess';
import { inkOfFile } from './inkFile';
import { inkOfPictureFile } from './inkPictureFile';

const folder = mkdtempSync(join(tmpdir(), 'inks-'));
afterAll(() => rmSync(folder, { recursive: true }));
const put = (job: unknown) => {
  const path = join(folder, 'job.json');
  writeFileSync(path, typeof job === 'string' ? job : JSON.stringify(job));
  return path;
};
const JOB = {
  today: '2026-06-01',
  deliveryDays: 5,
  inks: [{ id: 1, role: 'cyan', ml: 80 }],
  printed: Array.from({ length: 20 }, (_, i) => ({
    day: `2026-0${1 + Math.floor(i / 5)}-0${1 + (i % 5)}`,
    area: 0.5,
    covers: [{ ink: 1, share: 0.4 }],
  })),
  changes: [{ ink: 1, day: '2026-01-01' }],
};

it('answers with the documented keys', async () => {
  const answer = await inkOfFile(put(JOB));
  expect(Object.keys(answer)).toEqual(['today', 'inks']);
  expect(Object.keys(answer.inks[0]!)).toEqual([
    'ink',
    'perCovered',
    'perCoveredOff',
    'perCleaning',
    'perDay',
    'cartridges',
    'left',
    'leftOff',
    'perWeek',
    'empty',
    'spares',
    'allEmpty',
    'orderBy',
    'gauge',
    'warnings',
    'changed',
  ]);
  // 4 m2 covered at 9 ml, 151 idle days at 0.04 ml: rules of thumb, as nothing was used up.
  expect(answer.inks[0]).toMatchObject({ perCovered: 9, cartridges: 0, left: 37.96 });
});

it.each(readdirSync('docs/examples/ink'))('reckons %s, which ships', async (name) => {
  const { inks } = await inkOfFile(join('docs/examples/ink', name));
  for (const ink of inks) {
    expect(ink.cartridges).toBeGreaterThan(0);
    expect(ink.perCoveredOff / ink.perCovered!).toBeLessThan(0.15);
    expect(ink.empty).not.toBeNull();
  }
});

describe('in words', () => {
  it.each([
    [
      'no such ink',
      { ...JOB, gauges: [{ ink: 7, day: '2026-02-01', share: 1 }] },
      'no ink 7',
    ],
    [
      'a gauge of 140 %',
      { ...JOB, gauges: [{ ink: 1, day: '2026-02-01', share: 1.4 }] },
      'share',
    ],
    [
      'two changes on a day',
      { ...JOB, changes: [JOB.changes[0], JOB.changes[0]] },
      'changed twice on 2026-01-01',
    ],
    [
      'what is still to come',
      { ...JOB, cleanings: [{ day: '2026-07-01' }] },
      'after today',
    ],
    ['one id for two', { ...JOB, inks: [JOB.inks[0], JOB.inks[0]] }, 'the same id'],
    ['a key that is none', { ...JOB, colour: 1 }, 'colour'],
    ['an ink of nothing', { ...JOB, inks: [{ id: 1, role: 'cyan', ml: 0 }] }, 'ml'],
    ['no JSON', '{', 'it is not JSON'],
  ])('refuses %s', async (_, job, words) => {
    await expect(inkOfFile(put(job))).rejects.toThrow(words);
  });
});

it('says what a picture takes, and refuses what is none', async () => {
  startRealWorkers();
  const path = join(folder, 'half.png');
  const left = {
    input: Buffer.alloc(20 * 20 * 3),
    raw: { width: 20, height: 20, channels: 3 as const },
  };
  await sharp({ create: { width: 40, height: 20, channels: 3, background: '#fff' } })
    .composite([{ ...left, left: 0, top: 0 }])
    .png()
    .toFile(path);
  expect(await inkOfPictureFile(path, null, 'cyan,black,grey')).toEqual({
    model: 'picture',
    covers: { cyan: 0, black: 0.5, grey: 0 },
    total: 0.5,
  });
  await expect(inkOfPictureFile(path, null, 'pink')).rejects.toThrow('no ink is called so');
  await expect(inkOfPictureFile(path, path, null)).rejects.toThrow(
    'no profile of a printer',
  );
  await expect(inkOfPictureFile(put('x'), null, null)).rejects.toThrow('cannot be read');
});
