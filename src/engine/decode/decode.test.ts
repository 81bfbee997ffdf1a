import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { judgeEvenness } from '@/core/capture/evenness';
import { RGB_SPACES, decoded, iccProfile } from '@/core/colour';
import type { RgbSpace } from '@/core/colour';
import { sharp } from '../sharpSetup';
import { createTiff } from '../tiff/tiffWriter';
import { readBoard } from './boardGrid';
import { PixelSource } from './pixelSource';
import { readMaster } from './readMaster';
import { decodeMaster } from './workingCopy';

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'glassine-decode-'));
});
afterEach(() => rmSync(folder, { recursive: true }));

/** A board of 0.5 to 0.03 of the light, from its top left to its bottom right. */
const WIDTH = 240;
const HEIGHT = 160;
const lightAt = (x: number, y: number) =>
  0.5 * 2 ** -(2.5 * ((x + 0.5) / WIDTH) + 1.5 * ((y + 0.5) / HEIGHT));

/** The level of a space whose light is wanted, by halving. */
function levelOf({ curve }: RgbSpace, light: number): number {
  let [low, high] = [0, 65535];
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (decoded(curve, middle / 65535) < light) low = middle;
    else high = middle;
  }
  return high;
}

async function boardIn(name: string, space: RgbSpace, channels: 1 | 3) {
  const path = join(folder, `${name}.tif`);
  const icc = channels === 3 ? iccProfile(space) : null;
  const writer = await createTiff(path, {
    width: WIDTH,
    height: HEIGHT,
    channels,
    bits: 16,
    ppi: 300,
    icc,
  });
  const data = new Uint16Array(WIDTH * HEIGHT * channels);
  for (let i = 0; i < WIDTH * HEIGHT; i += 1) {
    const level = levelOf(space, lightAt(i % WIDTH, Math.floor(i / WIDTH)));
    data.fill(level, i * channels, (i + 1) * channels);
  }
  await writer.write(data);
  await writer.finish();
  const { grid } = await readBoard({ path, bytes: 1 });
  expect(readdirSync(folder)).toEqual([`${name}.tif`]);
  rmSync(path);
  const light = Float64Array.from(grid.light);
  return { ...grid, light };
}

it('the same light is read the same, whatever profile the board was saved in', async () => {
  const linear: RgbSpace = { ...RGB_SPACES.srgb, name: 'Linear light', curve: { g: 1 } };
  const boards = [
    await boardIn('srgb', RGB_SPACES.srgb, 3),
    await boardIn('a98', RGB_SPACES['a98-rgb'], 3),
    await boardIn('romm', RGB_SPACES['prophoto-rgb'], 3),
    await boardIn('linear', linear, 3),
    await boardIn('grey', RGB_SPACES.srgb, 1),
  ];
  for (const grid of boards) {
    const { columns, rows, light } = grid;
    light.forEach((l, i) => {
      // The mean of an exponential over the cell, along both of its sides.
      const mean = (from: number, to: number, stops: number) =>
        (2 ** (-stops * from) - 2 ** (-stops * to)) / (stops * Math.LN2 * (to - from));
      const [column, row] = [i % columns, Math.floor(i / columns)];
      const wanted =
        0.5 *
        mean(column / columns, (column + 1) / columns, 2.5) *
        mean(row / rows, (row + 1) / rows, 1.5);
      expect(Math.abs(Math.log2(l / wanted))).toBeLessThan(0.01);
    });
    const { falloff } = judgeEvenness(grid, { goodStops: 1 / 6, poorStops: 1 / 3 });
    expect(falloff).toBeCloseTo(4 - 2.5 / columns - 1.5 / rows, 2);
  }
});

/** A picture of 16 bits with an alpha channel, decoded. */
async function decodedOf(samples: number[], channels: 2 | 4) {
  const path = join(folder, 'veiled.png');
  await sharp(Uint16Array.from(samples), {
    raw: { width: samples.length / channels, height: 1, channels },
  })
    .toColourspace(channels === 2 ? 'grey16' : 'rgb16')
    .png()
    .toFile(path);
  const { facts } = await readMaster(path, 1);
  const target = join(folder, 'veiled.v');
  await decodeMaster(
    { path, facts, part: join(folder, 'part.v'), target },
    () => undefined,
  );
  expect(readdirSync(folder).sort()).toEqual(['veiled.png', 'veiled.v']);
  const source = await PixelSource.open(target);
  const rows = Array.from(await source.rows(0, 1));
  await source.close();
  return { facts, rows };
}

it('what is transparent in a file of 16 bits is white to the last level', async () => {
  const half = 32768;
  const over = (v: number, a: number) => Math.round((v * a + 65535 * (65535 - a)) / 65535);
  const colour = await decodedOf([0, 9, 99, 0, 1000, 2000, 3000, half, 5, 6, 7, 65535], 4);
  expect(colour.facts).toMatchObject({ bitsPerChannel: 16, channels: 4 });
  expect(colour.rows).toEqual([
    ...[65535, 65535, 65535],
    ...[1000, 2000, 3000].map((v) => over(v, half)),
    ...[5, 6, 7],
  ]);
  rmSync(join(folder, 'veiled.v'));
  const grey = await decodedOf([100, 0, 40_000, half, 1234, 65535], 2);
  expect(grey.rows).toEqual([65535, over(40_000, half), 1234]);
});
