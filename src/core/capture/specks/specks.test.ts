import { digested } from '../../../../e2e/support/digested';
import { PAINTED, paintedPicture } from '../../../../bench/painted';
import { plantSpecks } from '../../../../demo/capture/dust';
import type { Planted, Samples } from '../../../../demo/capture/dust';
import { deadLeaves, plain, withNoise } from '../../../../e2e/support/pictures';
import {
  BLOCK,
  BlockReader,
  blocksOfRow,
  joinParts,
  readPicture,
  rowsOf,
} from '../reading';
import { SHOWN_FROM, packThings, unpackThings, verdictsFor } from '.';
import type { Speck } from '.';

const shownOf = (picture: Samples) =>
  readPicture({ ...picture, channels: 3 }).specks.found.filter(
    (s) => s.confidence >= SHOWN_FROM,
  );
const same = (p: Planted, s: Speck) =>
  Math.hypot(p.x - s.x, p.y - s.y) < Math.max(4, p.diameter / 2 + 2);

function held(picture: Samples, count: number, seed: number) {
  const planted = plantSpecks(picture, count, seed);
  const shown = shownOf(picture);
  return {
    planted,
    recall: planted.filter((p) => shown.some((s) => same(p, s))).length / planted.length,
    precision:
      shown.filter((s) => planted.some((p) => same(p, s))).length /
      Math.max(1, shown.length),
  };
}

/** A smooth ground: a slow ramp of a warm grey under a little grain. */
function smooth(side: number, grain: number, seed: number): Samples {
  const ground = plain(side, side, 0);
  for (let y = 0, i = 0; y < side; y += 1)
    for (let x = 0; x < side; x += 1)
      for (let c = 0; c < 3; c += 1, i += 1)
        ground.data[i] = (120 + (60 * x) / side + (30 * y) / side - 12 * c) * 257;
  return withNoise(ground, grain, seed);
}

it.each([0.5, 1, 2])('finds planted specks on smooth ground with grain %d', (grain) => {
  const { recall, precision } = held(smooth(900, grain, 5), 40, 17);
  expect(recall).toBeGreaterThanOrEqual(0.9);
  expect(precision).toBeGreaterThanOrEqual(0.9);
});

it.each(PAINTED)(
  'leaves painted %s alone, and still finds the specks among them',
  (kind) => {
    const { recall, precision } = held(paintedPicture(kind, 40), 25, 7);
    expect(precision).toBeGreaterThanOrEqual(0.7);
    expect(recall).toBeGreaterThanOrEqual(0.7);
  },
);

it('finds nothing where nothing is', () => {
  expect(shownOf(smooth(600, 1.5, 8))).toEqual([]);
  expect(shownOf(plain(300, 300, 200))).toEqual([]);
});

it('says of a busy ground that it cannot tell, tile by tile', () => {
  const noisy = withNoise(plain(1024, 1024, 120), 30);
  const { found, busy } = readPicture({ ...noisy, channels: 3 }).specks;
  expect(busy).toHaveLength(4);
  expect(busy[0]).toEqual({ left: 0, top: 0, width: 512, height: 512 });
  expect(found.filter((s) => s.confidence >= 0.9)).toEqual([]);
  const leaves = readPicture({ ...deadLeaves(700, 4), channels: 3 }).specks;
  expect(leaves.busy.length).toBeGreaterThan(0);
});

it('measures place and size', () => {
  const ground = smooth(400, 0.5, 2);
  for (let y = -6; y <= 6; y += 1)
    for (let x = -6; x <= 6; x += 1)
      if (x * x + y * y <= 36)
        ground.data.fill(
          20 * 257,
          ((200 + y) * 400 + 150 + x) * 3,
          ((200 + y) * 400 + 151 + x) * 3,
        );
  const [speck, ...others] = shownOf(ground);
  expect(others).toEqual([]);
  expect(speck!.x).toBeCloseTo(150, 0);
  expect(speck!.y).toBeCloseTo(200, 0);
  expect(Math.abs(speck!.diameter - 12)).toBeLessThan(1.5);
  expect(speck!.contrast).toBeLessThan(-80);
});

it('finds the same however the picture is divided', () => {
  const picture = smooth(BLOCK + 700, 1, 9);
  plantSpecks(picture, 90, 3);
  const { width, height } = picture;
  const rows = rowsOf({ ...picture, channels: 3 });
  const read = (from: number, to: number) => {
    const reader = new BlockReader(
      width,
      height,
      3,
      from * BLOCK,
      Math.min(height, to * BLOCK),
    );
    for (let row = from; row < to; row += 1)
      for (const place of blocksOfRow(width, height, row)) reader.add(place, rows);
    return reader.part();
  };
  const whole = joinParts([read(0, 2)], width, height);
  const halves = joinParts([read(0, 1), read(1, 2)], width, height);
  expect(digested(halves.part)).toEqual(digested(whole.part));
  expect(digested(halves.tiles)).toEqual(digested(whole.tiles));
});

it('packs things and unpacks them', () => {
  const thing = {
    x: 10.5,
    y: 20,
    contrast: -33.25,
    diameter: 4,
    length: 7,
    ground: 0.5,
    unevenness: 1.5,
    softness: 2,
    colour: -3,
    tone: [10, 20, 30],
  };
  expect(unpackThings(packThings([thing, { ...thing, x: 3 }]))).toEqual([
    thing,
    { ...thing, x: 3 },
  ]);
});

describe('verdicts by place', () => {
  const specks = [
    { x: 100, y: 100, diameter: 4 },
    { x: 300, y: 50, diameter: 20 },
  ];
  const size = { width: 1000, height: 800 };
  const given = (
    x: number,
    y: number,
    verdict: 'mended' | 'ignored' | 'open',
    scale = 1,
  ) => ({
    x,
    y,
    diameter: 4,
    verdict,
    width: 1000 * scale,
    height: 800 * scale,
  });

  it('go to the speck at the place, the newest first', () =>
    expect(
      verdictsFor(specks, [given(101, 99, 'ignored'), given(103, 98, 'mended')], size),
    ).toEqual(['mended', 'open']));
  it('are carried over to a larger version', () =>
    expect(verdictsFor(specks, [given(150, 25, 'mended', 0.5)], size)).toEqual([
      'open',
      'mended',
    ]));
  it('can be taken back', () =>
    expect(
      verdictsFor(specks, [given(100, 100, 'mended'), given(100, 100, 'open')], size)[0],
    ).toBe('open'));
  it('are not carried over to another proportion', () =>
    expect(
      verdictsFor(specks, [{ ...given(100, 100, 'mended'), height: 500 }], size)[0],
    ).toBe('open'));
});
