import { inProcess, SIZE } from '../../../../e2e/support/inProcess';
import type { InProcess } from '../../../../e2e/support/inProcess';
import { loadProof } from '@/stations/proof/view';
import { keepLight, readMeter } from './actions';
import { findingWords } from './words';
import { loadLight } from './view';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

let here: InProcess;
beforeAll(async () => {
  here = await inProcess();
});
afterAll(() => here.end());

const set = {
  lux: '480',
  reflectance: '90',
  luminance: '140',
  lightKelvin: '5000',
  screenKelvin: '5100',
  surround: 'neutral grey',
  calibratedOn: '2026-09-01',
};

it('is kept, noted with the next proof that is judged, and asks for a calibration', async () => {
  expect((await loadLight()).light).toBeNull();
  expect(await keepLight({ ...set, calibratedOn: '2190-01-01' })).toMatchObject({
    fields: { calibratedOn: expect.stringContaining('lies in the future') },
  });
  expect(await keepLight({ ...set, reflectance: '5' })).toMatchObject({ ok: false });
  expect(await keepLight(set)).toMatchObject({ ok: true });
  expect((await loadLight()).light).toMatchObject({ lux: 480, reflectance: 0.9 });
  expect((await loadProof('1', { size: SIZE })).light).toMatchObject({
    lux: 480,
    lightKelvin: 5000,
  });
  await expect(here.rows('UPDATE light_set_up SET lux = 1')).rejects.toThrow();
});

it('reads the meter where prints are judged', async () => {
  const answer = await readMeter({});
  expect(answer).toMatchObject({ ok: true, value: { name: 'light meter (simulated)' } });
  const { lux, kelvin } = (answer as { value: { lux: number; kelvin: number } }).value;
  expect([lux > 450 && lux < 510, kelvin > 4900 && kelvin < 5000]).toEqual([true, true]);
});

it('says what is wrong with its figure, and what to do', () => {
  const day = (d: string) => d;
  expect(
    findingWords({ what: 'luminance', tone: 'stop', wanted: 143, found: 220 }, day),
  ).toBe(
    "The paper sends back 143 cd/m², the screen's white has 220, 54 % brighter: prints will look dark. Turn the screen down, or the light up.",
  );
  expect(
    findingWords({ what: 'whites', tone: 'stop', light: 5000, screen: 6500 }, day),
  ).toMatch(/looks bluer on the screen/);
});
