import { Readable } from 'node:stream';
import sharp from 'sharp';
import { inProcess, SIZE } from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { RECIPE, plainRecipe, stepIn, withStep } from '@/core/prepare';
import { minor } from '@/core/units';
import {
  addDevice,
  addPrintFile,
  addPrintWish,
  addProofRound,
  asMatch,
  assignNumber,
} from '@/data';
import { mm } from '@/core/units';
import { judgePrint, keepEntryRecipe } from './actions';
import { logDocument } from './documents';
import { receivePhotograph } from './intakePhotograph';
import { loadPrints } from './prints';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

let here: InProcess;
const recipe = plainRecipe(300, 1.4);
const at = (day: number) => `2026-11-${String(day).padStart(2, '0')}T10:00:00.000Z`;

const file = (factor: number, version: number) =>
  here.open.db.write((tx) =>
    addPrintFile(tx, {
      workId: 1,
      sizeKey: SIZE,
      masterId: 1,
      version,
      name: `30x40cm_slack-water_v${version}.tif`,
      sha256: String(version).repeat(64),
      bytes: 1,
      width: 10,
      height: 10,
      kind: 'print',
      channels: 3,
      factor,
      recipe,
      recipeId: null,
      checks: [],
      at: at(3 + version),
    }),
  );

beforeAll(async () => {
  here = await inProcess({ numbered: 0, orders: 0 });
  await here.open.db.write(async (tx) => {
    const deviceId = await addDevice(
      tx,
      {
        kind: 'film',
        name: 'Plattenwick L3',
        width: mm(36),
        height: mm(24),
        pixelsAcross: null,
        pixelsDown: null,
        nominalPpi: 4000,
        measuredPpi: null,
        focalLength: null,
        memoryMegabytes: null,
      },
      at(2),
    );
    const wish = { workId: 1, width: mm(700), height: mm(500), ppi: 300, deviceId };
    await addPrintWish(tx, { ...wish, at: at(2) });
  });
  const first = await file(1.6, 1);
  await file(3.2, 2);
  await here.open.db.write(async (tx) => {
    await addProofRound(tx, {
      workId: 1,
      sizeKey: SIZE,
      paperId: 1,
      round: 1,
      route: 'Tidewrack Print Rooms',
      printFileId: first,
      cost: minor(1250),
      currency: 'EUR',
      remarks: '',
      sentAt: at(6),
    });
    const number = { editionId: here.editionId, series: 'number', sizeKey: SIZE } as const;
    await assignNumber(tx, { ...number, at: at(7) });
  });
});
afterAll(() => here.end());

const judge = (entryId: number, over: Record<string, string> = {}) =>
  judgePrint({
    entryId: String(entryId),
    sharpness: '',
    grain: '',
    halos: '',
    tone: '',
    colour: '',
    remarks: '',
    ...over,
  });
const rows = async (query: Record<string, string> = {}) =>
  (await loadPrints(query)).page.rows;

it('files, proofs and impressions write themselves in, with what they were made of', async () => {
  expect(
    (await rows()).map((r) => [r.kind, r.what, r.factor, r.source, r.paper, r.cost]),
  ).toEqual([
    ['impression', 'impression 1/30', 3.2, 'film', '', null],
    ['proofRound', 'proof round 1', 1.6, 'film', 'Linen 300', 1250],
    ['printFile', '30x40cm_slack-water_v2.tif', 3.2, 'film', '', null],
    ['printFile', '30x40cm_slack-water_v1.tif', 1.6, 'film', '', null],
  ]);
  await expect(here.open.db.read.run('DELETE FROM print_entry')).rejects.toThrow();
});

it('keeps what was thought apart, and the newest word on each', async () => {
  const proof = (await rows({ kind: 'proofRound' }))[0]!;
  expect(await judge(proof.id)).toMatchObject({
    message: expect.stringMatching(/Nothing was said yet/),
  });
  expect(await judge(proof.id, { sharpness: '3' })).toMatchObject({
    fields: { sharpness: expect.any(String) },
  });
  await judge(proof.id, { sharpness: '1', halos: '1', remarks: 'crunchy gulls' });
  await judge(proof.id, { halos: '0', remarks: 'better at arm’s length' });
  const { thought } = (await rows({ kind: 'proofRound' }))[0]!;
  expect(thought).toMatchObject({
    opinion: { sharpness: 1, grain: null, halos: 0, tone: null, colour: null },
    remarks: ['crunchy gulls', 'better at arm’s length'],
  });
});

