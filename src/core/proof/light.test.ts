import fc from 'fast-check';
import { LIGHT_RULES, illuminanceOf, judgeLight, luminanceOf } from '.';
import type { LightSetUp } from '.';

const right: LightSetUp = {
  lux: 500,
  reflectance: 0.9,
  luminance: 143,
  lightKelvin: 5000,
  screenKelvin: 5000,
  surround: 'neutral grey',
  calibratedOn: '2026-11-20',
};
const tones = (over: Partial<LightSetUp>, today = '2026-11-28') =>
  Object.fromEntries(judgeLight({ ...right, ...over }, today).map((f) => [f.what, f.tone]));

it('luminance and illuminance are each other’s: 500 lx on 0.9 are 143 cd/m2', () => {
  expect(luminanceOf(500, 0.9)).toBeCloseTo(143.24, 2);
  fc.assert(
    fc.property(
      fc.double({ min: 1, max: 5000, noNaN: true }),
      fc.double({ min: 0.2, max: 1, noNaN: true }),
      (lux, reflectance) => {
        const back = illuminanceOf(luminanceOf(lux, reflectance), reflectance);
        expect(back / lux).toBeCloseTo(1, 9);
      },
    ),
  );
});

it('finds nothing wrong with what is right, and says nothing of what was not measured', () => {
  expect(new Set(Object.values(tones({})))).toEqual(new Set(['good']));
  const unmeasured = { luminance: null, lightKelvin: null, screenKelvin: null };
  expect(tones({ ...unmeasured, calibratedOn: null })).toEqual({ lux: 'good' });
});

it.each([
  [{ lux: 200 }, 'lux', 'caution'],
  [{ luminance: 165 }, 'luminance', 'caution'],
  [{ luminance: 220 }, 'luminance', 'stop'],
  [{ lightKelvin: 4000, screenKelvin: 4000 }, 'light', 'caution'],
  [{ screenKelvin: 5600 }, 'whites', 'caution'],
  [{ screenKelvin: 6500 }, 'whites', 'stop'],
  [{ surround: 'coloured' as const }, 'surround', 'caution'],
])('%j: %s is a %s', (over, what, tone) => {
  expect(tones(over)).toMatchObject({ [what]: tone });
});

it('a calibration lasts its days, and is then to be done again', () => {
  const [found] = judgeLight(right, '2026-12-20').filter((f) => f.what === 'calibration');
  expect(found).toMatchObject({ tone: 'good', days: 30, due: '2026-12-20' });
  expect(tones({}, '2026-12-21')).toMatchObject({ calibration: 'caution' });
  expect(LIGHT_RULES.calibrationDays).toBe(30);
});
