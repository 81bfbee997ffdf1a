import { rmSync } from 'node:fs';
import { Readable } from 'node:stream';
import { OFFSET, paperProfile } from '../../../demo/profiles/profiles';
import {
  idle,
  inProcess,
  SIZE,
  startRealWorkers,
  takePicture,
} from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { samplesBy } from '../../../e2e/support/master';
import { BACK, SENT, addPaper, stripDesk } from '../../../e2e/support/proofs';
import { colourDifference } from '@/core/colour';
import { plainRecipe, ruleOf, stepIn } from '@/core/prepare';
import { STRIP_PATCHES, chooseStrip, writeCgats } from '@/core/proof';
import { getRecipe, proofsOf, sheetFilesOf, takeProfile } from '@/data';
import { storePaths } from '@/engine';
import { orderPrintFiles } from '@/stations/prepare/actions';
import { orderProofSheet } from '@/stations/prepare/proofActions';
import { orderSettingsSheet } from '@/stations/prepare/settingsActions';
import { usualSettings } from '@/stations/prepare/settingsDesk';
import { readingFile, receiveProfile, receiveReading } from '@/studio';
import { judgeProof, keepChange, readStrip, sendProof } from './actions';
import { ruleMovedWords } from './measured/words';
import { loadProof } from './view';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

let here: InProcess;
beforeAll(async () => {
  here = await inProcess();
  startRealWorkers();
  const hills = (x: number, y: number, c: number) =>
    30000 + 9000 * Math.sin(x / 40 + 2 * c) + 8000 * Math.cos(y / 31 + c);
  await takePicture(here, samplesBy(300, 400, hills));
  const profile = paperProfile('Slackwater Cotton');
  await receiveProfile('cotton.icc', Readable.from([Buffer.from(profile.icc)]));
  const [row] = await here.rows<{ sha256: string }>('SELECT sha256 FROM profile');
  await here.open.db.write((tx) =>
    takeProfile(
      tx,
      {
        paperId: 1,
        printer: 'own printer',
        setting: 'matte',
        sha256: row!.sha256,
        at: '2026-11-01T10:00:00.000Z',
      },
      { paper: 'Linen 300', profile: 'cotton' },
    ),
  );
  const desk = stripDesk(SIZE);
  const recipe = JSON.stringify(plainRecipe(72, 0.8));
  await orderProofSheet({ workId: '1', recipe, recipeId: '', desk: JSON.stringify(desk) });
  await idle(here.open);
});
afterAll(() => here.end());

const send = async (over: Record<string, string> = {}) => {
  const [sheet] = await sheetFilesOf(here.open.db.read, 1);
  return sendProof({
    ...SENT,
    workId: '1',
    sizeKey: SIZE,
    file: `sheet:${sheet!.id}`,
    paperId: '1',
    route: 'own printer',
    setting: 'matte',
    lot: 'B-12',
    dueOn: '2026-11-09',
    ...over,
  });
};
const bring = (text: string, round: number) =>
  receiveReading('1', String(round), 'strip.txt', Readable.from([Buffer.from(text)]));
const measured = async (round: number) =>
  (await loadProof('1', { sheet: 'measured', round: String(round), size: SIZE })).measured!;

it('a sheet that is sent is kept with how it is printed, is measured, and says what to change', async () => {
  const sent = await send();
  expect(sent).toMatchObject({ ok: true });
  const [round] = await proofsOf(here.open.db.read, 1);
  expect(round).toMatchObject({
    intent: 'relative',
    blackPoint: true,
    setting: 'matte',
    lot: 'B-12',
    dueOn: '2026-11-09',
    file: expect.stringMatching(/proof_/),
    profile: expect.any(String),
    recipe: { rule: 2 },
  });
  const id = { workId: '1', roundId: String(round!.id) };
  expect(await keepChange(id)).toMatchObject({
    message: 'There is no reading of this round. Have its strip read first.',
  });
  expect(await readStrip(id)).toMatchObject({ ok: true });
  const found = await measured(round!.id);
  // The simulated printer prints darker and yellower in the middle tones than its profile says.
  const { midtones } = found.drift.byTone;
  const { neutral } = found.drift.byHue;
  expect(midtones!.lightness).toBeLessThan(-1);
  expect(neutral!.yellow).toBeGreaterThan(0.5);
  expect(found.foretold!.mean).toBeLessThan(found.drift.mean);
  expect(found.change.left).toBeLessThan(found.change.before);
  const kept = await keepChange(id);
  expect(kept).toMatchObject({ ok: true });
  const recipe = await getRecipe(here.open.db.read, (kept as { value: number }).value);
  expect(recipe).toMatchObject({ name: 'Slack Water, after round 1' });
  expect(ruleOf(recipe!.recipe)).toBe(2);
  expect(recipe!.remarks).toMatch(/Expected to leave ΔE00/);
  // Only where the rule is another is that said.
  expect(recipe!.remarks).not.toMatch(/rule of before/);
  expect(ruleMovedWords({ rule: 1 })).toMatch(/rule of before; the next one is of/);
  expect(
    stepIn(recipe!.recipe, 'adjust') !== null || stepIn(recipe!.recipe, 'balance') !== null,
  ).toBe(true);
});

