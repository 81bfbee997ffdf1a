import { readFileSync } from 'node:fs';
import { Readable } from 'node:stream';
import { inProcess, startRealWorkers } from '../../../../e2e/support/inProcess';
import type { InProcess } from '../../../../e2e/support/inProcess';
import { getPaper } from '@/data';
import { mediaSetting, receiveProfile } from '@/studio';
import { leaveUnused, takeIntoUse } from './actions';
import { loadProfiles } from './view';
import { PLAIN } from '@/studio/words/figures';
import { kindWords, labWords, tableWords, whiteWords } from './words';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

let here: InProcess;
beforeAll(async () => {
  here = await inProcess();
  startRealWorkers();
});
afterAll(() => here.end());

const bring = (name: string) =>
  receiveProfile(name, Readable.from([readFileSync(`demo/profiles/${name}`)]));
const use = (sha256: string, over: Record<string, string> = {}) =>
  takeIntoUse({
    sha256,
    paperId: '1',
    printer: 'Own printer',
    setting: 'heavy matte',
    ...over,
  });

it('is measured, taken into use for a paper, replaced, and stays with what it was used for', async () => {
  await bring('slackwater-cotton.icc');
  await bring('chalkline-baryta.icc');
  const { rows } = await loadProfiles({});
  expect(rows.map((r) => r.name).sort()).toEqual(['Chalkline Baryta', 'Slackwater Cotton']);
  const sha = (name: string) => rows.find((r) => r.name === name)!.sha256;
  const [matte, gloss] = [sha('Slackwater Cotton'), sha('Chalkline Baryta')];

  const { picked, beside } = await loadProfiles({ profile: matte, beside: gloss });
  expect(picked!.self).toMatchObject({ class: 'output', space: 'RGB', version: '2.4' });
  const [dull, brilliant] = [picked!.portrait!, beside!.portrait!];
  expect(dull.black[0]).toBeGreaterThan(brilliant.black[0] + 10);
  expect(dull.shape.volume).toBeLessThan(brilliant.shape.volume);
  expect(dull.covers.srgb).toBeLessThan(brilliant.covers.srgb);
  expect(dull.roundTrip.mean).toBeLessThan(1);
  expect(dull.roundTrip.p95).toBeGreaterThanOrEqual(dull.roundTrip.mean);

  expect(await use(matte)).toMatchObject({ ok: true });
  expect(
    (await loadProfiles({ profile: matte })).rows.find((r) => r.sha256 === matte)!.uses,
  ).toMatchObject([{ paperId: 1, printer: 'Own printer', setting: 'heavy matte' }]);
  expect(await use(gloss)).toMatchObject({ ok: true });
  const after = await loadProfiles({ profile: matte });
  expect(after.rows.find((r) => r.sha256 === matte)!.uses).toEqual([]);
  expect(after.past).toMatchObject([{ paperId: 1 }]);
  const gone = { paperId: '1', printer: 'Own printer', setting: 'heavy matte' };
  expect(await leaveUnused(gone)).toMatchObject({ ok: true });
  expect((await loadProfiles({})).rows.flatMap((r) => r.uses)).toEqual([]);
}, 60_000);

it('a setting that stands in for a paper is told to whoever prints there, and to nobody else', async () => {
  const [row] = (await loadProfiles({})).rows;
  const lacks = 'lacks it: the setting stands in';
  expect(await use(row!.sha256, { setting: '', driver: lacks })).toMatchObject({
    ok: false,
    fields: { setting: expect.stringContaining('which one stands in') },
  });
  expect(await use(row!.sha256, { printer: 'Pigment desk', driver: lacks })).toMatchObject({
    ok: true,
  });
  const db = here.open.db.read;
  const to = (name: string, kind: 'ownPrinter' | 'onlineLab') =>
    mediaSetting(db, 1, { name, kind });
  expect(await to('Pigment desk', 'ownPrinter')).toBe('heavy matte (stands in for it)');
  expect(await to('Tidewrack', 'onlineLab')).toBe('');
  // In the room it is else what is noted of the paper.
  const { printerSetting } = (await getPaper(db, 1))!;
  expect(await to('Other desk', 'ownPrinter')).toBe(printerSetting);
}, 60_000);

it('refuses a paper and a profile that are not there', async () => {
  const [row] = (await loadProfiles({})).rows;
  expect(await use(row!.sha256, { paperId: '99' })).toMatchObject({
    ok: false,
    message: expect.stringContaining('Paper:'),
  });
  expect(await use('a'.repeat(64))).toMatchObject({
    message: expect.stringContaining('not in the library'),
  });
});

it('says what a profile is in words', () => {
  const self = {
    class: 'output',
    space: 'CMYK',
    pcs: 'Lab',
    version: '2.4',
    major: 2,
    tables: [],
    description: '',
    copyright: '',
    made: null,
    bytes: 1,
  } as const;
  expect(kindWords({ ...self, tables: [] })).toBe('printer, CMYK by Lab, version 2.4');
  expect(tableWords({ ...self, tables: [] })).toMatch(/all intents are one/);
  expect(tableWords({ ...self, tables: ['relative'] })).toBe('relative');
  expect(labWords([95.04, -0.01, 3.26], PLAIN)).toBe('95.0  0.0  3.3');
  expect(
    [
      [95, 0, 0],
      [95, 0, 4],
      [93, 1, 9],
      [96, 0, -3],
      [96, 1, -8],
    ].map((lab) => whiteWords(lab as [number, number, number])),
  ).toEqual([
    'neutral',
    'a little warm',
    'warm, yellowish',
    'a little cold',
    'cold: brighteners are likely',
  ]);
});
