import { inProcess, SIZE } from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { readSettings, saveSettings } from '@/data';
import { undo } from '@/drawers/undo/actions';
import { loadTable } from '@/drawers/table/view';
import { markedWorks, offeredRungs, loadWorkPage } from '@/studio';
import { offerSize, withdrawSize } from './actions';
import { dropCrop, freeArea, keepArea, keepCrop } from './cropActions';
import { addOwnSize, keepStanding, removeOwnSize } from './ruleActions';
import { loadSize } from './view';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

let here: InProcess;
beforeAll(async () => {
  here = await inProcess();
});
afterAll(() => here.end());

/** Everything as it was, by further facts. */
afterEach(async () => {
  const { decided, crops, area } = await loadSize('1', {});
  const on = decided.filter((d) => d.kind === 'offered' && d.sizeKey !== SIZE);
  if (on.length > 0)
    await withdrawSize({
      workId: '1',
      sizeKey: on.map((d) => d.sizeKey).join(','),
      reason: 'done with',
    });
  for (const { ratio } of crops) await dropCrop({ workId: '1', ratio });
  if (area) await freeArea({ workId: '1' });
  await here.open.db.write((tx) => saveSettings(tx, { ownSizes: [] }));
});

const count = async (table: string) =>
  (await here.rows<{ n: number }>(`SELECT count(*) AS n FROM ${table}`))[0]!.n;

const layout = { workId: '1', fit: 'within', border: '20 mm' };
const THREE = 'isoA-A3,isoA-A2,own-42x60cm';
const offered = async () =>
  (await loadSize('1', {})).decided
    .filter((d) => d.kind === 'offered')
    .map((d) => d.sizeKey);
const step = (answer: unknown) => String((answer as { undo: number }).undo);

describe('many sizes at once', () => {
  it('are offered and withdrawn in one step, which is taken back in one', async () => {
    const answer = await offerSize({ ...layout, sizeKey: THREE });
    expect(answer).toMatchObject({ ok: true });
    expect(await offered()).toEqual([SIZE, 'isoA-A3', 'isoA-A2', 'own-42x60cm']);
    const away = await withdrawSize({
      workId: '1',
      sizeKey: 'isoA-A3,own-42x60cm',
      reason: 'falls short',
    });
    expect(await offered()).toEqual([SIZE, 'isoA-A2']);
    expect(await undo({ id: step(away) })).toMatchObject({
      ok: true,
      value: 'withdrawing 2 sizes',
    });
    expect((await offered()).sort()).toEqual(
      [SIZE, 'isoA-A2', 'isoA-A3', 'own-42x60cm'].sort(),
    );
    await undo({ id: step(answer) });
    expect(await offered()).toEqual([SIZE]);
  });
  it('are offered all or not at all', async () => {
    const before = await count('size_event');
    for (const sizeKey of [
      'isoA-A3,isoA-A99',
      'isoA-A3,own-9x9m',
      'isoA-A3,inchFrames-5x7',
    ])
      expect(await offerSize({ ...layout, border: '80 mm', sizeKey })).toMatchObject({
        ok: false,
      });
    expect(await count('size_event')).toBe(before);
  });
  it('one of which is not on offer are not withdrawn', async () => {
    expect(
      await withdrawSize({ workId: '1', sizeKey: `${SIZE},isoA-A0`, reason: 'x' }),
    ).toMatchObject({ ok: false, message: expect.stringContaining('A0 is not on offer') });
    expect(await offered()).toEqual([SIZE]);
  });
});

it('keeps borders of each side, bleed, and where the border lies', async () => {
  await offerSize({
    ...layout,
    sizeKey: 'isoA-A2',
    place: 'outside',
    below: '60 mm',
    left: '1 in',
    deckle: '12',
  });
  const { decided } = await loadSize('1', {});
  expect(decided.at(-1)!.layout).toEqual({
    fit: 'within',
    place: 'outside',
    borders: { above: 20, right: 20, below: 60, left: expect.closeTo(25.4, 6) as number },
    bleed: 0,
    deckle: 12,
  });
  expect(await offerSize({ ...layout, sizeKey: 'isoA-A2', bleed: '80 mm' })).toMatchObject({
    ok: false,
    fields: { bleed: expect.stringMatching(/Bleed past the edge: 80.mm is too much/) },
  });
});

