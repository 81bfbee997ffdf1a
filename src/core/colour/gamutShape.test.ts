import { SPACE_IDS, coverage, gamutShape, reachAt, spaceTable } from '.';
import type { DeviceTable } from '.';
import { devicePlaces } from '.';

const [srgb, p3, a98, romm] = SPACE_IDS.map((id) => gamutShape(spaceTable(id)));

it('has the volume of a body that can be reckoned', () => {
  // A box: L* 10..90, a* and b* -40..40.
  const places = devicePlaces(3, 9);
  const lab = places.map((v, i) => (i % 3 === 0 ? 10 + v * 80 : v * 80 - 40));
  const box: DeviceTable = { channels: 3, points: 9, lab };
  const shape = gamutShape(box);
  expect(shape.volume / (80 * 80 * 80)).toBeGreaterThan(0.96);
  expect(shape.volume / (80 * 80 * 80)).toBeLessThan(1.04);
  expect(reachAt(shape, 0, 50)).toBeCloseTo(40, 1);
  expect(reachAt(shape, 9, 50)).toBeCloseTo(40 * Math.SQRT2, 1);
  expect(reachAt(shape, 0, 95)).toBeLessThan(21);
});

it('has the volumes of working spaces as they are published, within a few in a hundred', () => {
  // Cubic units of CIELAB under D50.
  const published = [832_870, 1_176_000, 1_208_600, 2_879_568];
  [srgb, p3, a98, romm].forEach((shape, i) => {
    expect(shape!.volume / published[i]!).toBeGreaterThan(0.95);
    expect(shape!.volume / published[i]!).toBeLessThan(1.05);
  });
});

it('says what one holds of another: all of a smaller one, itself, a part of a larger one', () => {
  expect(coverage(srgb!, srgb!)).toBeCloseTo(1, 6);
  expect(coverage(srgb!, romm!)).toBeGreaterThan(0.99);
  const part = coverage(a98!, srgb!);
  expect(part).toBeGreaterThan(0.6);
  expect(part).toBeLessThan(0.75);
});
