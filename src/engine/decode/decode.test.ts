import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { writeFile } from 'node:fs/promises';
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

/** A TIFF in tiles of 16 pixels, a plane for each colour, by hand: either order, classic or large. */
function planar(
  {
    width,
    height,
    bits,
    planes,
  }: { width: number; height: number; bits: 8 | 16; planes: 3 | 4 },
  value: (x: number, y: number, plane: number) => number,
  { little = true, big = false, orientation = 1 } = {},
): Buffer {
  const T = 16;
  const wide = big ? 8 : 4;
  const sample = bits / 8;
  const put = (into: Buffer, v: number, at: number, bytes: number) => {
    const part = Buffer.alloc(8);
    part.writeBigUInt64BE(BigInt(v));
    const own = part.subarray(8 - bytes);
    (little ? Buffer.from(own).reverse() : own).copy(into, at);
  };
  const across = Math.ceil(width / T);
  const down = Math.ceil(height / T);
  const tiles: Buffer[] = [];
  for (let p = 0; p < planes; p += 1)
    for (let ty = 0; ty < down; ty += 1)
      for (let tx = 0; tx < across; tx += 1) {
        const tile = Buffer.alloc(T * T * sample);
        for (let y = 0; y < T; y += 1)
          for (let x = 0; x < T; x += 1)
            put(tile, value(tx * T + x, ty * T + y, p), (y * T + x) * sample, sample);
        tiles.push(tile);
      }
  const head = Buffer.alloc(big ? 16 : 8);
  head.write(little ? 'II' : 'MM');
  put(head, big ? 43 : 42, 2, 2);
  if (big) put(head, 8, 4, 2);
  let at = head.length;
  const offsets = tiles.map((tile) => (at += tile.length) - tile.length);
  const values: [tag: number, type: number, values: number[]][] = [
    [256, 3, [width]],
    [257, 3, [height]],
    [258, 3, new Array<number>(planes).fill(bits)],
    [259, 3, [1]],
    [262, 3, [2]],
    [274, 3, [orientation]],
    [277, 3, [planes]],
    [284, 3, [2]],
    [322, 3, [T]],
    [323, 3, [T]],
    [324, 4, offsets],
    [325, 4, tiles.map((tile) => tile.length)],
    ...(planes === 4 ? [[338, 3, [2]] as [number, number, number[]]] : []),
  ];
  const laid = values.map(([tag, type, list]) => {
    const size = type === 3 ? 2 : 4;
    const data = Buffer.alloc(list.length * size);
    list.forEach((v, i) => put(data, v, i * size, size));
    return { tag, type, count: list.length, data };
  });
  const behind = laid.filter((e) => e.data.length > wide);
  const places = new Map(behind.map((e) => [e, (at += e.data.length) - e.data.length]));
  const entry = big ? 20 : 12;
  const directory = Buffer.alloc((big ? 8 : 2) + laid.length * entry + wide);
  put(directory, laid.length, 0, big ? 8 : 2);
  laid.forEach((e, i) => {
    const from = (big ? 8 : 2) + i * entry;
    put(directory, e.tag, from, 2);
    put(directory, e.type, from + 2, 2);
    put(directory, e.count, from + 4, wide);
    const place = places.get(e);
    if (place === undefined) e.data.copy(directory, from + 4 + wide);
    else put(directory, place, from + 4 + wide, wide);
  });
  put(head, at, big ? 8 : 4, wide);
  return Buffer.concat([head, ...tiles, ...behind.map((e) => e.data), directory]);
}

describe('a tiled TIFF with a plane for each colour', () => {
  const shape = { width: 40, height: 21 };
  const at = (bits: 8 | 16) => (x: number, y: number, p: number) =>
    (p === 3 ? 3 : 1) * ((p * 70 + x * 3 + y * 2) % 80) * (bits === 16 ? 257 : 1);

  async function read(bytes: Buffer) {
    const path = join(folder, 'planes.tif');
    await writeFile(path, bytes);
    const { facts } = await readMaster(path, bytes.length);
    const target = join(folder, 'planes.v');
    const part = join(folder, 'part.v');
    await decodeMaster({ path, facts, part, target }, () => undefined);
    expect(readdirSync(folder).sort()).toEqual(['planes.tif', 'planes.v']);
    const source = await PixelSource.open(target);
    const rows = await source.rows(0, source.height);
    const { width, height, bits } = source;
    await source.close();
    return { facts, width, height, bits, rows: Array.from(rows) };
  }

  const wanted = (bits: 8 | 16) => {
    const value = at(bits);
    const list: number[] = [];
    for (let y = 0; y < shape.height; y += 1)
      for (let x = 0; x < shape.width; x += 1)
        for (let c = 0; c < 3; c += 1) list.push(value(x, y, c) * (bits === 8 ? 257 : 1));
    return list;
  };

  it.each([
    [8, {}],
    [16, {}],
    [16, { little: false }],
    [8, { little: false, big: true }],
    [16, { big: true }],
  ] as const)('is read whole: %i bits, %j', async (bits, form) => {
    const found = await read(planar({ ...shape, bits, planes: 3 }, at(bits), form));
    expect(found.facts).toMatchObject({ ...shape, bitsPerChannel: bits, channels: 3 });
    expect(found).toMatchObject({ ...shape, bits });
    expect(found.rows).toEqual(wanted(bits));
  });

  it('is laid on white by its alpha, and stands upright', async () => {
    const bytes = planar({ ...shape, bits: 16, planes: 4 }, at(16), {});
    const { rows, facts } = await read(bytes);
    expect(facts.channels).toBe(4);
    const value = at(16);
    expect(rows.slice(0, 3)).toEqual(
      [0, 1, 2].map((c) => {
        const alpha = value(0, 0, 3) / 65535;
        return Math.round(value(0, 0, c) * alpha + 65535 * (1 - alpha));
      }),
    );
    const turned = await read(
      planar({ ...shape, bits: 16, planes: 3 }, at(16), { orientation: 6 }),
    );
    expect(turned.facts).toMatchObject({ width: 21, height: 40 });
    // Turned clockwise: the first row is the first column, from its foot.
    const first = Array.from({ length: 21 }, (_, i) =>
      [0, 1, 2].map((c) => value(0, 20 - i, c)),
    ).flat();
    expect(turned.rows.slice(0, 63)).toEqual(first);
  });

  it('that breaks off is refused', async () => {
    const bytes = planar({ ...shape, bits: 8, planes: 3 }, at(8));
    const path = join(folder, 'cut.tif');
    await writeFile(path, bytes.subarray(0, bytes.length - 20));
    await expect(readMaster(path, 1)).rejects.toThrow();
  });
});
