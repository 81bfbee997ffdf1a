import sharp from 'sharp';
import { RGB_SPACES, iccProfile } from '../../src/core/colour';
import { labelledPng } from '../../src/engine/passes/labelledPng';

/** Numbers that look random and are the same for the same seed. */
export function chance(seed: number) {
  let s = seed >>> 0;
  const next = () => {
    s = (Math.imul(s, 1664525) + 1013904223) >>> 0;
    return s / 2 ** 32;
  };
  return { next, below: (n: number) => Math.floor(next() * n) };
}
type Chance = ReturnType<typeof chance>;

const W = 96;
const H = 72;

/** Small whole pictures of every kind that comes in, with a profile where it can carry one. */
export async function wholePictures(): Promise<{ name: string; data: Buffer }[]> {
  const noise = Buffer.alloc(W * H * 3);
  const { below } = chance(5);
  for (let i = 0; i < noise.length; i += 1) noise[i] = (i % 251) ^ below(32);
  const raw = { raw: { width: W, height: H, channels: 3 as const } };
  const flat = () => sharp(noise, raw);
  return [
    { name: 'lzw.tif', data: await flat().tiff({ compression: 'lzw' }).toBuffer() },
    { name: 'plain.tif', data: await flat().tiff({ compression: 'none' }).toBuffer() },
    {
      name: 'tiled.tif',
      data: await flat().tiff({ compression: 'deflate', tile: true }).toBuffer(),
    },
    {
      name: 'deep.tif',
      data: await flat()
        .toColourspace('rgb16')
        .tiff({ compression: 'deflate', predictor: 'horizontal' })
        .toBuffer(),
    },
    { name: 'base.jpg', data: await flat().jpeg({ quality: 90 }).toBuffer() },
    { name: 'progressive.jpg', data: await flat().jpeg({ progressive: true }).toBuffer() },
    { name: 'colour.png', data: await flat().png().toBuffer() },
    { name: 'interlaced.png', data: await flat().png({ progressive: true }).toBuffer() },
    { name: 'palette.png', data: await flat().png({ palette: true }).toBuffer() },
    { name: 'grey.png', data: await flat().greyscale().png().toBuffer() },
    { name: 'alpha.png', data: await flat().ensureAlpha(0.5).png().toBuffer() },
  ];
}

/** The same bytes with some of them wrong, in one of the ways files go wrong. */
export function damage(whole: Buffer, { next, below }: Chance): Buffer {
  const data = Buffer.from(whole);
  // Most damage goes where sizes and offsets stand.
  const place = () =>
    next() < 0.6 ? below(Math.min(512, data.length)) : below(data.length);
  switch (below(8)) {
    case 0:
      return data.subarray(0, below(data.length));
    case 1:
      for (let i = 0, n = 1 + below(24); i < n; i += 1) data[place()]! ^= 1 << below(8);
      return data;
    case 2:
      for (let i = 0, n = 1 + below(6); i < n; i += 1)
        data.writeUInt32LE(0xffffffff, Math.max(0, Math.min(data.length - 4, place())));
      return data;
    case 3:
      for (let i = 0, n = 1 + below(4); i < n; i += 1)
        data.writeUInt32BE(below(2 ** 31), Math.max(0, Math.min(data.length - 4, place())));
      return data;
    case 4: {
      const from = place();
      data.fill(below(256), from, Math.min(data.length, from + 1 + below(400)));
      return data;
    }
    case 5: {
      const [a, b] = [place(), place()];
      return Buffer.concat([
        data.subarray(0, a),
        data.subarray(b, b + below(4000)),
        data.subarray(a),
      ]);
    }
    case 6: {
      const from = place();
      return Buffer.concat([data.subarray(0, from), data.subarray(from + 1 + below(64))]);
    }
    default: {
      for (let i = 0; i < data.length; i += 1 + below(200)) data[i] = below(256);
      return data;
    }
  }
}

/** A PNG whose profile is a damaged one. */
export async function pictureWithProfile(profile: Buffer): Promise<Buffer> {
  const png = await sharp({
    create: { width: 24, height: 18, channels: 3, background: '#a86' },
  })
    .png()
    .toBuffer();
  return Buffer.from(labelledPng(png, profile));
}

export const wholeProfile = (): Buffer => Buffer.from(iccProfile(RGB_SPACES['display-p3']));

const HEADS =
  'Name,Maker,Base,Surface,Weight,Thickness,Sheet width,Sheet height,Price a sheet,Reorder at,Printer setting,Permanence,Note';

/** A list of papers that is right in every line. */
export const wholeList = (n: number): string =>
  [
    HEADS,
    ...Array.from(
      { length: 6 },
      (_, i) =>
        `Sheet ${n}-${i},Vatmill,cotton,matte,300,0.5,594 mm,841 mm,9.50,5,"matte, heavy",,`,
    ),
  ].join('\n');

/** Whole pictures that claim to be larger than they are: what unpacks to far too much. */
export function bombs(): { name: string; data: Buffer }[] {
  const png = (width: number, height: number) => {
    const data = Buffer.from(
      '89504e470d0a1a0a0000000d4948445200000000000000000802000000000000000000000049444154789c030000000001000000000049454e44ae426082',
      'hex',
    );
    data.writeUInt32BE(width, 16);
    data.writeUInt32BE(height, 20);
    return data;
  };
  return [
    { name: 'wide.png', data: png(60_000, 60_000) },
    { name: 'endless.png', data: png(0x7fffffff, 0x7fffffff) },
    { name: 'thin.png', data: png(900_000_000, 1) },
  ];
}
