import { inProcess } from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { plain, withNoise } from '../../../e2e/support/pictures';
import { BOARD_RULE } from '@/core/capture/evenness';
import { readPicture } from '@/core/capture/reading';
import type { MasterReading } from '@/core/capture/reading';
import { addBoardShot, currentMaster, saveReading, speckVerdicts } from '@/data';
import {
  acceptCrop,
  acceptFlatField,
  dropCrop,
  dropFlatField,
  judgeSpeck,
  keepPrintWish,
  noteSignature,
} from './actions';
import { createDevice, editDevice, keepHire, removeDevice } from './deviceActions';
import { loadCapture } from './view';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

let here: InProcess;
let reading: MasterReading;
beforeAll(async () => {
  here = await inProcess();
  reading = readPicture({ ...withNoise(plain(300, 400, 120), 1), channels: 3 });
});
afterAll(() => here.end());
// A master of its own for each test, of which nothing was read or derived.
let sha256: string;
let taken = 0;
beforeEach(() => {
  sha256 = String((taken += 1)).padStart(64, '0');
  return here.take({}, sha256);
});
const [GRID_ACROSS, GRID_DOWN] = [24, 18];
const at = '2026-11-02T12:00:00.000Z';
const workId = '1';
const master = async () => (await currentMaster(here.open.db.read, 1))!;

const CORNERS = [
  { x: 100, y: 120 },
  { x: 6900, y: 60 },
  { x: 6960, y: 9300 },
  { x: 160, y: 9360 },
];
const keepReading = (proposal: typeof CORNERS | null) =>
  here.open.db.write((tx) =>
    saveReading(tx, {
      sha256,
      reading: {
        ...reading,
        geometry: { ...reading.geometry, proposal: proposal as never },
      },
      workId: 1,
      at,
    }),
  );

describe('a proposed crop', () => {
  it('is refused while nothing was read, and where nothing is proposed', async () => {
    expect(await acceptCrop({ workId })).toMatchObject({
      message: 'No crop is proposed for this master.',
    });
    await keepReading(null);
    expect(await acceptCrop({ workId })).toMatchObject({ ok: false });
    expect((await master()).derivation).toBeNull();
  });

  it('becomes a derivation and is taken back; the file and both rows stay', async () => {
    await keepReading(CORNERS);
    const whole = await master();
    expect(await acceptCrop({ workId })).toMatchObject({ ok: true });
    const cropped = await master();
    expect(cropped.derivation).toEqual({ corners: CORNERS, flatField: null });
    expect(cropped.sha256).toBe(whole.sha256);
    expect(cropped.file).toEqual(whole.file);
    expect(cropped.facts.width).toBeLessThan(whole.facts.width);
    expect(cropped.picture).not.toBe(whole.picture);
    const jobs = await here.rows<{ kind: string; spec: string }>(
      "SELECT kind, spec FROM job WHERE kind = 'read' ORDER BY id DESC LIMIT 1",
    );
    expect(JSON.parse(jobs[0]!.spec)).toMatchObject({ derivation: { corners: CORNERS } });
    expect(await dropCrop({ workId })).toMatchObject({ ok: true });
    expect((await master()).derivation).toBeNull();
    expect((await master()).facts).toEqual(whole.facts);
    expect(await dropCrop({ workId })).toMatchObject({
      message: 'It was taken back already.',
    });
    const rows = await here.rows(`SELECT id FROM master WHERE sha256 = '${sha256}'`);
    expect(rows).toHaveLength(3);
  });
});

describe('a flat field', () => {
  type Shot = [width: number, height: number, light: (i: number) => number];
  const shot = (...[width, height, light]: Shot) =>
    here.open.db.write((tx) =>
      addBoardShot(tx, {
        workId: 1,
        name: 'board.tif',
        sha256: 'b'.repeat(64),
        width,
        height,
        grid: {
          columns: GRID_ACROSS,
          rows: GRID_DOWN,
          light: Array.from({ length: GRID_ACROSS * GRID_DOWN }, (_, i) => light(i)),
        },
        at,
      }),
    );
  it('says of a board of before that it was read by an earlier rule, and by how much a new reading differs', async () => {
    const { open } = here;
    const read = (rule: number | undefined, stops: number) =>
      open.db.write((tx) =>
        addBoardShot(tx, {
          workId: 1,
          name: 'board.tif',
          sha256: 'd'.repeat(64),
          width: 3000,
          height: 4000,
          grid: {
            columns: GRID_ACROSS,
            rows: GRID_DOWN,
            light: Array.from(
              { length: GRID_ACROSS * GRID_DOWN },
              (_, i) => 0.5 * 2 ** (-stops * ((i % GRID_ACROSS) / (GRID_ACROSS - 1))),
            ),
          },
          ...(rule ? { rule } : {}),
          at,
        }),
      );
    const shown = async () => (await loadCapture('1', {})).found!.board;
    await read(undefined, 0.85);
    expect(await shown()).toMatchObject({ outdated: true, before: null });
    await read(BOARD_RULE, 1.05);
    expect(await shown()).toMatchObject({
      outdated: false,
      before: expect.closeTo(0.85, 6),
    });
    await open.db.write(async (tx) => {
      await tx.run('DROP TRIGGER board_shot_no_delete');
      await tx.run('DELETE FROM board_shot');
    });
  });
  const even = (i: number) => 0.5 - 0.1 * ((i % GRID_ACROSS) / GRID_ACROSS);

  it.each([
    ['there is no board shot', null, 'There is no board shot yet. Bring one first.'],
    ['it was framed otherwise', [4000, 3000, even], /another proportion/],
    ['it is black', [3000, 4000, () => 0], /all but black/],
    [
      'it is of something else',
      [3000, 4000, (i: number) => 0.2 + 0.5 * (Math.imul(i, 2654435761) >>> 31)],
      /not of a plain board/,
    ],
  ] as [string, Shot | null, string | RegExp][])(
    'is refused when %s',
    async (_, made, message) => {
      if (made) await shot(...made);
      expect(await acceptFlatField({ workId })).toMatchObject({
        ok: false,
        message: expect.stringMatching(message) as string,
      });
      expect((await master()).derivation).toBeNull();
    },
  );

  it('joins a crop, and either goes without the other', async () => {
    await keepReading(CORNERS);
    await shot(3000, 4000, even);
    await acceptCrop({ workId });
    expect(await acceptFlatField({ workId })).toMatchObject({ ok: true });
    const both = (await master()).derivation!;
    expect(both.corners).toEqual(CORNERS);
    expect(both.flatField).not.toBeNull();
    await dropCrop({ workId });
    expect((await master()).derivation).toEqual({
      corners: null,
      flatField: both.flatField,
    });
    await dropFlatField({ workId });
    expect((await master()).derivation).toBeNull();
  });
});

