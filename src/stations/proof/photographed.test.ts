import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import sharp from 'sharp';
import {
  SIZE,
  inProcess,
  startRealWorkers,
  takePicture,
} from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { asJpeg, original, printedOff, taken } from '../../../e2e/support/photographs';
import { addProofRound, currentMaster, proofPhotographsOf } from '@/data';
import type { NewProofRound } from '@/data';
import { minor } from '@/core/units';
import { plainRecipe } from '@/core/prepare';
import { proofPhotographShown, receiveProofPhotograph } from '@/studio';
import { NotThatPicture, comparePhotographFile } from '@/studio/reads/photographFiles';
import { photographFaultWords } from '@/studio/words/photographWords';
import { keepChange } from './actions';
import { placePhotograph } from './photographed/actions';
import { sureWords } from './photographed/words';
import { proofReportDocument } from './report';
import { loadProof } from './view';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

let here: InProcess;
const picture = original('twoJugs', 420);
const folder = mkdtempSync(join(tmpdir(), 'photographed-'));
const at = (name: string) => join(folder, name);
const photo = taken(printedOff(picture, () => [-3, 0, 5]));
let jpeg: Buffer;

beforeAll(async () => {
  here = await inProcess();
  startRealWorkers();
  const { width, height, data } = picture;
  const samples = Uint16Array.from(data, (v) => v * 257);
  await takePicture(here, { width, height, data: samples }, 'srgb');
  const master = (await currentMaster(here.open.db.read, 1))!;
  await send({ round: 1, masterId: master.id, recipe: plainRecipe(300, 1) });
  jpeg = await asJpeg(photo);
});
afterAll(async () => {
  rmSync(folder, { recursive: true });
  await here.end();
});

const send = (of: Pick<NewProofRound, 'round'> & Partial<NewProofRound>) =>
  here.open.db.write((tx) =>
    addProofRound(tx, {
      workId: 1,
      sizeKey: SIZE,
      paperId: 1,
      route: 'own printer',
      cost: minor(500),
      currency: 'EUR',
      remarks: '',
      sentAt: '2026-11-01T10:00:00.000Z',
      ...of,
    }),
  );
const bring = (
  bytes: Buffer,
  over: Partial<{ round: string; byHand: boolean }> = {},
  stop = new AbortController().signal,
) =>
  receiveProofPhotograph(
    { work: '1', round: '1', byHand: false, ...over },
    'print.jpg',
    Readable.from([bytes]),
    stop,
  );
const kept = () => proofPhotographsOf(here.open.db.read, 1);
const shown = async () =>
  (await loadProof('1', { sheet: 'photographed', size: SIZE })).photograph!;

it('what is no photograph of this print is refused in words, and nothing of it kept', async () => {
  const upsideDown = await sharp(jpeg).rotate(180).jpeg().toBuffer();
  expect(await bring(upsideDown)).toEqual({
    ok: false,
    message:
      'print.jpg: Slack Water is upside down. Turn the photograph by half a turn and bring it again.',
  });
  expect(photographFaultWords('a.jpg', 'Slack Water', { code: 'other' })).toMatch(
    /^a.jpg: this is not Slack Water/,
  );
  expect(await bring(Buffer.from('no picture'))).toMatchObject({ ok: false });
  expect(await bring(jpeg, { round: '99' })).toMatchObject({
    message: expect.stringMatching(/its round is not there/),
  });
  // Stopped while it is looked at.
  const stop = new AbortController();
  const stopped = bring(jpeg, {}, stop.signal);
  setTimeout(() => stop.abort(), 200);
  expect(await stopped).toEqual({
    ok: false,
    message: 'print.jpg: stopped. Nothing of it was kept.',
  });
  expect(await kept()).toEqual([]);
  expect(await here.rows('SELECT * FROM proof_placing')).toEqual([]);
});

it('a photograph is kept with where the print lies, says what came, and asks for a change', async () => {
  expect(await bring(jpeg)).toEqual({ ok: true, name: 'print.jpg' });
  const view = await shown();
  const { said, seen, placing } = view;
  placing.proof.forEach((p, i) => {
    expect(Math.abs(p.x - photo.corners[0]![i]!.x)).toBeLessThan(1);
    expect(Math.abs(p.y - photo.corners[0]![i]!.y)).toBeLessThan(1);
  });
  expect(said!.white).toBe('border');
  expect(said!.drift.byTone.midtones!.yellow).toBeGreaterThan(4);
  expect(said!.drift.byTone.midtones!.lightness).toBeLessThan(-2);
  expect(Math.max(...said!.map.grades)).toBeGreaterThan(1);
  const format = { number: (v: number) => v.toFixed(1) };
  expect(sureWords(seen!, false, format as never)).toMatch(/^Found by itself: \d+ of/);
  const [photograph] = await kept();
  const id = { workId: '1', roundId: '1', photographId: String(photograph!.id) };
  expect(await keepChange(id)).toMatchObject({ ok: true });
  expect(await keepChange({ ...id, photographId: '77' })).toMatchObject({ ok: false });
  expect(await proofPhotographShown(String(photograph!.id))).not.toBeNull();
  expect(await proofPhotographShown('77')).toBeNull();
});

