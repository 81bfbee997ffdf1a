import { mkdtemp, rm, truncate, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { plantSpecks } from '../../../demo/capture/dust';
import { plain, withNoise } from '../../../e2e/support/pictures';
import { fitFlatField, judgeEvenness } from '@/core/capture/evenness';
import { blockRows, readPicture } from '@/core/capture/reading';
import type { Derivation } from '@/core/capture/derivation';
import { RGB_SPACES, iccProfile } from '@/core/colour';
import { readBoard } from '../decode/boardGrid';
import { deriveRows, layOutDerived, settleDerived } from './derivePass';
import { finishReading, inspectBlocks, joinReading, tileSpectra } from './inspectPass';
import { linearCurve } from '../colour/linearCurve';
import { PixelSource } from '../decode/pixelSource';
import { readMaster } from '../decode/readMaster';
import { sharp } from '../sharpSetup';
import { createTiff } from '../tiff/tiffWriter';
import { decodeMaster } from '../decode/workingCopy';

let folder: string;
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'inspect-'));
});
afterAll(() => rm(folder, { recursive: true, force: true }));

const silent = () => undefined;

/** Writes a 16-bit TIFF and decodes it; its path, facts and working copy. */
async function taken(
  name: string,
  { width, height, data }: { width: number; height: number; data: Uint16Array },
  icc: Uint8Array | null = iccProfile(RGB_SPACES.srgb),
) {
  const path = join(folder, `${name}.tif`);
  const writer = await createTiff(path, {
    width,
    height,
    channels: 3,
    bits: 16,
    ppi: 300,
    icc,
  });
  await writer.write(data);
  await writer.finish();
  return { path, pixels: await decoded(name, path) };
}

async function decoded(name: string, path: string): Promise<string> {
  const { facts } = await readMaster(path, 1);
  const pixels = join(folder, `${name}.v`);
  await decodeMaster({ path, facts, part: `${pixels}.part.v`, target: pixels }, silent);
  return pixels;
}

/** What is read of a working copy, in so many parts. */
async function inspection(pixels: string, ranges?: { from: number; to: number }[]) {
  const source = await PixelSource.open(pixels);
  const { width, height } = source;
  const rows = blockRows(height);
  await source.close();
  const parts = [];
  for (const range of ranges ?? [{ from: 0, to: rows }])
    parts.push(await inspectBlocks({ pixels, rows: range }, silent));
  const joined = await joinReading({ parts, width, height });
  const { side, best } = joined.tiles ?? { side: 0, best: [] };
  const spectra = side ? await tileSpectra({ pixels, tiles: best, side }, silent) : [];
  return finishReading({ joined, spectra });
}

const reading = async (...of: Parameters<typeof inspection>) =>
  (await inspection(...of)).reading;

it('reads from disk, in parts, what is read in memory at once', async () => {
  const picture = withNoise(plain(1300, 2100, 140), 1);
  plantSpecks(picture, 40, 3);
  const { pixels } = await taken('parts', picture);
  const inMemory = readPicture({ ...picture, channels: 3 });
  expect(await reading(pixels)).toEqual(inMemory);
  const halves = [
    { from: 0, to: 1 },
    { from: 1, to: 3 },
  ];
  expect(await reading(pixels, halves)).toEqual(inMemory);
});

