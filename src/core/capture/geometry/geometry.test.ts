import fc from 'fast-check';
import { derivedSize, perspectiveTo, seenAt } from '../derivation';
import { readGeometry } from '.';
import type { Corners, ReducedLight } from '.';

type Line = readonly [number, number, number];
const WIDTH = 900;
const HEIGHT = 700;

/** A work between four corners on a plain bed, a little grain over all. */
function onBed(
  corners: Corners,
  bed: number,
  work: (u: number, v: number) => number,
): ReducedLight {
  const data = new Float32Array(WIDTH * HEIGHT);
  const [tl, tr, br, bl] = corners;
  /** Right of every side, going round: a x + b y + c > 0. */
  const lines = [tl, tr, br, bl].map((p, i) => {
    const q = [tr, br, bl, tl][i]!;
    return [p.y - q.y, q.x - p.x, p.x * q.y - q.x * p.y] as const;
  });
  const [[a0, b0, c0], [a1, b1, c1], [a2, b2, c2], [a3, b3, c3]] = lines as [
    Line,
    Line,
    Line,
    Line,
  ];
  const inside = (x: number, y: number) =>
    a0 * x + b0 * y + c0 > 0 &&
    a1 * x + b1 * y + c1 > 0 &&
    a2 * x + b2 * y + c2 > 0 &&
    a3 * x + b3 * y + c3 > 0;
  for (let y = 0; y < HEIGHT; y += 1)
    for (let x = 0; x < WIDTH; x += 1) {
      const grain = ((x * 7919 + y * 104729) % 97) / 97 - 0.5;
      // Four samples a pixel, so that edges lie between pixels.
      const quarters =
        (inside(x + 0.25, y + 0.25) ? 1 : 0) +
        (inside(x + 0.75, y + 0.25) ? 1 : 0) +
        (inside(x + 0.25, y + 0.75) ? 1 : 0) +
        (inside(x + 0.75, y + 0.75) ? 1 : 0);
      const light = (quarters * work(x, y) + (4 - quarters) * bed) / 4;
      data[y * WIDTH + x] = light + grain;
    }
  return { width: WIDTH, height: HEIGHT, data, factor: 4 };
}

function turned(degrees: number, w = 760, h = 580): Corners {
  const a = (degrees * Math.PI) / 180;
  return (
    [
      [-w / 2, -h / 2],
      [w / 2, -h / 2],
      [w / 2, h / 2],
      [-w / 2, h / 2],
    ] as const
  ).map(([x, y]) => ({
    x: WIDTH / 2 + x * Math.cos(a) - y * Math.sin(a),
    y: HEIGHT / 2 + x * Math.sin(a) + y * Math.cos(a),
  })) as Corners;
}

const painted = (x: number, y: number) =>
  110 + 40 * Math.sin(x / 31) + 35 * Math.cos(y / 23);
const read = (light: ReducedLight) => readGeometry(light, WIDTH * 4, HEIGHT * 4);

it.each([-3, -0.7, -0.2, 0.1, 0.5, 2])('finds a skew of %d degrees', (degrees) => {
  const { skewDegrees, edges, proposal } = read(onBed(turned(degrees), 230, painted));
  expect(skewDegrees).toBeCloseTo(degrees, 1);
  expect(Object.keys(edges)).toHaveLength(4);
  const size = derivedSize({ width: 1, height: 1 }, { corners: proposal });
  expect(Math.abs(size.width - 760 * 4)).toBeLessThan(30);
  expect(Math.abs(size.height - 580 * 4)).toBeLessThan(30);
});

it('finds keystone, and proposes the corners', () => {
  const corners: Corners = [
    { x: 90, y: 60 },
    { x: 810, y: 75 },
    { x: 850, y: 640 },
    { x: 60, y: 650 },
  ];
  const { keystone, proposal } = read(onBed(corners, 20, painted));
  const slope = (a: { x: number; y: number }, b: typeof a) =>
    (Math.atan2(b.y - a.y, b.x - a.x) * 180) / Math.PI;
  const across = slope(corners[0], corners[1]) - slope(corners[3], corners[2]);
  expect(keystone.across).toBeCloseTo(across, 1);
  proposal!.forEach((p, i) => {
    expect(Math.abs(p.x / 4 - corners[i]!.x)).toBeLessThan(4);
    expect(Math.abs(p.y / 4 - corners[i]!.y)).toBeLessThan(4);
  });
});

it('says nothing of a work that fills its file', () => {
  const whole: Corners = [
    { x: -9, y: -9 },
    { x: WIDTH + 9, y: -9 },
    { x: WIDTH + 9, y: HEIGHT + 9 },
    { x: -9, y: HEIGHT + 9 },
  ];
  const { skewDegrees, proposal, edges } = read(onBed(whole, 230, painted));
  expect({ skewDegrees, proposal, edges }).toEqual({
    skewDegrees: null,
    proposal: null,
    edges: {},
  });
});

it('crops a bed that shows along one side only', () => {
  const left: Corners = [
    { x: 60, y: -9 },
    { x: WIDTH + 9, y: -9 },
    { x: WIDTH + 9, y: HEIGHT + 9 },
    { x: 60, y: HEIGHT + 9 },
  ];
  const { proposal, edges } = read(onBed(left, 15, painted));
  expect(Object.keys(edges)).toEqual(['left']);
  expect(Math.abs(proposal![0].x - 240)).toBeLessThan(12);
  expect(proposal![1].x).toBeGreaterThan(WIDTH * 4 - 8);
});

it('does not take a horizon for the edge of a bed', () => {
  const whole: Corners = [
    { x: -9, y: -9 },
    { x: WIDTH + 9, y: -9 },
    { x: WIDTH + 9, y: HEIGHT + 9 },
    { x: -9, y: HEIGHT + 9 },
  ];
  const sea = (x: number, y: number) =>
    y < HEIGHT * 0.4 ? 200 - (y / HEIGHT) * 30 : painted(x, y);
  expect(read(onBed(whole, 0, sea)).proposal).toBeNull();
});

const wobble = fc.double({ min: -60, max: 60, noNaN: true });
it('takes the corners of a rectangle to any four corners', () =>
  fc.assert(
    fc.property(fc.array(wobble, { minLength: 8, maxLength: 8 }), (d) => {
      const corners: Corners = [
        { x: d[0]!, y: d[1]! },
        { x: 500 + d[2]!, y: d[3]! },
        { x: 500 + d[4]!, y: 400 + d[5]! },
        { x: d[6]!, y: 400 + d[7]! },
      ];
      const way = perspectiveTo(500, 400, corners);
      [
        [0, 0],
        [500, 0],
        [500, 400],
        [0, 400],
      ].forEach(([x, y], i) => {
        const seen = seenAt(way, x!, y!);
        expect(seen.x).toBeCloseTo(corners[i]!.x, 5);
        expect(seen.y).toBeCloseTo(corners[i]!.y, 5);
      });
    }),
  ));
