import { mkdtemp, readFile, readdir, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import type { Sharp } from 'sharp';
import {
  RGB_SPACES,
  SPACE_IDS,
  decoded,
  encodedLight,
  iccProfile,
  readMatrixProfile,
} from '@/core/colour';
import { zoomLevels } from '@/core/image';
import type { MasterFacts } from '@/core/image';
import { createTransform, littleCms, readProfile } from './colour/colourEngine';
import { FileRefusal } from './fileRefusal';
import { PixelSource } from './decode/pixelSource';
import { readMaster } from './decode/readMaster';
import type { Progress } from './progress';
import { sharp } from './sharpSetup';
import { keep, receive, storePaths } from './store/store';
import { createTiff } from './tiff/tiffWriter';
import { halve } from '@/core/image';
import { TILE } from './passes/pyramid';
import { joinTiles, layOutTiles, tileColumns } from './passes/tilesPass';
import { decodeMaster } from './decode/workingCopy';

let folder: string;
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'engine-'));
});
afterAll(() => rm(folder, { recursive: true, force: true }));

const WIDTH = 640;
const HEIGHT = 480;

/** A 16-bit picture with a ramp across and a wave down. */
async function picture(name: string, width = WIDTH, height = HEIGHT) {
  const path = join(folder, name);
  const icc = iccProfile(RGB_SPACES['prophoto-rgb']);
  const writer = await createTiff(path, {
    width,
    height,
    channels: 3,
    bits: 16,
    ppi: 600,
    icc,
  });
  const row = new Uint16Array(width * 3);
  for (let y = 0; y < height; y += 1) {
    for (let x = 0; x < width; x += 1) {
      row[x * 3] = 8000 + (x / width) * 40000;
      row[x * 3 + 1] = 30000 + 15000 * Math.sin(y / 9);
      row[x * 3 + 2] = 20000;
    }
    await writer.write(row);
  }
  await writer.finish();
  return path;
}

const silent = () => undefined;

/** Decodes into `<name>.v` beside the others. */
function decode(
  path: string,
  facts: MasterFacts,
  name: string,
  progress: Progress = silent,
) {
  const part = join(folder, `${name}.part.v`);
  return decodeMaster({ path, facts, part, target: join(folder, `${name}.v`) }, progress);
}

const refusalOf = (path: string) =>
  readMaster(path, 1).then(
    () => null,
    (e: unknown) => (e instanceof FileRefusal ? e.refused.code : e),
  );

describe('store', () => {
  it('streams, hashes and keeps one copy of the same bytes', async () => {
    for (let i = 0; i < 2; i += 1) {
      const got = await receive(folder, Readable.from([Buffer.from('abc')]), {
        mostBytes: 100,
      });
      expect(got.sha256).toBe(
        'ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad',
      );
      await keep(folder, got);
      expect(await readFile(storePaths(folder).file(got.sha256), 'utf8')).toBe('abc');
    }
    await expect(
      receive(folder, Readable.from([Buffer.alloc(200)]), { mostBytes: 100 }),
    ).rejects.toThrow('tooLarge');
    expect(await readdir(join(folder, 'tmp'))).toEqual([]);
  });
});

