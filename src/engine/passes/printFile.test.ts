import { mkdtemp, readFile, readdir, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { COTTON, OFFSET } from '../../../demo/profiles/profiles';
import { samplesBy, workingCopyOf } from '../../../e2e/support/master';
import { plainRecipe, printPlan, verifyPrintFile } from '@/core/prepare';
import type { Recipe } from '@/core/prepare';
import { fitToSheet, plainLayout } from '@/core/size';
import { mm, size } from '@/core/units';
import { encodePass } from './encodePass';
import { lzw } from '../tiff/lzw';
import { inStrips, layOutPrintFile, layoutOf, printFileRows } from './printFilePass';
import type { PrintFileWork } from './printFilePass';
import { spaceTarget } from '../colour/printTarget';
import type { PrintTarget } from '../colour/printTarget';
import { reopenPrintFile } from './reopenPrintFile';
import { sharp } from '../sharpSetup';
import { joinStrips } from '../tiff/tiffStrips';
import { createTiff, rowsPerStrip } from '../tiff/tiffWriter';

const WIDTH = 320;
const HEIGHT = 240;
const PPI = 100;
const ABOUT = {
  title: 'Slæk & “Low” Water',
  artist: 'Senna Quillfeather',
  copyright: '© 2026 S. Q.',
};
const silent = () => undefined;

let folder: string;
let made: Pick<PrintFileWork, 'pixels' | 'colour'>;
const cmyk: PrintTarget = { ...OFFSET, channels: 4 };

beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'print-'));
  made = await workingCopyOf(
    folder,
    samplesBy(WIDTH, HEIGHT, (x, y, c) =>
      c === 0
        ? 8000 + (x / WIDTH) * 40000
        : c === 1
          ? 30000 + 15000 * Math.sin(y / 5)
          : 20000,
    ),
  );
});
afterAll(() => rm(folder, { recursive: true, force: true }));

const whole = { width: WIDTH, height: HEIGHT };
const fitted = (bleed = 0) =>
  fitToSheet(size(130, 110), WIDTH / HEIGHT, {
    ...plainLayout(bleed > 0 ? 'fill' : 'within', mm(bleed > 0 ? 0 : 10)),
    bleed: mm(bleed),
  });

interface Wish {
  file?: Partial<Recipe['file']>;
  steps?: (steps: Recipe['steps']) => Recipe['steps'];
  into?: PrintTarget;
  marks?: boolean;
  bleed?: number;
  /** Where the rows are divided, as shares of the height. */
  at?: number[];
}

let count = 0;
async function printed({
  file = {},
  steps = (s) => s,
  into,
  marks = false,
  bleed,
  at = [],
}: Wish) {
  const plain = plainRecipe(PPI, 0.8);
  const recipe: Recipe = {
    ...plain,
    steps: steps(plain.steps),
    marks,
    file: { ...plain.file, ...file },
  };
  count += 1;
  const target = join(folder, `${count}.tif`);
  const work: PrintFileWork = {
    ...made,
    plan: printPlan(whole, fitted(bleed), PPI, marks),
    recipe,
    into: into ?? spaceTarget('a98-rgb'),
    about: ABOUT,
    target,
  };
  await layOutPrintFile(work);
  const rows = inStrips(work) ? rowsPerStrip(layoutOf(work)) : 1;
  const { height } = work.plan;
  const inner = at.map((share) => Math.floor((share * height) / rows) * rows);
  const cuts = [...new Set([0, ...inner, height])];
  const parts = [];
  for (let i = 1; i < cuts.length; i += 1) {
    const range = { from: cuts[i - 1]!, to: cuts[i]! };
    parts.push({ from: range.from, counts: await printFileRows(work, range, silent) });
  }
  if (inStrips(work)) await joinStrips(target, layoutOf(work), parts);
  return work;
}

async function failing(work: PrintFileWork, path = work.target) {
  const { plan, recipe, into } = work;
  const expected = { ...made, recipe, into };
  const found = await reopenPrintFile({ path, plan, expected });
  return verifyPrintFile(
    {
      width: plan.width,
      height: plan.height,
      ppi: PPI,
      profile: into.name,
      channels: into.channels,
      bits: recipe.file.bits,
      format: recipe.file.format,
      title: ABOUT.title,
    },
    found,
  )
    .filter((c) => !c.passed)
    .map((c) => `${c.check}: ${c.wanted}, ${c.found}`);
}

const samples = (path: string, space: string, deep: boolean) =>
  sharp(path)
    .pipelineColourspace(space)
    .toColourspace(space)
    .raw({ depth: deep ? 'ushort' : 'uchar' })
    .toBuffer();

