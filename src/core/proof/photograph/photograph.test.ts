import fc from 'fast-check';
import { photographOf } from '../../../../demo/capture/photographed';
import {
  meanError,
  original,
  printedOff,
  seenAs,
  taken,
} from '../../../../e2e/support/photographs';
import { chance } from '../../image';
import { hueOf, toneOf } from '../../colour';
import { differencesOf, findPicture, isFound, placedPicture, regionsOf } from '.';
import type { Found } from '.';
import { fieldAt, lightField } from './lightField';
import { blurred, mirrored, planeOf, quartered } from './plane';

const jugs = original('twoJugs', 420);
const jugsSeen = seenAs(jugs);
const found = (sighting: ReturnType<typeof findPicture>): Found => {
  if (!isFound(sighting)) throw new Error(`not found: ${sighting.code}`);
  return sighting.found;
};

it.each([
  ['tideLines', 11],
  ['saltPans', 14],
])('finds %s, turned, out of square, with noise and light that falls off', (name, seed) => {
  const picture = original(name, 500);
  const photo = taken(picture, { seed });
  const seen = found(findPicture(seenAs(picture).plane, seenAs(photo).plane));
  expect(meanError(seen, photo.corners[0]!, picture)).toBeLessThan(1);
  // What it says of itself is no worse than what it is by more than noise.
  expect(seen.off).toBeLessThan(1);
  expect(seen.agreement.same / seen.agreement.told).toBeGreaterThan(0.9);
});

describe('a photograph of something else', () => {
  const photo = seenAs(taken(jugs)).plane;
  it.each([
    ['upside down', quartered(photo, 2), { code: 'turned', quarters: 2 }],
    ['on its side', quartered(photo, 1), { code: 'turned', quarters: 1 }],
    ['in a mirror', mirrored(photo), { code: 'mirrored' }],
  ])('says so: %s', (_, seen, said) =>
    expect(findPicture(jugsSeen.plane, seen)).toEqual(said),
  );

  it('says so: another picture', () =>
    expect(findPicture(seenAs(original('causeway', 420)).plane, photo)).toEqual({
      code: 'other',
    }));

  it('says that a plain picture cannot be known again', () => {
    const plain = planeOf(300, 200);
    plain.data.fill(60);
    expect(findPicture(plain, photo)).toEqual({ code: 'plain' });
  });
});

it('takes corners that were placed by hand, moves them where the light fits, and says where it does not', () => {
  const photo = taken(jugs);
  const { plane } = seenAs(photo);
  const near = photo.corners[0]!.map(({ x, y }, i) => ({
    x: x + (i % 2 ? 5 : -4),
    y: y + 3,
  }));
  const seen = placedPicture(jugsSeen.plane, plane, near as never);
  expect(meanError(seen, photo.corners[0]!, jugs)).toBeLessThan(1);
  const wrong = near.map(({ x, y }) => ({ x: x * 0.6 + 20, y: y * 0.6 + 20 }));
  const off = placedPicture(jugsSeen.plane, plane, wrong as never);
  off.corners.forEach((p, i) => expect(p.x).toBeCloseTo(wrong[i]!.x, 3));
  expect(off.agreement.same).toBeLessThan(off.agreement.told / 2);
});

/** What is said of a print that is off, by a photograph of it. */
function said(
  off: Parameters<typeof printedOff>[1],
  how: Parameters<typeof taken>[1] = {},
) {
  const { corners, ...photograph } = taken(printedOff(jugs, off), how);
  const photo = seenAs(photograph);
  const seen = placedPicture(jugsSeen.plane, photo.plane, corners[0] as never);
  const regions = regionsOf(jugsSeen.light, photo.light, seen)!;
  return { regions, drift: differencesOf(regions)! };
}

it('a cast of one tone comes back by the white border, and the others stay', () => {
  const { regions, drift } = said(([l]) =>
    toneOf(l) === 'midtones' ? [-4, 0, 5] : [0, 0, 0],
  );
  expect(regions.white).toBe('border');
  const { shadows, midtones, highlights } = drift.byTone;
  expect(Math.abs(midtones!.lightness + 4)).toBeLessThan(0.5);
  expect(Math.abs(midtones!.yellow - 5)).toBeLessThan(0.5);
  for (const other of [shadows!, highlights!]) {
    expect(Math.abs(other.lightness)).toBeLessThan(0.5);
    expect(Math.abs(other.yellow)).toBeLessThan(0.5);
  }
});

it('a cast of one hue comes back, and the others stay', () => {
  const { drift } = said(([, a, b]) => (hueOf(a, b) === 'orange' ? [2, -4, 0] : [0, 0, 0]));
  const { orange, ...others } = drift.byHue;
  expect(Math.abs(orange!.lightness - 2)).toBeLessThan(0.5);
  expect(Math.abs(orange!.red + 4)).toBeLessThan(0.5);
  const large = Object.values(others).filter((s) => s && s.patches > 150);
  expect(large.length).toBeGreaterThan(1);
  for (const other of large) expect(Math.abs(other!.red)).toBeLessThan(0.5);
});