describe('bad and odd pictures', () => {
  const nothing = (found: Awaited<ReturnType<typeof reading>>) => {
    expect(found.detail.fraction).toBeNull();
    expect(found.geometry.skewDegrees).toBeNull();
    expect(found.specks.found.filter((s) => s.confidence > 0.9)).toEqual([]);
  };

  it('says nothing with confidence of one pixel', async () => {
    const path = join(folder, 'one.png');
    await sharp({ create: { width: 1, height: 1, channels: 3, background: '#405060' } })
      .png()
      .toFile(path);
    const found = await reading(await decoded('one', path));
    nothing(found);
    expect(found.noise.overall).toBeNull();
  });

  it('reads a strip 200 px wide and 60 000 px high', async () => {
    const piece = withNoise(plain(200, 3000, 120), 2);
    const data = new Uint16Array(piece.data.length * 20);
    for (let k = 0; k < 20; k += 1) data.set(piece.data, k * piece.data.length);
    const { pixels } = await taken('strip', { width: 200, height: 60000, data });
    const found = await reading(pixels);
    nothing(found);
    expect(found.noise.overall! / 2).toBeGreaterThan(0.5);
  });

  it('says nothing with confidence of a flat grey and of pure noise', async () => {
    nothing(await reading((await taken('flat', plain(600, 600, 128))).pixels));
    nothing(
      await reading((await taken('noise', withNoise(plain(600, 600, 128), 40))).pixels),
    );
  });

  it('reads grey with transparency, and a palette', async () => {
    const grey = join(folder, 'grey.png');
    const raw = { width: 300, height: 200, channels: 2 } as const;
    await sharp(Buffer.alloc(300 * 200 * 2, 130), { raw })
      .toColourspace('b-w')
      .png()
      .toFile(grey);
    expect((await reading(await decoded('grey', grey))).tone.bins).toHaveLength(1);
    const palette = join(folder, 'palette.png');
    await sharp(Buffer.alloc(300 * 200 * 3, 90), { raw: { ...raw, channels: 3 } })
      .png({ palette: true, colours: 8 })
      .toFile(palette);
    expect((await reading(await decoded('palette', palette))).width).toBe(300);
  });

  it('refuses a file that breaks off, and says so', async () => {
    const { path } = await taken('whole', plain(500, 400, 99));
    await truncate(path, 300_000);
    await expect(decoded('broken', path)).rejects.toMatchObject({
      refused: { code: 'broken' },
    });
  });

  const bytesOfWaves = new Uint8Array(900 * 700 * 3);
  for (let i = 0; i < bytesOfWaves.length; i += 1)
    bytesOfWaves[i] = (i % 200) + ((Math.imul(i, 2654435761) >>> 28) & 7);
  const waves = () =>
    sharp(bytesOfWaves, { raw: { width: 900, height: 700, channels: 3 } });

  it.each([
    ['a TIFF', 'tif', () => waves().tiff({ compression: 'lzw', predictor: 'horizontal' })],
    ['a PNG', 'png', () => waves().png()],
    ['a JPEG', 'jpg', () => waves().jpeg({ quality: 92 })],
  ] as const)('refuses %s that is damaged in its middle', async (_, ending, made) => {
    const bytes = await made().toBuffer();
    const path = join(folder, `damaged.${ending}`);
    await writeFile(path, bytes);
    await decoded(`sound-${ending}`, path);
    const middle = Math.floor(bytes.length * 0.45);
    bytes.fill(0, middle, middle + 600);
    await writeFile(path, bytes);
    await expect(decoded(`damaged-${ending}`, path)).rejects.toMatchObject({
      refused: { code: 'broken', detail: expect.stringMatching(/\w/) as string },
    });
  });

  it('passes over a remark of the decoder that does not touch the pixels', async () => {
    const bytes = await waves().jpeg().toBuffer();
    // Bytes between two segments that no decoder needs, and all of them remark on.
    const first = 4 + bytes.readUInt16BE(4);
    const between = Buffer.from([0, 1, 2]);
    const odd = Buffer.concat([bytes.subarray(0, first), between, bytes.subarray(first)]);
    const path = join(folder, 'odd.jpg');
    await writeFile(path, odd);
    expect((await reading(await decoded('odd', path))).width).toBe(900);
  });

  it('tells where all is white and where all is black', async () => {
    const picture = plain(600, 600, 0);
    picture.data.fill(65535, 600 * 300 * 3);
    const { pixels } = await taken('halves', picture);
    const { extremes } = await inspection(pixels);
    expect([...extremes.subarray(0, 6)]).toEqual([0, 0, 0, 0, 0, 0]);
    expect([...extremes.subarray(-6)]).toEqual([255, 255, 255, 255, 255, 255]);
  });

  it('says that a working copy went away or broke off while it was read', async () => {
    const { pixels } = await taken('gone', plain(500, 400, 99));
    await truncate(pixels, 5000);
    await expect(reading(pixels)).rejects.toThrow('ends too early');
    await rm(pixels);
    await expect(reading(pixels)).rejects.toThrow('ENOENT');
  });

  it('does not use a profile of a wrong class, and remarks on it', async () => {
    const link = iccProfile(RGB_SPACES.srgb);
    link.set(Buffer.from('abst'), 12);
    const { path } = await taken('class', plain(50, 50, 99), link);
    expect((await readMaster(path, 1)).facts).toMatchObject({
      iccDescription: null,
      iccRemark: 'wrongClass',
    });
    const printer = iccProfile(RGB_SPACES.srgb);
    printer.set(Buffer.from('prtr'), 12);
    const other = await taken('printer', plain(50, 50, 99), printer);
    expect((await readMaster(other.path, 1)).facts.iccRemark).toBe('output');
  });
});