it('corners are placed by hand, and every placing stays', async () => {
  const [photograph] = await kept();
  const { proof } = photograph!.placing;
  const place = (corners: unknown, card: unknown[] = []) =>
    placePhotograph({
      workId: '1',
      roundId: '1',
      photographId: String(photograph!.id),
      proofAt: 'right',
      corners: JSON.stringify(corners),
      cards: JSON.stringify(card),
    });
  // A grey card that is said moves no corner.
  const shownAt = (await shown()).placing.proof;
  expect(await place(shownAt, [{ x: 4, y: 4, reflectance: 0.18 }])).toMatchObject({
    ok: true,
  });
  expect((await kept())[0]!.placing).toMatchObject({ byHand: false });
  const moved = proof.map((p) => ({ x: p.x + 2, y: p.y - 1 }));
  expect(await place(moved)).toEqual({ ok: true, value: null });
  expect((await kept())[0]!.placing).toMatchObject({ byHand: true, proof: moved });
  expect((await shown()).said!.drift.byTone.midtones!.yellow).toBeGreaterThan(4);
  expect(await here.rows('SELECT * FROM proof_placing')).toHaveLength(3);
  const [a, b, c, d] = proof;
  expect(await place([a, c, b, d])).toMatchObject({
    message: expect.stringMatching(/not four corners of a picture/),
  });
  expect(await place([a, b, c, { x: 9000, y: 3 }])).toMatchObject({
    message: expect.stringMatching(/lies beside the photograph/),
  });
  expect(await place([a, b, c])).toMatchObject({ ok: false });
  expect(await place(proof, [{ x: 4, y: 4, reflectance: 7 }])).toMatchObject({ ok: false });
});

it('a photograph that is not found can be kept to be placed, and says that it does not fit', async () => {
  const other = await asJpeg(taken(original('causeway', 400), { seed: 8 }));
  expect(await bring(other, { byHand: true })).toMatchObject({ ok: true });
  const { said, seen, placing } = await shown();
  expect(said).toBeNull();
  expect(placing.byHand).toBe(true);
  const format = { number: (v: number) => v.toFixed(1) };
  expect(sureWords(seen!, true, format as never)).toMatch(/it does not fit/);
});

it('a round that does not say its master, or whose master is gone, cannot be photographed', async () => {
  const unsaid = await send({ round: 2 });
  expect(await bring(jpeg, { round: String(unsaid) })).toMatchObject({
    message: expect.stringMatching(/does not say which master/),
  });
  // The first master of this studio is only claimed: its pixels are nowhere.
  const gone = await send({ round: 3, masterId: 1 });
  expect(await bring(jpeg, { round: String(gone) })).toMatchObject({
    message: expect.stringMatching(/picture of its master is gone/),
  });
});

it('a report has a page for each round, with what was sent, seen and measured', async () => {
  const made = (await proofReportDocument('1', SIZE))!;
  expect(made.name).toBe('slack-water_30-40-cm_proofs.pdf');
  writeFileSync(at(made.name), made.bytes);
  const pages = execFileSync('pdftotext', ['-layout', at(made.name), '-'], {
    encoding: 'utf8',
  }).split('\f');
  expect(pages.slice(0, -1)).toHaveLength(3);
  // The last photograph does not show this print: of it nothing is said.
  expect(pages[0]).toMatch(/Slack Water[\s\S]*Round 1, Linen 300/);
  expect(pages[0]).not.toMatch(/Photograph/);
  expect(await bring(jpeg)).toMatchObject({ ok: true });
  writeFileSync(at(made.name), (await proofReportDocument('1', SIZE))!.bytes);
  const [first] = execFileSync('pdftotext', ['-layout', at(made.name), '-'], {
    encoding: 'utf8',
  }).split('\f');
  expect(first).toMatch(/Photograph print.jpg[\s\S]*midtones .* yellower/);
  expect(pages[1]).toMatch(/Round 2, .*: out/);
  expect(await proofReportDocument('1', 'isoA-A2')).toBeNull();
});

it('says the same from the command line, and refuses in words', async () => {
  writeFileSync(at('photo.jpg'), jpeg);
  await sharp(picture.data, {
    raw: { width: picture.width, height: picture.height, channels: 3 },
  })
    .withIccProfile('srgb')
    .png()
    .toFile(at('master.png'));
  const plain = { corners: null, proofAt: 'right', card: null } as const;
  const compare = (photograph: string, over: object = {}) =>
    comparePhotographFile(
      at('master.png'),
      at(photograph),
      { ...plain, ...over },
      () => undefined,
      new AbortController().signal,
    );
  const report = await compare('photo.jpg');
  expect(report).toMatchObject({ white: 'border', byHand: false, original: null });
  expect(report.registration.error).toBeLessThan(1);
  report.corners.forEach(([x, y], i) =>
    expect(
      Math.hypot(x! - photo.corners[0]![i]!.x, y! - photo.corners[0]![i]!.y),
    ).toBeLessThan(1),
  );
  expect(report.byTone.midtones).toMatchObject({
    words: expect.stringMatching(/yellower/),
  });
  const card = { x: 5, y: 9000, reflectance: 0.18 };
  await expect(compare('photo.jpg', { card })).rejects.toThrow(
    /lies beside the photograph/,
  );
  await sharp(jpeg).rotate(90).jpeg().toFile(at('turned.jpg'));
  await expect(compare('turned.jpg')).rejects.toThrow(NotThatPicture);
});