it('of what was cut off the print nothing is told', () => {
  const rows = Math.round(jugs.height / 4);
  const part = {
    width: jugs.width,
    height: jugs.height - rows,
    data: jugs.data.subarray(3 * jugs.width * rows),
  };
  const photo = seenAs(taken(part));
  const seen = found(findPicture(jugsSeen.plane, photo.plane));
  const regions = regionsOf(jugsSeen.light, photo.light, seen)!;
  expect(differencesOf(regions)!.p95).toBeLessThan(2);
});

it('without white it claims no lightness and no tint of the whole, only what differs', () => {
  const { regions, drift } = said(() => [-5, 0, 4], { border: 0 });
  expect(regions.white).toBe('none');
  expect(drift.mean).toBeLessThan(1.6);
});

it('what lies around a print is not taken for its paper where it cannot be white', () => {
  const { regions } = said(() => [0, 0, 0], { border: 0, ground: [0.5, 0.42, 0.3] });
  expect(regions.white).toBe('none');
});

it('a grey card stands for the border', () => {
  const photo = taken(
    printedOff(jugs, () => [0, 0, 4]),
    {
      border: 0,
      ground: [0.18, 0.18, 0.18],
    },
  );
  const seen = seenAs(photo);
  const at = placedPicture(jugsSeen.plane, seen.plane, photo.corners[0] as never);
  const card = { x: 320, y: 10, reflectance: 0.18 };
  const regions = regionsOf(jugsSeen.light, seen.light, at, { card })!;
  expect(regions.white).toBe('card');
  const { midtones } = differencesOf(regions)!.byTone;
  expect(Math.abs(midtones!.yellow - 4)).toBeLessThan(1);
  expect(Math.abs(midtones!.lightness)).toBeLessThan(1);
  // What lies on the ground beside it and is much darker is no such card.
  const wrong = { ...card, reflectance: 0.9 };
  const not = regionsOf(jugsSeen.light, seen.light, at, { card: wrong })!;
  expect(not.white).toBe('none');
});

it('beside its original, what camera and light do to both falls out', () => {
  const small = original('twoJugs', 400);
  const tinted = (lab: readonly number[]) =>
    [0.3 * (50 - lab[0]!) * 0.2, 2, -6] as [number, number, number];
  const how = { width: 1200, height: 600, share: 0.72, border: 0.03 };
  const photo = photographOf([
    {
      picture: printedOff(small, tinted),
      how: { ...how, seed: 21, middle: { x: 0.27, y: 0.5 } },
    },
    {
      picture: printedOff(
        printedOff(small, () => [0, 4, 0]),
        tinted,
      ),
      how: { ...how, seed: 22, middle: { x: 0.73, y: 0.5 } },
    },
  ]);
  const { plane, light } = seenAs(photo);
  const own = seenAs(small);
  const seen = findPicture(own.plane, plane);
  if (!isFound(seen) || !seen.beside) throw new Error('one of two is not found');
  const [left, right] = [seen.found, seen.beside].sort(
    (a, b) => a.corners[0].x - b.corners[0].x,
  ) as [Found, Found];
  const regions = regionsOf(own.light, light, right, { original: left })!;
  expect(regions.white).toBe('original');
  const { midtones } = differencesOf(regions)!.byTone;
  expect(Math.abs(midtones!.red - 4)).toBeLessThan(0.7);
  expect(Math.abs(midtones!.yellow)).toBeLessThan(0.7);
});

it('light that falls off is told from how colours were printed', () => {
  const next = chance(5);
  const truth = [-0.1, 0.2, -0.05, -0.3, 0.1, -0.2, 0.08];
  const samples = Array.from({ length: 900 }, (_, i) => {
    const [x, y] = [2 * next() - 1, 2 * next() - 1];
    const group = i % 10 === 0 ? null : i % 7;
    const off = group === null ? 0 : group * 0.08 - 0.2;
    // Now and then something that is no light at all.
    const wrong = i % 23 === 0 ? 1.5 : 0;
    return { x, y, value: fieldAt(truth, x, y) + off + wrong, weight: 1, group };
  });
  const field = lightField(samples, 7);
  for (const [x, y] of [
    [0, 0],
    [0.8, -0.7],
    [-0.5, 0.9],
  ] as const)
    expect(fieldAt(field, x, y)).toBeCloseTo(fieldAt(truth, x, y), 2);
});

it('a blur has the radius it is asked for, and loses nothing', () =>
  fc.assert(
    fc.property(fc.double({ min: 0.4, max: 9, noNaN: true }), (sigma) => {
      const dot = planeOf(81, 81);
      dot.data[40 * 81 + 40] = 1;
      const { data } = blurred(dot, sigma);
      let [sum, squares] = [0, 0];
      data.forEach((v, i) => {
        sum += v;
        squares += v * ((i % 81) - 40) ** 2;
      });
      expect(sum).toBeCloseTo(1, 4);
      expect(Math.sqrt(squares)).toBeCloseTo(sigma, 3);
    }),
    { numRuns: 20 },
  ));