/** Derives a picture from a working copy in two ranges; its samples. */
async function derived(pixels: string, derivation: Derivation, name: string) {
  const colour = { icc: null, assumedSpace: null };
  const target = join(folder, `${name}.v`);
  const work = { pixels, colour, derivation, part: `${target}.part`, target };
  const height = await layOutDerived(work);
  const middle = height >> 1;
  await deriveRows(work, { from: 0, to: middle }, silent);
  await deriveRows(work, { from: middle, to: height }, silent);
  await settleDerived(work);
  const source = await PixelSource.open(target);
  const samples = (await source.rows(0, source.height)).slice();
  await source.close();
  return { width: source.width, height: source.height, samples };
}

/** A ramp that a turn can be read off. */
function ramp(width: number, height: number) {
  const picture = plain(width, height, 0);
  for (let y = 0, i = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1, i += 3)
      picture.data.set([4000 + 60 * x, 5000 + 50 * y, 30000], i);
  return picture;
}

it('cuts whole pixels out unchanged', async () => {
  const picture = ramp(700, 500);
  const { pixels } = await taken('cut', picture);
  const corners = [
    { x: 100, y: 50 },
    { x: 400, y: 50 },
    { x: 400, y: 350 },
    { x: 100, y: 350 },
  ] as Derivation['corners'];
  const { width, height, samples } = await derived(
    pixels,
    { corners, flatField: null },
    'cutOut',
  );
  expect([width, height]).toEqual([300, 300]);
  for (const [x, y] of [
    [0, 0],
    [299, 0],
    [150, 299],
  ] as const)
    expect(samples[(y * 300 + x) * 3]).toBe(picture.data[((y + 50) * 700 + x + 100) * 3]);
});

it('turns a skewed rectangle upright to a fraction of a level', async () => {
  const { pixels } = await taken('turn', ramp(700, 500));
  const a = (3 * Math.PI) / 180;
  const at = (p: number, q: number) => ({
    x: 350 + p * Math.cos(a) - q * Math.sin(a),
    y: 250 + p * Math.sin(a) + q * Math.cos(a),
  });
  const corners = [
    at(-200, -100),
    at(200, -100),
    at(200, 100),
    at(-200, 100),
  ] as Derivation['corners'];
  const { width, samples } = await derived(pixels, { corners, flatField: null }, 'upright');
  for (const [x, y] of [
    [10, 10],
    [390, 20],
    [200, 190],
  ] as const) {
    const seen = at(x + 0.5 - 200, y + 0.5 - 100);
    expect(
      Math.abs(samples[(y * width + x) * 3]! - (4000 + 60 * (seen.x - 0.5))),
    ).toBeLessThan(2);
    expect(
      Math.abs(samples[(y * width + x) * 3 + 1]! - (5000 + 50 * (seen.y - 0.5))),
    ).toBeLessThan(2);
  }
});

it('evens a falloff out in linear light, by a board photographed in it', async () => {
  const curve = await linearCurve({ icc: null, assumedSpace: null }, 3, 4096);
  const encode = (light: number) => {
    let at = curve.findIndex((v) => v >= light);
    if (at < 0) at = 4095;
    return (at / 4095) * 65535;
  };
  const shot = (reflectance: number) => {
    const picture = plain(180, 120, 0);
    for (let y = 0, i = 0; y < 120; y += 1)
      for (let x = 0; x < 180; x += 1, i += 3)
        picture.data.fill(
          encode(reflectance * 2 ** (-0.6 * (x / 180) - 0.2 * (y / 120))),
          i,
          i + 3,
        );
    return picture;
  };
  const board = await taken('board', shot(0.6));
  const { grid } = await readBoard({ path: board.path, bytes: 1 });
  const light = Float64Array.from(grid.light);
  const evenness = judgeEvenness(
    { ...grid, light },
    { goodStops: 1 / 6, poorStops: 1 / 3 },
  );
  expect(evenness.falloff).toBeGreaterThan(0.7);
  expect(evenness.falloff).toBeLessThan(0.8);
  expect(evenness.worst.corner).toBe('bottomRight');
  const fitted = fitFlatField({ ...grid, light });
  if (!fitted.ok) throw new Error(fitted.because);
  const work = await taken('work', shot(0.3));
  const { samples } = await derived(
    work.pixels,
    { corners: null, flatField: fitted.field },
    'evened',
  );
  const stops = Array.from({ length: 180 * 120 }, (_, i) =>
    Math.log2(curve[Math.round((samples[3 * i]! / 65535) * 4095)]!),
  );
  expect(
    stops.reduce((a, b) => Math.max(a, b)) - stops.reduce((a, b) => Math.min(a, b)),
  ).toBeLessThan(0.03);
});

it('reads a file whose bytes are no picture as none', async () => {
  const path = join(folder, 'words.tif');
  await writeFile(path, 'not a picture');
  await expect(readMaster(path, 13)).rejects.toMatchObject({
    refused: { code: 'notAPicture' },
  });
});
