import { inProcess, SIZE } from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { readSettings } from '@/data';
import { undo } from '@/drawers/undo/actions';
import { loadLight } from '../proofs/light/view';
import { loadPrepare } from '@/stations/prepare/view';
import { loadProof } from '@/stations/proof/view';
import { saveBench, setSwitches } from './actions';
import { BENCH_COLUMNS, benchWritten } from './benchForm';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

let here: InProcess;
beforeAll(async () => {
  here = await inProcess();
});
afterAll(() => here.end());

const form = async () => benchWritten(await readSettings(here.open.db.read));
const save = async (over: Record<string, string>, seen?: Record<string, string>) => {
  const now = await form();
  return saveBench({ ...now, ...over, seen: JSON.stringify(seen ?? now) });
};

it('every setting has its place on the form, once', async () =>
  expect(
    BENCH_COLUMNS.flat()
      .flatMap(([, names]) => names)
      .sort(),
  ).toEqual(Object.keys(await form()).sort()));

it('a rule of thumb that is changed is the one in force, until it is taken back', async () => {
  expect((await loadPrepare('1', { size: SIZE })).settings.printPpi).toBe(300);
  expect(await save({ printPpi: '360', standingFactor: '2' })).toMatchObject({ ok: true });
  expect((await loadPrepare('1', { size: SIZE })).settings.printPpi).toBe(360);
  expect(await undo({})).toMatchObject({ ok: true, value: 'the change of settings' });
  const proofing = { sizeFactor: '1.2', driftMean: '1', driftWorst: '3' };
  const light = { luxLeast: '200', luxMost: '400', kelvinApart: '500', near: '20' };
  expect(await save({ ...proofing, ...light, calibrationDays: '14' })).toMatchObject({
    ok: true,
  });
  expect((await loadPrepare('1', { size: SIZE })).sizeFactor).toBe(1.2);
  expect((await loadProof('1', { size: SIZE })).limits).toEqual({ mean: 1, worst: 3 });
  expect((await loadLight()).rules).toEqual({
    ...{ luxLeast: 200, luxMost: 400, usualKelvin: 5000, kelvinApart: 500 },
    ...{ kelvinFar: 1000, near: 0.2, far: 0.25, calibrationDays: 14 },
  });
  await undo({});
  expect((await loadPrepare('1', { size: SIZE })).settings.printPpi).toBe(300);
  expect((await form()).standingFactor).toBe('1.5');
});

it('two pages: the second sees both values', async () => {
  const seen = await form();
  await save({ studio: 'Weir Lane Studio' });
  expect(await save({ studio: 'Sluice Studio' }, seen)).toMatchObject({
    ok: false,
    fields: { studio: expect.stringContaining('now “Weir Lane Studio”') },
  });
});

it.each([
  [{ locale: 'not a language!' }, 'locale'],
  [{ currency: 'GULL' }, 'currency'],
  [{ printPpi: '20' }, 'printPpi'],
  [{ standingFactor: '9' }, 'standingFactor'],
  [{ handlingDays: '-1' }, 'handlingDays'],
  [{ backupAfterDays: '0' }, 'backupAfterDays'],
  // Limits that contradict each other.
  [{ luxLeast: '700' }, 'luxMost'],
  [{ near: '30' }, 'far'],
  [{ driftMean: '19' }, 'driftWorst'],
  [{ goodStops: '2', poorStops: '1' }, 'poorStops'],
])('refuses %j at its field, and changes nothing', async (over, field) => {
  const before = await form();
  expect(await save(over as Record<string, string>)).toMatchObject({
    ok: false,
    fields: { [field]: expect.any(String) },
  });
  expect(await form()).toEqual(before);
});

it('switches units and grey by themselves', async () => {
  expect(await setSwitches({ units: 'inch' })).toMatchObject({ ok: true });
  expect(await setSwitches({ tone: 'dark' })).toMatchObject({ ok: true });
  expect(await readSettings(here.open.db.read)).toMatchObject({
    units: 'inch',
    tone: 'dark',
  });
  expect(await setSwitches({ tone: 'pink' })).toMatchObject({ ok: false });
});