it('the readings leave as CGATS and as a table, and come back the same', async () => {
  const { reading, round } = await loadProof('1', { sheet: 'measured', size: SIZE });
  const file = await readingFile(String(reading!.id), 'cgats');
  expect(file!.name).toMatch(/^slack-water_round-1_\d{4}-\d\d-\d\d\.txt$/);
  const text = new TextDecoder().decode(file!.bytes);
  const before = await measured(round!.id);
  expect(await bring(text, round!.id)).toMatchObject({ ok: true });
  const after = await measured(round!.id);
  after.drift.patches.forEach((p, i) =>
    expect(colourDifference(p.reading, before.drift.patches[i]!.reading)).toBeLessThan(
      0.01,
    ),
  );
  const table = new TextDecoder().decode(
    (await readingFile(String(reading!.id), 'csv'))!.bytes,
  );
  expect(table.split('\n')).toHaveLength(38);
  expect(await readingFile('99', 'csv')).toBeNull();
});

it.each([
  ['three patches', 3, /3 of the 36 patches of this strip are in it; “grey 18”/],
  ['no paper', -1, /the patch “paper” is not in it/],
])('refuses a file with %s, and keeps nothing of it', async (_, many, words) => {
  const { round } = await loadProof('1', { size: SIZE });
  const [{ n }] = (await here.rows<{ n: number }>(
    'SELECT count(*) AS n FROM proof_reading',
  )) as [{ n: number }];
  const all = chooseStrip([], []).map(({ name, lab }) => ({ name, lab }));
  const { strip } = await measured(round!.id);
  const own = strip.map(({ name, lab }) => ({ name, lab }));
  expect(own.slice(0, 4).map((p) => p.name)).toEqual(all.slice(0, 4).map((p) => p.name));
  const some = many < 0 ? own.slice(1) : own.slice(0, many);
  const text = writeCgats(some, { originator: 'a test', created: '2026-11-03' });
  expect(await bring(text, round!.id)).toMatchObject({
    ok: false,
    message: expect.stringMatching(words),
  });
  expect(await here.rows('SELECT count(*) AS n FROM proof_reading')).toEqual([{ n }]);
});

it('an approved round is the reference until the paper, the profile or the size is another', async () => {
  const { round } = await loadProof('1', { size: SIZE });
  const back = { ...BACK, byEye: '{"midtones":-1}', lux: '500', kelvin: '5000' };
  const early = { ...back, backOn: '2026-10-30' };
  const said = { workId: '1', roundId: String(round!.id), seen: 'close', toChange: '' };
  expect(await judgeProof({ ...said, ...early, verdict: 'approved' })).toMatchObject({
    fields: { backOn: expect.stringContaining('it was sent on 2026-11-02') },
  });
  expect(await judgeProof({ ...said, ...back, verdict: 'approved' })).toMatchObject({
    ok: true,
  });
  const held = await loadProof('1', { size: SIZE, paper: '1' });
  expect(held.standing).toMatchObject({ id: round!.id, reasons: [] });
  expect(held.rounds[0]).toMatchObject({
    byEye: { midtones: -1 },
    light: { lux: 500, kelvin: 5000 },
  });
  await receiveProfile('press.icc', Readable.from([Buffer.from(OFFSET.icc)]));
  const [other] = await here.rows<{ sha256: string }>(
    "SELECT sha256 FROM profile WHERE space = 'CMYK'",
  );
  await here.open.db.write((tx) =>
    takeProfile(
      tx,
      {
        paperId: 1,
        printer: 'own printer',
        setting: 'matte',
        sha256: other!.sha256,
        at: '2026-11-05T10:00:00.000Z',
      },
      { paper: 'Linen 300', profile: 'press' },
    ),
  );
  const now = await loadProof('1', { size: SIZE, paper: '1' });
  expect(now).toMatchObject({ reference: null, standing: { reasons: ['profile'] } });
});