describe('readMaster', () => {
  it('reads what the file says of itself', async () => {
    const { facts } = await readMaster(await picture('facts.tif'), 1843350);
    expect(facts).toEqual({
      format: 'tiff',
      width: WIDTH,
      height: HEIGHT,
      bitsPerChannel: 16,
      channels: 3,
      colourModel: 'rgb',
      ppiTag: 600,
      iccDescription: 'ROMM RGB',
      iccRemark: null,
      orientation: 1,
      bytes: 1843350,
    });
  });

  it('refuses what is no master, each for its reason', async () => {
    const file = async (name: string, data: Buffer) => {
      await writeFile(join(folder, name), data);
      return refusalOf(join(folder, name));
    };
    const flat = sharp({
      create: { width: 8, height: 8, channels: 3, background: '#888' },
    });
    expect(await file('zero.tif', Buffer.alloc(0))).toBe('empty');
    expect(await file('text.tif', Buffer.from('not a picture'))).toBe('notAPicture');
    expect(await file('doc.tif', Buffer.from('%PDF-1.7'))).toBe('notAPicture');
    expect(
      await file('cmyk.tif', await flat.clone().toColourspace('cmyk').tiff().toBuffer()),
    ).toBe('cmyk');
    expect(await file('half.tif', Buffer.from('II*\0\x08\0\0\0\x05'))).toBe('broken');
  });

  it('turns upright what the camera held sideways', async () => {
    const path = join(folder, 'turned.jpg');
    await sharp({ create: { width: 30, height: 20, channels: 3, background: '#888' } })
      .withMetadata({ orientation: 6 })
      .jpeg()
      .toFile(path);
    const { facts } = await readMaster(path, 1);
    expect(facts).toMatchObject({
      width: 20,
      height: 30,
      orientation: 6,
      bitsPerChannel: 8,
    });
    await decode(path, facts, 'turned');
    const source = await PixelSource.open(join(folder, 'turned.v'));
    expect([source.width, source.height]).toEqual([20, 30]);
    await source.close();
  });

  it('refuses a file that breaks off, and leaves no working copy', async () => {
    const whole = await readFile(await picture('whole.tif'));
    const path = join(folder, 'cut.png');
    const png = await sharp(whole).png().toBuffer();
    await writeFile(path, png.subarray(0, png.length / 2));
    const { facts } = await readMaster(path, 1);
    await expect(decode(path, facts, 'cut')).rejects.toThrow(FileRefusal);
    expect((await readdir(folder)).filter((n) => /^cut.*v$/.test(n))).toEqual([]);
  });
});

describe('colour', () => {
  it.each(SPACE_IDS)(
    '%s: its own profile is read back by the colour engine',
    async (id) => {
      expect(await readProfile(iccProfile(RGB_SPACES[id]))).toEqual({
        description: RGB_SPACES[id].name,
        deviceClass: 'mntr',
        space: 'RGB',
      });
    },
  );

  it('carries a wide green through 16 bits without squeezing it', async () => {
    const [romm, p3] = [
      iccProfile(RGB_SPACES['prophoto-rgb']),
      iccProfile(RGB_SPACES['a98-rgb']),
    ];
    const options = { intent: 'relative', blackPoint: true, exact: true } as const;
    const there = await createTransform(p3, romm, { from: 3, to: 3 }, options);
    const back = await createTransform(romm, p3, { from: 3, to: 3 }, options);
    const start = Uint16Array.from([2000, 60000, 3000, 65535, 65535, 65535]);
    const middle = new Uint16Array(6);
    const end = new Uint16Array(6);
    there.convert(start, middle, 2);
    back.convert(middle, end, 2);
    end.forEach((v, i) => expect(Math.abs(v - start[i]!)).toBeLessThan(130));
    there.close();
    back.close();
  });

  it.each(SPACE_IDS)('%s: the direct way gives what Little CMS gives', async (id) => {
    const source = iccProfile(RGB_SPACES[id]);
    for (const other of SPACE_IDS) {
      const target = iccProfile(RGB_SPACES[other]);
      const options = { intent: 'relative', blackPoint: true, exact: true } as const;
      const [one, cms] = [
        await createTransform(source, target, { from: 3, to: 3 }, options),
        await littleCms(source, target, { from: 3, to: 3 }, options),
      ];
      const input = Uint16Array.from(
        { length: 9000 },
        (_, i) => (i * i * 2654435761) >>> 16,
      );
      const [a, b] = [new Uint16Array(9000), new Uint16Array(9000)];
      one.convert(input, a, 3000);
      cms.convert(input, b, 3000);
      const [screen, cmsScreen] = [new Uint8Array(9000), new Uint8Array(9000)];
      one.toEight(input, screen, 3000);
      cms.toEight(input, cmsScreen, 3000);
      expect(
        Math.max(...screen.map((v, i) => Math.abs(v - cmsScreen[i]!))),
      ).toBeLessThanOrEqual(1);
      expect(Math.max(...a.map((v, i) => Math.abs(v - b[i]!)))).toBeLessThanOrEqual(2);
      cms.close();
    }
  });

  it('leaves profiles that are no matrix to Little CMS', () => {
    const srgb = iccProfile(RGB_SPACES.srgb);
    const broken = srgb.slice();
    // A green curve of a kind that does not exist.
    const at = new DataView(srgb.buffer).getUint32(128 + 4 + 12 * 8 + 4);
    broken[at + 9] = 9;
    expect(readMatrixProfile(srgb)).not.toBeNull();
    expect(readMatrixProfile(broken)).toBeNull();
    expect(readMatrixProfile(srgb.subarray(0, 300))).toBeNull();
  });

  it('reads nonsense as no profile', async () => {
    expect(await readProfile(new Uint8Array(200))).toBeNull();
  });
});

