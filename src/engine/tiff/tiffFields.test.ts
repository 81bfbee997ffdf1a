import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fc from 'fast-check';
import sharp from 'sharp';
import { RGB_SPACES, iccProfile } from '@/core/colour';
import { serialise, tiffFields, xmpOf } from './tiffFields';
import type { TiffLayout } from './tiffFields';
import { createTiff } from './tiffWriter';

const about = {
  title: 'Ebb & "Flow" <fjære>',
  artist: 'Senna O’Quill 🌊',
  copyright: '© 2026 Senna O’Quill',
};
const layout: TiffLayout = {
  width: 40,
  height: 20,
  channels: 3,
  bits: 8,
  ppi: 254.5,
  icc: null,
  about,
};

/** The entries of a directory at `at`, each with its bytes; as any reader finds them. */
function entries(bytes: Buffer, at: number) {
  const sizes: Record<number, number> = { 1: 1, 2: 1, 3: 2, 4: 4, 5: 8, 7: 1 };
  return Array.from({ length: bytes.readUInt16LE(0) }, (_, i) => {
    const entry = 2 + i * 12;
    const [tag, type] = [bytes.readUInt16LE(entry), bytes.readUInt16LE(entry + 2)];
    const count = bytes.readUInt32LE(entry + 4);
    const long = sizes[type]! * count;
    const from = long <= 4 ? entry + 8 : bytes.readUInt32LE(entry + 8) - at;
    return { tag, type, count, from, data: bytes.subarray(from, from + long) };
  });
}
const of = (over: Partial<TiffLayout>, offsets = [8], counts = [2400]) => {
  const fields = tiffFields({ ...layout, ...over }, offsets, counts, 20);
  return { fields, found: entries(serialise(fields, 1000), 1000) };
};

it('lays every value out where its entry says, in the order of the tags, on even offsets', () => {
  const channels = fc.constantFrom<1 | 3 | 4>(1, 3, 4);
  const compression = fc.constantFrom('none' as const, 'lzw' as const, 'deflate' as const);
  const words = fc.string({ maxLength: 30, unit: 'grapheme' });
  fc.assert(
    fc.property(channels, compression, words, fc.uint8Array(), (c, how, title, icc) => {
      const { fields, found } = of({
        channels: c,
        compression: how,
        icc,
        about: { ...about, title },
      });
      expect(found.map((f) => f.tag)).toEqual(fields.map((f) => f.tag));
      const tags = found.map((f) => f.tag);
      expect(tags).toEqual([...tags].sort((a, b) => a - b));
      found.forEach(({ data, from, count }, i) => {
        expect(Buffer.compare(data, fields[i]!.data)).toBe(0);
        expect(count).toBe(fields[i]!.count);
        expect(from % 2).toBe(0);
      });
    }),
  );
});

it.each([
  [1, 1, [8]],
  [3, 2, [8, 8, 8]],
  [4, 5, [8, 8, 8, 8]],
] as const)('of %d channels it says what they are', (channels, photometric, bits) => {
  const { found } = of({ channels });
  const shorts = (tag: number) => {
    const { data } = found.find((f) => f.tag === tag)!;
    return Array.from({ length: data.length / 2 }, (_, i) => data.readUInt16LE(2 * i));
  };
  expect(shorts(262)).toEqual([photometric]);
  expect(shorts(258)).toEqual(bits);
  expect(shorts(277)).toEqual([channels]);
  // Thousandths: an odd ppi is kept exactly.
  const resolution = found.find((f) => f.tag === 282)!.data;
  expect([0, 4].map((at) => resolution.readUInt32LE(at))).toEqual([254_500, 1000]);
  // Only separations name their inks.
  expect(found.some((f) => f.tag === 332)).toBe(channels === 4);
});

it('leaves out what was not said', () => {
  const silent = { title: '', artist: '', copyright: '' };
  const tags = of({ about: silent }).found.map((f) => f.tag);
  for (const tag of [270, 315, 33432, 34675, 317]) expect(tags).not.toContain(tag);
  expect(of({ compression: 'lzw' }).found.map((f) => f.tag)).toContain(317);
});

it('is read by another program: size, ppi, profile, and the words with all their letters', async () => {
  const folder = await mkdtemp(join(tmpdir(), 'glassine-fields-'));
  try {
    const path = join(folder, 'said.tif');
    const icc = iccProfile(RGB_SPACES['display-p3']);
    const writer = await createTiff(path, { ...layout, icc });
    await writer.write(new Uint8Array(40 * 20 * 3).fill(90));
    await writer.finish();
    const found = await sharp(path).metadata();
    expect(found).toMatchObject({ width: 40, height: 20, channels: 3, depth: 'uchar' });
    // Whole ones are all that this reader says of it.
    expect(found.density).toBe(254);
    expect(Buffer.compare(found.icc!, Buffer.from(icc))).toBe(0);
    const xmp = found.xmp!.toString('utf8');
    expect(xmp).toBe(xmpOf(about));
    expect(xmp).toContain('Ebb &amp; &quot;Flow&quot; &lt;fjære&gt;');
    expect(xmp).toContain('<rdf:li>Senna O’Quill 🌊</rdf:li>');
  } finally {
    await rm(folder, { recursive: true });
  }
});
