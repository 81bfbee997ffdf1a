import { inProcess, SIZE } from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { USUAL_FINISH } from '@/core/finish';
import { saveSettings } from '@/data';
import { keepFinish } from './actions';
import { finishTyped } from './finishForm';
import { mm } from '@/core/units';
import { formatOf } from '@/shell/figures/format';
import { loadFinish } from './view';
import { stackWords } from './words';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

let here: InProcess;
beforeAll(async () => {
  here = await inProcess();
});
afterAll(() => here.end());

const MAT = {
  workId: '1',
  sizeKey: SIZE,
  style: 'reveal',
  perSide: '12 mm',
  offPrint: '1',
  offMat: '1',
  offFrame: '1',
  sides: '60',
  above: '60',
  below: '75',
  moulding: '20',
  glass: '2',
  glazing: 'glass',
  sold: 'on request',
};
const keep = (over: Record<string, string> = {}) => keepFinish({ ...MAT, ...over });

it('keeps a mat in millimetres, whatever units it was typed in, and a later one beside it', async () => {
  expect(await loadFinish('1', { size: SIZE })).toMatchObject({
    keptKeys: [],
    keptAt: null,
    start: USUAL_FINISH,
  });
  expect(await keep()).toMatchObject({ ok: true });
  expect(await keep({ perSide: '1/2 in' })).toMatchObject({ ok: true });
  expect(await loadFinish('1', { size: SIZE })).toMatchObject({
    start: { style: 'reveal', perSide: 12.7, below: 75 },
    keptKeys: [SIZE],
    keptAt: expect.any(String),
  });
  const [row] = await here.rows<{ n: number }>('SELECT count(*) AS n FROM finish');
  expect(row!.n).toBe(2);
});

it('a bench that turns to inches re-labels nothing that was kept', async () => {
  const before = (await loadFinish('1', { size: SIZE })).start;
  await here.open.db.write((tx) => saveSettings(tx, { units: 'inch' }));
  expect((await loadFinish('1', { size: SIZE })).start).toEqual(before);
  // A plain figure is read in the units of the bench from now on.
  const inches = { offPrint: '1/32', offMat: '1/32', offFrame: '1/32', above: '2 1/2' };
  const more = { below: '3', moulding: '3/4', glass: '1/12', sides: '2 1/2' };
  expect(await keep({ ...inches, ...more, perSide: '1/4' })).toMatchObject({ ok: true });
  expect((await loadFinish('1', { size: SIZE })).start).toMatchObject({
    perSide: 6.35,
    sides: 63.5,
  });
  await here.open.db.write((tx) => saveSettings(tx, { units: 'metric' }));
});

it('refuses an overlap that leaves no opening, at its field', async () => {
  expect(await keep({ style: 'overlap', perSide: '200 mm' })).toMatchObject({
    ok: false,
    fields: { perSide: 'Per side: the overlap covers the whole image. Make it smaller.' },
  });
});

it.each([
  [{ moulding: '0' }, 'moulding'],
  [{ glass: '30 mm' }, 'glass'],
  [{ glazing: 'ice' }, 'glazing'],
  [{ sides: '' }, 'sides'],
])('refuses %j at its field', async (over, field) => {
  expect(await keep(over as Record<string, string>)).toMatchObject({
    ok: false,
    fields: { [field]: expect.any(String) },
  });
});

it('is for sizes on offer only', async () => {
  expect(await keep({ sizeKey: 'isoA-A4' })).toMatchObject({
    ok: false,
    message: 'This size is not on offer any more. Offer it at Size first.',
  });
});

it('the rabbet is as deep as what lies in it, or it is said what is not known', () => {
  const format = formatOf({
    ...{ units: 'metric', locale: 'en-GB', currency: 'EUR', timeZone: 'UTC' },
  });
  const kept = { ...USUAL_FINISH, spacer: mm(4) };
  const say = (values: Parameters<typeof stackWords>[0], print: number | null) =>
    stackWords(values, print === null ? null : { thickness: mm(print) }, format);
  expect(say(kept, 0.52)).toMatch(
    /^11.02\Wmm: glazing 2.00\Wmm, mat 1.50\Wmm, spacer 4.00\Wmm, print 0.52\Wmm, backing 3.00\Wmm$/,
  );
  expect(say({ ...kept, backing: null }, null)).toBe('not known: print, backing');
});

it('what it costs is kept in the currency it was typed in, and Price has it from there', async () => {
  await here.open.db.write((tx) => saveSettings(tx, { units: 'metric' }));
  const typed = {
    ...{ mouldingPrice: '12', glazingPrice: '20', boardPrice: '8', backingPrice: '5' },
    ...{ hardware: '1.50', hours: '0.75' },
  };
  expect(await keep({ ...typed })).toMatchObject({ ok: true });
  const { start } = await loadFinish('1', { size: SIZE });
  expect(start.prices).toEqual({
    ...{ currency: 'EUR', moulding: 1200, glazing: 2000, board: 800, backing: 500 },
    ...{ hardware: 150, hours: 0.75, every: false },
  });
  expect(finishTyped(start, 'EUR')).toMatchObject({ mouldingPrice: 1200, hours: 0.75 });
  // A currency later, nothing is re-labelled.
  expect(finishTyped(start, 'JPY')).toMatchObject({ mouldingPrice: null, hours: null });
  expect(await keep({})).toMatchObject({ ok: true });
  expect((await loadFinish('1', { size: SIZE })).start.prices).toBeNull();
});