describe('TIFF rows', () => {
  it('says when rows are missing or too many', async () => {
    const layout = {
      width: 4,
      height: 3,
      channels: 1,
      bits: 8,
      ppi: 100,
      icc: null,
    } as const;
    const file = await createTiff(join(folder, 'short.tif'), layout);
    await file.write(new Uint8Array(8));
    await expect(file.finish()).rejects.toThrow('4 bytes of rows missing');
    await expect(file.write(new Uint8Array(8))).rejects.toThrow('more rows than laid out');
    await file.abandon();
  });
});

describe('tiles', () => {
  const { curve } = RGB_SPACES.srgb;
  const lightOf = (v: number) => decoded(curve, v / 255);
  const shownAs = (light: number) => 255 * encodedLight(curve, light);

  it('halves by the mean light, the odd edge counting twice', () => {
    const grey = (...v: number[]) => Uint8Array.from(v.flatMap((x) => [x, x, x]));
    expect(halve(grey(0, 100, 50, 40, 60, 70), 3, 2).filter((_, i) => i % 3 === 0)).toEqual(
      Uint8Array.from([
        Math.round(shownAs([0, 100, 40, 60].reduce((t, v) => t + lightOf(v) / 4, 0))),
        Math.round(shownAs((lightOf(50) + lightOf(70)) / 2)),
      ]),
    );
  });

  const cut = async (name: string, width = WIDTH, height = HEIGHT, parts = 1) => {
    const path = await picture(`${name}.tif`, width, height);
    const { facts, icc } = await readMaster(path, 1);
    await decode(path, facts, name);
    const work = {
      pixels: join(folder, `${name}.v`),
      width,
      height,
      colour: { icc, assumedSpace: null },
      scratch: join(folder, `${name}.scratch`),
      tilesFolder: join(folder, `${name}.tiles`),
      preview: join(folder, `${name}.jpg`),
    };
    const stacks = await layOutTiles(work, parts);
    for (const columns of stacks) await tileColumns(work, columns, silent);
    await joinTiles(work, silent);
    const tiles = (await readdir(work.tilesFolder, { recursive: true })).filter((t) =>
      t.endsWith('.jpg'),
    );
    return { ...work, stacks, tiles: tiles.sort() };
  };

  it('cuts all levels and a preview', async () => {
    const { tilesFolder, preview } = await cut('small');
    expect((await readdir(tilesFolder)).map(Number).sort((a, b) => a - b)).toEqual(
      Array.from({ length: 11 }, (_, i) => i),
    );
    expect((await readdir(join(tilesFolder, '10'))).sort()).toEqual(['0_0.jpg', '1_0.jpg']);
    const last = await sharp(join(tilesFolder, '10', '1_0.jpg')).metadata();
    expect([last.width, last.height]).toEqual([WIDTH - 512, HEIGHT]);
    expect((await sharp(preview).metadata()).width).toBe(WIDTH);
  });

  it('gives the same tiles however many stacks it is divided into', async () => {
    const [width, height] = [2203, 651];
    const one = await cut('one', width, height);
    const three = await cut('three', width, height, 3);
    expect(one.stacks).toEqual([{ from: 0, to: width }]);
    expect(three.stacks.map((c) => c.from)).toEqual([0, 1024, 2048]);
    const places = zoomLevels(width, height, TILE).flatMap((l) =>
      Array.from({ length: l.rows * l.columns }, (_, i) =>
        join(String(l.level), `${i % l.columns}_${Math.floor(i / l.columns)}.jpg`),
      ),
    );
    expect(one.tiles).toEqual(places.sort());
    for (const tile of [...one.tiles]) {
      const [a, b] = [one, three].map((w) => join(w.tilesFolder, tile));
      expect([tile, await readFile(b!)]).toEqual([tile, await readFile(a!)]);
    }
    expect(await readFile(three.preview)).toEqual(await readFile(one.preview));
  });

  it.each([[1536], [3072], [9216]])(
    'shows the same picture in the preview and at every level, %i pixels wide',
    async (width) => {
      const height = 704;
      const { tilesFolder, preview } = await cut(`all-${width}`, width, height, 2);
      const levels = zoomLevels(width, height, TILE);
      /** Luma, which the JPEG of tiles keeps at every pixel. */
      const luma = async (image: Sharp) => {
        const { data, info } = await sharp(
          await image.png({ compressionLevel: 0 }).toBuffer(),
        )
          .removeAlpha()
          .raw()
          .toBuffer({ resolveWithObject: true });
        const light = new Float32Array(info.width * info.height);
        for (let i = 0; i < light.length; i += 1)
          light[i] =
            0.299 * data[i * 3]! + 0.587 * data[i * 3 + 1]! + 0.114 * data[i * 3 + 2]!;
        return { data: light, width: info.width, height: info.height };
      };
      const whole = ({ level, width: w, height: h, rows, columns }: (typeof levels)[0]) =>
        luma(
          sharp({
            create: { width: w, height: h, channels: 3, background: '#f0f' },
          }).composite(
            Array.from({ length: rows * columns }, (_, i) => {
              const [column, row] = [i % columns, Math.floor(i / columns)];
              const input = join(tilesFolder, `${level}/${column}_${row}.jpg`);
              return { input, left: column * TILE, top: row * TILE };
            }),
          ),
        );
      const largest = await whole(levels[0]!);
      const lights = largest.data.map(lightOf);
      /** Mean difference to the largest level's light averaged, 8-bit luma; another band gives 20 and more. */
      const differs = (shown: typeof largest) => {
        const step = width / shown.width;
        let sum = 0;
        for (let y = 0; y < shown.height; y += 1)
          for (let x = 0; x < shown.width; x += 1) {
            let mean = 0;
            for (let v = 0; v < step; v += 1)
              for (let u = 0; u < step; u += 1)
                mean += lights[(y * step + v) * width + x * step + u]!;
            const wanted = shownAs(mean / (step * step));
            const difference = wanted - shown.data[y * shown.width + x]!;
            sum += difference < 0 ? -difference : difference;
          }
        return sum / shown.data.length;
      };
      expect(differs(await luma(sharp(preview)))).toBeLessThan(5);
      for (const level of levels.filter((l) => l.height > 40))
        expect(differs(await whole(level))).toBeLessThan(5);
    },
  );

  it('halves level by level to the mean light of the picture', async () => {
    const { tilesFolder } = await cut('mean', 1024, 512);
    const top = await sharp(join(tilesFolder, '0', '0_0.jpg'))
      .raw()
      .toBuffer();
    const full = await Promise.all(
      ['0_0', '1_0'].map((t) =>
        sharp(join(tilesFolder, '10', `${t}.jpg`))
          .raw()
          .toBuffer(),
      ),
    );
    const all = Buffer.concat(full);
    for (const c of [0, 1, 2]) {
      let sum = 0;
      for (let i = c; i < all.length; i += 3) sum += lightOf(all[i]!);
      expect(Math.abs(top[c]! - shownAs((sum * 3) / all.length))).toBeLessThan(3);
    }
  });
});
