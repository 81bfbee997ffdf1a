import fc from 'fast-check';
import { balance, chain, wholeOf } from '../image';
import type { Balance, Vector } from '.';
import {
  CURVE_AT,
  HUES,
  TONES,
  balanced,
  curveShift,
  hueAngle,
  hueShares,
  labOfWorking,
  noBalance,
  toneShares,
  workingOfLab,
} from '.';

const moved = (of: Partial<Balance>, lab: Vector): Vector => {
  const out: Vector = [...lab];
  balanced({ ...noBalance(), ...of })(out);
  return out;
};
const shift = (n: number, at: number, by: number) =>
  Array.from({ length: n }, (_, i) => (i === at ? by : 0));

it('the curve passes through its points, keeps both ends, and never turns back', () =>
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: -8, max: 8, noNaN: true }), { minLength: 5, maxLength: 5 }),
      (curve) => {
        const of = curveShift(curve);
        CURVE_AT.forEach((l, i) => expect(of(l)).toBeCloseTo(curve[i]!, 9));
        expect([of(0), of(100), of(-3), of(120)]).toEqual([0, 0, 0, 0]);
        for (let l = 1; l <= 100; l += 1)
          expect(l + of(l)).toBeGreaterThanOrEqual(l - 1 + of(l - 1) - 1e-9);
      },
    ),
  ));

it('every lightness is shared among the tones, every colour among two hues at most', () => {
  const hues = new Array<number>(8).fill(0);
  for (let l = 0; l <= 100; l += 1)
    expect(toneShares(l).reduce((a, b) => a + b)).toBeCloseTo(1, 12);
  for (let h = 0; h < 360; h += 1) {
    const angle = (h * Math.PI) / 180;
    hueShares(40 * Math.cos(angle), 40 * Math.sin(angle), hues);
    expect(hues.reduce((a, b) => a + b)).toBeCloseTo(1, 12);
    expect(hues.filter((v) => v > 0).length).toBeLessThanOrEqual(2);
  }
  hueShares(1, 1, hues);
  expect(hues).toEqual(shift(8, 0, 0));
});

it('a hue is moved in its own middle, and no other', () => {
  HUES.forEach((hue, k) => {
    const angle = (hueAngle(hue) * Math.PI) / 180;
    const lab: Vector = [50, 40 * Math.cos(angle), 40 * Math.sin(angle)];
    const hues = shift(24, 3 * k + 1, 5);
    const [l, a, b] = moved({ hues }, lab);
    expect([l, a - lab[1], b]).toEqual([50, expect.closeTo(5, 9), lab[2]]);
    const opposite = moved({ hues }, [50, -lab[1], -lab[2]]);
    expect(opposite).toEqual([50, -lab[1], -lab[2]]);
    expect(moved({ hues }, [50, 0, 0])).toEqual([50, 0, 0]);
  });
});

it('a tone is moved in its range; black and white stay where they are', () => {
  TONES.forEach((_, k) => {
    const tones = shift(9, 3 * k + 2, -4);
    const at = [18, 52, 85];
    at.forEach((l, i) =>
      expect(moved({ tones }, [l, 0, 0])).toEqual([
        l,
        0,
        expect.closeTo(i === k ? -4 : 0, 6),
      ]),
    );
    for (const l of [0, 100]) expect(moved({ tones }, [l, 0, 0])).toEqual([l, 0, 0]);
  });
});

it('a colour of the working space and its L*a*b* are each other’s', () =>
  fc.assert(
    fc.property(
      fc.tuple(...[0, 1, 2].map(() => fc.integer({ min: 0, max: 65535 }))),
      (rgb) => {
        const back = workingOfLab(labOfWorking(rgb as unknown as Vector));
        back.forEach((v, i) => expect(v).toBeCloseTo(rgb[i]!, 3));
      },
    ),
  ));

it('the rows of a picture move as the formula says, nearly, where neighbouring hues move apart', () => {
  const of: Balance = {
    curve: [1, -3, 4, 2, -1],
    tones: [0, 1, -2, 0, -3, 4, 0, 2, 1],
    hues: Array.from({ length: 24 }, (_, i) => ((i * 7) % 9) - 4),
  };
  // A picture's colours, not the far corners of the space.
  const labs: Vector[] = [];
  for (let l = 8; l <= 96; l += 8)
    for (let h = 0; h < 360; h += 15)
      for (const c of [0, 8, 20, 45]) {
        const angle = (h * Math.PI) / 180;
        const lab: Vector = [l, c * Math.cos(angle), c * Math.sin(angle)];
        if (workingOfLab(lab).every((v) => v > 2000 && v < 65535)) labs.push(lab);
      }
  const shape = { width: labs.length, height: 1, channels: 3 as const };
  let made: Float32Array = new Float32Array(0);
  const { take } = chain([balance(shape, of)], wholeOf(shape), (row) => {
    made = row.slice();
  });
  take(Float32Array.from(labs.flatMap(workingOfLab)));
  const away = labs.map((lab, i) => {
    const wanted: Vector = [...lab];
    balanced(of)(wanted);
    const found = labOfWorking([made[3 * i]!, made[3 * i + 1]!, made[3 * i + 2]!]);
    return Math.hypot(...wanted.map((v, c) => v - found[c]!));
  });
  expect(away.reduce((a, b) => a + b) / away.length).toBeLessThan(0.7);
  expect(Math.max(...away)).toBeLessThan(4);
  const grey = { width: 3, height: 1, channels: 1 as const };
  const { take: takeGrey } = chain([balance(grey, of)], wholeOf(grey), (row) => {
    made = row.slice();
  });
  takeGrey(Float32Array.from([0, 32767.5, 65535]));
  expect([...made]).toEqual([0, expect.closeTo(32767.5 + 4 * 655.35, 1), 65535]);
});