it('a print file by another recipe than was approved may be written, and the log says why', async () => {
  const recipe = plainRecipe(72, 2.5);
  const order = (overruled: string) =>
    orderPrintFiles({
      workId: '1',
      sizeKeys: JSON.stringify([SIZE]),
      recipe: JSON.stringify(recipe),
      recipeId: '',
      pair: '',
      overruled,
    });
  const told = () =>
    here.rows<{ detail: string }>(
      "SELECT detail FROM log_line WHERE what = 'reference.overruled'",
    );
  expect(await order('')).toMatchObject({ ok: true });
  expect(await told()).toEqual([]);
  expect(await order('a test of sharpness')).toMatchObject({ ok: true });
  const [line] = await told();
  expect(JSON.parse(line!.detail)).toEqual({
    did: 'A print file was ordered',
    why: expect.stringMatching(/^the profile and the recipe are another than in round 1/),
    reason: 'a test of sharpness',
  });
  await idle(here.open);
});

it('nothing is read of what carries no strip', async () => {
  const sent = await send({ file: '' });
  const id = { workId: '1', roundId: String((sent as { value: number }).value) };
  expect(await readStrip(id)).toMatchObject({
    ok: false,
    message: expect.stringContaining('There is no control strip on what was sent'),
  });
});

it('a reference whose file is gone, and a reading whose profile is, say so in words', async () => {
  const { reading, round } = await loadProof('1', {
    sheet: 'measured',
    size: SIZE,
    round: '1',
  });
  const text = new TextDecoder().decode(
    (await readingFile(String(reading!.id), 'cgats'))!.bytes,
  );
  const gone = async (sql: string) => {
    const [row] = await here.rows<{ sha256: string }>(sql);
    rmSync(storePaths(here.open.home).file(row!.sha256));
  };
  const before = await loadProof('1', { sheet: 'rounds', size: SIZE });
  expect(before.standing).toMatchObject({ round: 1, gone: null });
  await gone('SELECT sha256 FROM sheet_file');
  await gone(
    'SELECT sha256 FROM profile WHERE sha256 IN (SELECT profile_sha256 FROM proof_round WHERE id = 1)',
  );
  const after = await loadProof('1', { sheet: 'rounds', size: SIZE });
  expect(after.standing!.gone).toMatch(/proof_/);
  expect(await bring(text, round!.id)).toMatchObject({ ok: true });
  const view = await loadProof('1', { sheet: 'measured', size: SIZE, round: '1' });
  expect(view.measured).toBeNull();
  expect(view.fault).toMatch(/^The profile .* is not in the store any more/);
  expect(await readStrip({ workId: '1', roundId: '1' })).toMatchObject({
    ok: false,
    message: expect.stringMatching(/is not in the store any more/),
  });
});

it('a settings sheet is sent and measured as a proof sheet is: its strip is of the recipe that its cells vary', async () => {
  const recipe = JSON.stringify(plainRecipe(72, 0.8));
  const desk = JSON.stringify(usualSettings);
  const of = { workId: '1', sizeKey: SIZE };
  expect(await orderSettingsSheet({ ...of, recipe, desk })).toMatchObject({ ok: true });
  await idle(here.open);
  const sent = (await send({ paperId: String(await addPaper(here)) })) as {
    ok: true;
    value: number;
  };
  const round = (await proofsOf(here.open.db.read, 1)).find((r) => r.id === sent.value)!;
  expect(round.file).toMatch(/settings_/);
  expect(round.recipe).toMatchObject({ steps: plainRecipe(72, 0.8).steps });
  expect(await readStrip({ workId: '1', roundId: String(sent.value) })).toMatchObject({
    ok: true,
  });
  const found = await measured(sent.value);
  expect(found.strip).toHaveLength(STRIP_PATCHES);
  expect(found.drift.patches.length).toBeGreaterThan(30);
});