it('adds what is said of a speck to what was said before', async () => {
  const said = { workId, x: '120.5', y: '40', diameter: '6', verdict: 'mended' };
  expect(await judgeSpeck(said)).toMatchObject({ ok: true });
  await judgeSpeck({ ...said, verdict: 'partOfPicture' });
  expect(await speckVerdicts(here.open.db.read, 1)).toMatchObject([
    { x: 120.5, y: 40, verdict: 'mended', width: 7087 },
    { verdict: 'partOfPicture' },
  ]);
  expect(await judgeSpeck({ ...said, verdict: 'perhaps' })).toMatchObject({ ok: false });
  expect(await judgeSpeck({ ...said, workId: '99' })).toMatchObject({
    message: 'There is no master to say this of. Bring the file first.',
  });
});

it('keeps a signature and a wanted print as facts, the newest counting', async () => {
  await noteSignature({ workId, present: 'absent' });
  await noteSignature({ workId, present: 'inPicture' });
  const facts = await here.rows<{ present: string }>('SELECT present FROM signature');
  expect(facts.map((f) => f.present)).toEqual(['absent', 'inPicture']);
  const wish = { workId, width: '600 mm', height: '800 mm', ppi: '300', deviceId: '' };
  expect(await keepPrintWish(wish)).toMatchObject({ ok: true });
  expect(await keepPrintWish({ ...wish, ppi: '5' })).toMatchObject({
    ok: false,
    fields: { ppi: expect.stringContaining('20') as string },
  });
});

describe('the list of devices', () => {
  const bed = {
    name: 'Large bed',
    kind: 'flatbed',
    width: '310 mm',
    height: '430 mm',
    pixelsAcross: '',
    pixelsDown: '',
    nominalPpi: '2400',
    measuredPpi: '',
    focalLength: '',
    memoryMegabytes: '',
  };
  const devices = () =>
    here.rows<{ id: number; name: string; measured_ppi: number | null }>(
      'SELECT id, name, measured_ppi FROM device ORDER BY id',
    );

  it('takes one, changes it and takes it off', async () => {
    const before = (await devices()).length;
    const made = await createDevice(bed);
    expect(made).toMatchObject({ ok: true });
    const deviceId = String((made as { value: number }).value);
    await editDevice({ ...bed, deviceId, measuredPpi: '1900' });
    expect((await devices()).at(-1)).toMatchObject({
      name: 'Large bed',
      measured_ppi: 1900,
    });
    expect(await removeDevice({ deviceId })).toMatchObject({ ok: true });
    expect(await devices()).toHaveLength(before);
    const gone = await editDevice({ ...bed, deviceId });
    expect(gone).toMatchObject({ ok: false });
    expect((gone as { message: string }).message).toMatch(/taken off the list meanwhile/);
  });

  it('asks for what its kind needs', async () => {
    const answer = await createDevice({ ...bed, nominalPpi: '' });
    expect(answer).toMatchObject({ ok: false });
    expect(Object.keys((answer as { fields: object }).fields)).toEqual(['nominalPpi']);
    expect((await createDevice({ ...bed, kind: 'camera' })).ok).toBe(false);
  });
});

it('keeps what hiring out and doing it oneself cost', async () => {
  const costs = {
    feePerWork: '45',
    equipment: '1200',
    hoursPerWork: '1.5',
    hourlyRate: '30',
    works: '12',
  };
  expect(await keepHire(costs)).toMatchObject({ ok: true });
  expect(await keepHire({ ...costs, works: '0' })).toMatchObject({
    ok: false,
    fields: { works: expect.any(String) as string },
  });
});