it.each([
  ['crunchy', 1],
  ['gull tidewrack', 1],
  ['CRUNCHY linen', 1],
  ['slack', 4],
  ['impression', 1],
  ['walrus', 0],
  ['"crunchy', 1],
  ['a" OR 1=1 --', 0],
  ['NEAR( * ^', 0],
  ['* ^', 4],
])('finds %j in every word of it', async (find, count) => {
  // What is no word at all finds everything.
  expect(await rows({ find })).toHaveLength(asMatch(find) === '' ? 4 : count);
});

it('filters by work, kind and paper, together with words', async () => {
  expect(await rows({ work: '1', kind: 'printFile' })).toHaveLength(2);
  expect(await rows({ paper: '1' })).toHaveLength(1);
  expect(await rows({ paper: '1', find: 'walrus' })).toEqual([]);
  expect(await rows({ work: '99' })).toEqual([]);
});

it('answers what worked, and proposes a recipe out of it', async () => {
  const { answer } = await loadPrints({ factor: '1.7', source: 'film', on: '1' });
  expect(answer!.near.map((n) => n.what)).toEqual([
    'proof round 1',
    '30x40cm_slack-water_v1.tif',
    'impression 1/30',
    '30x40cm_slack-water_v2.tif',
  ]);
  expect(answer!.near[0]!.distance).toBeCloseTo(Math.log2(1.7 / 1.6), 6);
  const { proposed } = answer!;
  expect(proposed!.from).toBe(answer!.near[0]!.id);
  expect(proposed!.changes).toEqual([
    { aspect: 'sharpness', field: 'amount', was: 60, now: 50 },
  ]);
  expect(proposed!.recipe).toEqual(
    withStep(recipe, 4, { ...stepIn(recipe, 'output')!, amount: 50 }),
  );
  expect((await loadPrints({ factor: 'much' })).answer).toBeNull();
});

it('shows an edition’s numbers once, and the judged before them', async () => {
  await here.open.db.write(async (tx) => {
    const number = { editionId: here.editionId, series: 'number', sizeKey: SIZE } as const;
    for (const day of [8, 9]) await assignNumber(tx, { ...number, at: at(day) });
  });
  const { answer } = await loadPrints({ factor: '3.2' });
  expect(answer!.near.filter((n) => n.kind === 'impression').map((n) => n.what)).toEqual([
    'impression 3/30',
  ]);
  expect(answer!.judged).toBe(1);
});

it('a recipe of an entry can be kept for Prepare', async () => {
  const proof = (await rows({ kind: 'proofRound' }))[0]!;
  expect(
    await keepEntryRecipe({ entryId: String(proof.id), name: 'Film onto linen' }),
  ).toMatchObject({ ok: true });
  const [kept] = await here.rows<{ recipe: string }>(
    "SELECT recipe FROM recipe WHERE name = 'Film onto linen'",
  );
  expect(RECIPE.read(JSON.parse(kept!.recipe))).toEqual(recipe);
});

it('takes photographs, and nothing else', async () => {
  const proof = (await rows({ kind: 'proofRound' }))[0]!;
  const take = (bytes: Buffer, id = proof.id) =>
    receivePhotograph(String(id))('print.jpg', Readable.from([bytes]));
  const jpeg = await sharp({
    create: { width: 40, height: 30, channels: 3, background: '#777' },
  })
    .jpeg()
    .toBuffer();
  expect(await take(jpeg)).toEqual({ ok: true, name: 'print.jpg' });
  expect((await rows({ kind: 'proofRound' }))[0]!.thought!.photographs).toHaveLength(1);
  expect(await take(Buffer.from('no picture'))).toMatchObject({ ok: false });
  expect(await take(jpeg, 999)).toMatchObject({
    message: expect.stringMatching(/entry is not there/),
  });
});

it('goes out as CSV and as a document', async () => {
  const csv = await logDocument({ form: 'csv', kind: 'proofRound' });
  const lines = Buffer.from(csv.bytes).toString().trim().split('\n');
  expect(lines).toHaveLength(2);
  expect(lines[0]).toMatch(/^day,kind,what,work,size,enlarged,source/);
  expect(lines[1]).toMatch(
    /^2026-11-06,proof,proof round 1,Slack Water,30 × 40 cm,1.6,film scan/,
  );
  expect(lines[1]).toMatch(
    /12.5,EUR,"Lanczos 3 at 300 ppi, sharpened 60 % 1.4 px",1,,0,,,crunchy gulls · better/,
  );
  const pdf = await logDocument({ form: 'pdf' });
  expect(Buffer.from(pdf.bytes).subarray(0, 5).toString()).toBe('%PDF-');
});