describe('a size is open again', () => {
  const marks = async () =>
    (await markedWorks(here.open.db.read, [1], '2026-11-02'))[0]!.marks.size;
  it('when a newer master changes its verdict, and until it is decided anew', async () => {
    await offerSize({ ...layout, sizeKey: 'metricFrames-40x50' });
    expect(await marks()).toBe('done');
    await here.take({ width: 3400, height: 4533 }, 'b'.repeat(64));
    const stands = (await loadSize('1', {})).decided.find(
      (d) => d.sizeKey === 'metricFrames-40x50',
    );
    expect(stands!.judged).toMatchObject({ verdict: 'inHand', masterId: 1 });
    expect(await marks()).toBe('attention');
    await offerSize({ ...layout, sizeKey: 'metricFrames-40x50' });
    expect(await marks()).toBe('done');
    await here.take({}, 'c'.repeat(64));
  });
  it('or when a crop takes its pixels', async () => {
    await offerSize({ ...layout, fit: 'fill', sizeKey: 'metricFrames-50x70' });
    expect(await marks()).toBe('done');
    await keepCrop({ workId: '1', ratio: '5:7', x: '0.5', y: '0.5', zoom: '0.4' });
    expect(await marks()).toBe('attention');
    await dropCrop({ workId: '1', ratio: '5:7' });
    expect(await marks()).toBe('done');
  });
});

describe('a crop', () => {
  const keep = (over: object = {}) =>
    keepCrop({ workId: '1', ratio: '4:5', x: '0.5', y: '0.2', zoom: '0.8', ...over });
  const rungNow = async (key: string) => {
    const page = await loadWorkPage('1');
    return (await offeredRungs(page, key)).picked!;
  };
  it('is used by every size of its ratio, on every station and the table', async () => {
    await offerSize({
      ...layout,
      fit: 'fill',
      sizeKey: 'metricFrames-40x50,inchFrames-16x20',
    });
    await keep({ zoom: '0.2' });
    for (const key of ['metricFrames-40x50', 'inchFrames-16x20']) {
      const { fit, judgement } = await rungNow(key);
      expect(fit.crop.top + fit.crop.height / 2).toBeCloseTo(0.2, 6);
      expect(judgement.figures.cropShare).toBeGreaterThan(0.95);
      expect(judgement.advice).toBe('withdraw');
    }
    const short = (await loadTable()).lines.filter((l) => l.what === 'fallsShort');
    expect(short.map((l) => ('size' in l ? l.size : '')).sort()).toEqual([
      '16 × 20 in',
      '40 × 50 cm',
    ]);
  });
  it('is taken back to the one before it', async () => {
    const before = await count('crop_choice');
    await keep();
    const second = await keep({ y: '0.7' });
    await undo({ id: step(second) });
    const { crops, master } = await loadSize('1', {});
    expect(crops).toEqual([
      { ratio: '4:5', choice: { x: 0.5, y: 0.2, zoom: 0.8 }, picture: 7087 / 9449 },
    ]);
    expect(master!.facts.crops['4:5']).toEqual({ x: 0.5, y: 0.2, zoom: 0.8 });
    await dropCrop({ workId: '1', ratio: '4:5' });
    expect((await loadSize('1', {})).crops).toEqual([]);
    expect(await count('crop_choice')).toBe(before + 4);
  });
  it.each([
    [{ zoom: '0.01' }, /Size of the crop/],
    [{ x: '1.2' }, /Middle across/],
    [{ ratio: 'wide' }, /Ratio: “wide” is none/],
    [{ x: 'left' }, /Middle across: “left” cannot be read/],
  ])('refuses %j', async (over, message) =>
    expect(await keep(over)).toMatchObject({
      ok: false,
      message: expect.stringMatching(message),
    }),
  );
  it('that is not there cannot be given up', async () =>
    expect(await dropCrop({ workId: '1', ratio: '1:1' })).toMatchObject({
      ok: false,
      message: expect.stringContaining('No crop is kept for 1:1'),
    }));
});