describe('a print file holds against its order when reopened', () => {
  it.each([
    ['as it comes', {}],
    ['16 bit', { file: { bits: 16 } }],
    ['LZW', { file: { compression: 'lzw' } }],
    ['LZW, 16 bit', { file: { compression: 'lzw', bits: 16 } }],
    ['deflate', { file: { compression: 'deflate' }, at: [0.3, 0.6] }],
    ['CMYK', { into: cmyk }],
    [
      'CMYK, 16 bit, LZW, with marks',
      { into: cmyk, marks: true, bleed: 3, file: { bits: 16, compression: 'lzw' } },
    ],
    ['bleed and marks', { bleed: 3, marks: true }],
    [
      'lighter and warmer',
      {
        steps: (s) =>
          s.map((step) =>
            step.kind === 'adjust'
              ? { ...step, on: true, lightness: 30, warmth: 40 }
              : step,
          ),
      },
    ],
  ] as [string, Wish][])('%s', async (_, wish) => {
    expect(await failing(await printed(wish))).toEqual([]);
  });

  it('carries who made it, in tags and in XMP', async () => {
    const { target } = await printed({ file: { compression: 'lzw' } });
    const bytes = await readFile(target);
    for (const words of Object.values(ABOUT))
      expect(bytes.includes(`${words}\0`)).toBe(true);
    expect(bytes.includes('Sl\u00e6k &amp; \u201cLow\u201d Water')).toBe(true);
  });

  it('notices another picture, and one that lies elsewhere', async () => {
    const work = await printed({});
    const other = printPlan(
      whole,
      fitToSheet(size(130, 110), WIDTH / HEIGHT, plainLayout('fill', mm(10))),
      PPI,
    );
    const shifted = {
      ...work,
      plan: { ...work.plan, source: { ...other.source, left: 100, width: 100 } },
    };
    expect((await failing(shifted))[0]).toMatch(/^thumbnail/);
    const flat = await printed({});
    const rows = await samples(flat.target, 'srgb', false);
    const layout = layoutOf(flat);
    await rm(flat.target);
    const writer = await createTiff(flat.target, layout);
    await writer.write(new Uint8Array(rows.length).fill(255));
    await writer.finish();
    expect((await failing(flat)).map((f) => f.split(':')[0])).toEqual([
      'picture',
      'thumbnail',
    ]);
  });
});

it.each([
  {},
  { file: { compression: 'lzw' as const } },
  { into: cmyk, file: { bits: 16 as const } },
])('is the same byte for byte however its rows are divided: %j', async (wish) => {
  const one = await printed(wish);
  const many = await printed({ ...wish, at: [0.11, 0.4, 0.75] });
  expect((await readFile(one.target)).equals(await readFile(many.target))).toBe(true);
  expect((await readdir(folder)).filter((name) => name.endsWith('.strips'))).toEqual([]);
});

it('compressed and not, the samples are the same', async () => {
  for (const bits of [8, 16] as const) {
    const space = bits === 8 ? 'srgb' : 'rgb16';
    const plain = await samples(
      (await printed({ file: { bits } })).target,
      space,
      bits === 16,
    );
    for (const compression of ['lzw', 'deflate'] as const) {
      const { target } = await printed({ file: { bits, compression } });
      expect((await samples(target, space, bits === 16)).equals(plain)).toBe(true);
    }
  }
});

it('LZW takes whatever bytes come, through tables that fill up', async () => {
  for (const [name, byte] of [
    ['wild', (i: number) => (Math.imul(i, 2654435761) >>> 13) & 255],
    ['one', () => 7],
    ['slow', (i: number) => (i >> 9) & 255],
  ] as const) {
    const side = 400;
    const pixels = Uint8Array.from({ length: side * side }, (_, i) => byte(i));
    const small = lzw(pixels);
    const layout = {
      width: side,
      height: side,
      channels: 1,
      bits: 8,
      ppi: 300,
      icc: null,
    } as const;
    const path = join(folder, `${name}.tif`);
    await writeFile(`${path}.0.strips`, small);
    await joinStrips(path, { ...layout, compression: 'lzw', height: side }, [
      { from: 0, counts: [small.length] },
    ]);
    const back = await sharp(path).toColourspace('b-w').raw().toBuffer();
    // The reader undoes the differences of neighbours, which were not taken here.
    const wanted = Uint8Array.from(pixels);
    for (let y = 0; y < side; y += 1)
      for (let x = 1; x < side; x += 1)
        wanted[y * side + x] = (wanted[y * side + x - 1]! + pixels[y * side + x]!) & 255;
    expect(back.equals(wanted)).toBe(true);
  }
});

describe('PNG and JPEG', () => {
  it('PNG holds the same samples, 8 and 16 bit', async () => {
    for (const bits of [8, 16] as const) {
      const work = await printed({ file: { bits } });
      const target = `${work.target}.png`;
      const wish = { ...work.recipe.file, format: 'png' as const };
      await encodePass({ path: work.target, target, wish, ppi: PPI, about: ABOUT });
      const space = bits === 8 ? 'srgb' : 'rgb16';
      const [a, b] = [
        await samples(target, space, bits === 16),
        await samples(work.target, space, bits === 16),
      ];
      expect(a.equals(b)).toBe(true);
      const asked = { ...work, recipe: { ...work.recipe, file: wish } };
      expect(await failing(asked, target)).toEqual([]);
    }
  });

  it('JPEG comes close, keeps its profile, and takes words over the picture', async () => {
    const work = await printed({});
    const wish = { ...work.recipe.file, format: 'jpeg' as const, quality: 95 };
    const asked = { ...work, recipe: { ...work.recipe, file: wish } };
    const [plain, marked] = [`${work.target}.jpg`, `${work.target}.w.jpg`];
    await encodePass({ path: work.target, target: plain, wish, ppi: PPI, about: ABOUT });
    expect((await failing(asked, plain)).filter((f) => !f.startsWith('border'))).toEqual(
      [],
    );
    await encodePass({
      path: work.target,
      target: marked,
      wish,
      ppi: PPI,
      about: ABOUT,
      watermark: '© <S.Q.> 2026',
    });
    const [a, b] = await Promise.all([plain, marked].map((p) => sharp(p).raw().toBuffer()));
    const changed = a!.reduce((n, v, i) => n + Number(Math.abs(v - b![i]!) > 40), 0);
    expect(changed).toBeGreaterThan(200);
    // Only near the lower right corner.
    expect(a!.subarray(0, a!.length / 2).equals(b!.subarray(0, a!.length / 2))).toBe(true);
  });
});

it('converts to a printer in RGB as to CMYK', async () => {
  const into: PrintTarget = { ...COTTON, channels: 3 };
  expect(await failing(await printed({ into }))).toEqual([]);
});