it('what must stay is marked, marked anew and freed; each a further fact', async () => {
  const before = await count('kept_area');
  const area = { left: '0.1', top: '0.8', width: '0.2', height: '0.1' };
  await keepArea({ workId: '1', ...area });
  expect((await loadSize('1', {})).area).toEqual({
    left: 0.1,
    top: 0.8,
    width: 0.2,
    height: 0.1,
  });
  expect(await keepArea({ workId: '1', ...area, left: '0.9' })).toMatchObject({
    ok: false,
    message: expect.stringContaining('beyond the picture'),
  });
  await freeArea({ workId: '1' });
  expect((await loadSize('1', {})).area).toBeNull();
  expect(await count('kept_area')).toBe(before + 2);
});

describe('sizes of the studio’s own', () => {
  it('twenty own sizes at once are all kept', async () => {
    const sizes = Array.from({ length: 20 }, (_, i) => `${300 + i} x ${401 + i} mm`);
    const answers = await Promise.all(sizes.map((size) => addOwnSize({ size })));
    const keys = answers.map((a) => (a.ok ? a.value : null));
    const kept = async () => (await readSettings(here.open.db.read)).ownSizes;
    expect(await kept()).toEqual(expect.arrayContaining(keys));
    await Promise.all(keys.map((key) => removeOwnSize({ key })));
    expect((await kept()).filter((key) => keys.includes(key))).toEqual([]);
  });

  it('are added in any unit, once, and taken off again', async () => {
    const added = await addOwnSize({ size: '60 x 42 cm' });
    expect(added).toMatchObject({ ok: true, value: 'own-42x60cm' });
    await addOwnSize({ size: '9x12 in' });
    expect((await loadSize('1', {})).ownSizes).toEqual(['own-42x60cm', 'own-9x12in']);
    expect(await addOwnSize({ size: '42x60' })).toMatchObject({
      ok: false,
      fields: { size: expect.stringContaining('on the ladder already') },
    });
    await removeOwnSize({ key: 'own-9x12in' });
    expect((await loadSize('1', {})).ownSizes).toEqual(['own-42x60cm']);
    await removeOwnSize({ key: 'own-42x60cm' });
    expect((await readSettings(here.open.db.read)).ownSizes).toEqual([]);
    expect(await removeOwnSize({ key: 'own-42x60cm' })).toMatchObject({ ok: false });
  });
  it('stay on the ladder of a work that offers them', async () => {
    await addOwnSize({ size: '42 x 60 cm' });
    await offerSize({ ...layout, sizeKey: 'own-42x60cm' });
    await removeOwnSize({ key: 'own-42x60cm' });
    expect((await loadSize('1', {})).ownSizes).toEqual(['own-42x60cm']);
  });
  it.each([
    ['0 x 50 cm', /an edge under 20.mm/],
    ['-4 x 5 cm', /an edge under 20.mm/],
    ['10 km x 10 km', /cannot be read/],
    ['10000 m x 10000 m', /an edge over/],
    ['3 x 40 cm', /longer than 10 : 1/],
    ['large', /cannot be read/],
    ['', /is empty/],
  ])('%p is refused at its field', async (size, message) =>
    expect(await addOwnSize({ size })).toMatchObject({
      ok: false,
      fields: { size: expect.stringMatching(message) },
    }),
  );
});

it('keeps where people stand for every work, and takes that back', async () => {
  const kept = await keepStanding({
    standing: 'fixed',
    standingFactor: '1.5',
    standingFixedMm: '2.5 m',
  });
  const standing = async () => (await readSettings(here.open.db.read)).size;
  expect(await standing()).toMatchObject({ standing: 'fixed', standingFixedMm: 2500 });
  await undo({ id: step(kept) });
  expect(await standing()).toMatchObject({ standing: 'diagonal', standingFactor: 1.5 });
  expect(
    await keepStanding({ standing: 'fixed', standingFactor: '9', standingFixedMm: '2 m' }),
  ).toMatchObject({ ok: false });
});

it('a master that is gone leaves its sizes on offer, and says so of each', async () => {
  await here.open.db.write(async (tx) => {
    await tx.run('DELETE FROM master_now');
  });
  const view = await loadSize('1', {});
  expect(view.master).toBeNull();
  expect(view.decided.filter((d) => d.kind === 'offered')).toHaveLength(1);
  expect(
    await withdrawSize({ workId: '1', sizeKey: SIZE, reason: 'no file' }),
  ).toMatchObject({ ok: true });
  expect(
    await keepCrop({ workId: '1', ratio: '4:5', x: '0.5', y: '0.5', zoom: '1' }),
  ).toMatchObject({ ok: false, message: expect.stringContaining('no master to crop') });
});
