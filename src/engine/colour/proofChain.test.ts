import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { COTTON, OFFSET, paperProfile } from '../../../demo/profiles/profiles';
import {
  RGB_SPACES,
  apply,
  encodedLight,
  iccProfile,
  invert,
  rgbToXyzD50,
  xyzOfLab,
} from '@/core/colour';
import type { SpaceId } from '@/core/colour';
import { coloursThrough, plainRecipe } from '@/core/prepare';
import type { Intent, RecipeStep } from '@/core/prepare';
import { differences, labAt } from '@/core/proof';
import { openPicture } from '../sharpSetup';
import { createTiff } from '../tiff/tiffWriter';
import {
  labFrom,
  masterOnScreen,
  proofedInMaster,
  proofedOnScreen,
  throughLattice,
} from './proofChain';
import type { PrintTarget } from './printTarget';

const folder = mkdtempSync(join(tmpdir(), 'proofed-'));
afterAll(() => rmSync(folder, { recursive: true }));

const SIZE = { width: 30, height: 16 };
const PIXELS = SIZE.width * SIZE.height;
const NUMBERS: Record<Intent, number> = {
  perceptual: 0,
  relative: 1,
  saturation: 2,
  absolute: 3,
};

/** Quiet and loud colours, ramps of grey among them; the same every time. */
const data = new Uint16Array(PIXELS * 3);
for (let p = 0; p < PIXELS; p += 1) {
  const wild = (c: number) => {
    const v = Math.sin((p * 3 + c) * 12.9898) * 43758.5453;
    return v - Math.floor(v);
  };
  const loud = (p % 10) / 9;
  for (let c = 0; c < 3; c += 1)
    data[p * 3 + c] = 65535 * (wild(7) * (1 - loud) + wild(c) * loud);
}

const target = (of: { icc: Uint8Array; name: string }, channels: 3 | 4): PrintTarget => ({
  ...of,
  channels,
});
const DEBIAN = '/usr/share/color/icc/ghostscript/default_cmyk.icc';
const PROFILES = {
  'matte cotton': target(paperProfile('Slackwater Cotton'), 3),
  'gloss baryta': target(paperProfile('Chalkline Baryta'), 3),
  'smooth cotton': target(COTTON, 3),
  press: target(OFFSET, 4),
  'the press of a distribution': target(
    { icc: new Uint8Array(readFileSync(DEBIAN)), name: 'press' },
    4,
  ),
};

/** The same by Little CMS's own program: one conversion of a TIFF into another. */
function tificc(from: string, to: string, way: string[], input: string, output: string) {
  const [i, o] = [join(folder, from), join(folder, to)];
  const [source, made] = [join(folder, input), join(folder, output)];
  rmSync(made, { force: true });
  const args = [`-i${i}`, `-o${o}`, '-w16', '-c0', ...way, source, made];
  expect(spawnSync('tificc', args).status).toBe(0);
}

async function samplesOf(name: string): Promise<Uint16Array> {
  const raw = await openPicture(join(folder, name))
    .toColourspace('rgb16')
    .keepIccProfile()
    .raw({ depth: 'ushort' })
    .toBuffer();
  return new Uint16Array(raw.buffer, raw.byteOffset, raw.length / 2);
}

async function writeTiff(name: string, icc: Uint8Array): Promise<void> {
  rmSync(join(folder, name), { force: true });
  const layout = { ...SIZE, channels: 3, bits: 16, ppi: 300, icc } as const;
  const writer = await createTiff(join(folder, name), layout);
  await writer.write(data);
  await writer.finish();
}

const off = (one: ArrayLike<number>, other: ArrayLike<number>) => {
  const found = differences(one, other);
  const sorted = [...found].sort((a, b) => a - b);
  return { mean: sorted.reduce((t, v) => t + v, 0) / sorted.length, most: sorted.at(-1)! };
};

const intents = Object.keys(NUMBERS) as Intent[];
const cases = (['a98-rgb', 'srgb'] as SpaceId[]).flatMap((space) =>
  (Object.keys(PROFILES) as (keyof typeof PROFILES)[]).flatMap((to) =>
    // Of the narrower space what it does not share with the wider: its colours, not the ways.
    (space === 'srgb' ? intents.slice(0, 1) : intents).flatMap((intent) =>
      (intent === 'absolute' ? [false] : [true, false]).map(
        (bpc) => [space, to, intent, bpc] as const,
      ),
    ),
  ),
);

it.each(cases)(
  'a picture in %s proofed on %s, %s, black point %s, is what Little CMS makes of it',
  async (space, to, intent, blackPoint) => {
    const own = iccProfile(RGB_SPACES[space]);
    const profile = PROFILES[to];
    writeFileSync(join(folder, 'own.icc'), own);
    writeFileSync(join(folder, 'paper.icc'), profile.icc);
    await writeTiff('in.tif', own);
    const way = [`-t${NUMBERS[intent]}`, ...(blackPoint ? ['-b'] : [])];
    tificc('own.icc', 'paper.icc', way, 'in.tif', 'there.tif');
    tificc('paper.icc', 'own.icc', ['-t1', '-b'], 'there.tif', 'back.tif');
    const theirs = await samplesOf('back.tif');

    const colour = { icc: own, assumedSpace: null };
    const made = await proofedInMaster(colour, 3, { profile, intent, blackPoint });
    const ours = new Float32Array(PIXELS * 3);
    throughLattice(colour, 3, made).convert(data, ours, PIXELS);
    made.close();
    const ruler = await labFrom(own, 3);
    const { mean, most } = off(
      ruler.lab(Uint16Array.from(ours, (v) => Math.round(v))),
      ruler.lab(theirs),
    );
    ruler.close();
    expect(mean).toBeLessThan(0.1);
    expect(most).toBeLessThan(0.5);
  },
);

/** A colour through `transicc`, in numbers of 0..255 or L*a*b*. */
function transicc(args: string[], colours: number[][]): number[][] {
  const { stdout } = spawnSync('transicc', ['-n', '-c0', ...args], {
    input: `${colours.map((c) => c.join(' ')).join('\n')}\n`,
    encoding: 'utf8',
  });
  return stdout
    .split('\n')
    .filter((l) => /^-?[\d.]+( -?[\d.]+)+ ?$/.test(l))
    .map((l) => l.trim().split(' ').map(Number));
}

it('shows paper white and the black of the ink each by itself', async () => {
  const own = iccProfile(RGB_SPACES.srgb);
  const profile = PROFILES['matte cotton'];
  writeFileSync(join(folder, 'paper.icc'), profile.icc);
  const colour = { icc: own, assumedSpace: null };
  const way = { profile, intent: 'relative', blackPoint: true } as const;
  const ends = Uint16Array.from([0, 0, 0, 65535, 65535, 65535]);
  const ruler = await labFrom(own, 3);
  const of = async (paperWhite: boolean, blackInk: boolean) => {
    const shown = { paperWhite, blackInk, screen: own };
    const made = await proofedOnScreen(colour, 3, way, shown);
    const lab = ruler.lab(Uint16Array.from(made.exact(ends, 2), Math.round));
    made.close();
    return [lab.subarray(0, 3), lab.subarray(3)] as const;
  };
  const paper = `-i${join(folder, 'paper.icc')}`;
  writeFileSync(join(folder, 'own.icc'), own);
  const inks = transicc(
    [`-i${join(folder, 'own.icc')}`, paper.replace('-i', '-o'), '-t1', '-b'],
    [[0, 0, 0]],
  );
  const [inkBlack] = transicc([paper, '-o*Lab', '-t1'], inks);
  const [, bare] = transicc(
    [paper, '-o*Lab', '-t3'],
    [
      [0, 0, 0],
      [255, 255, 255],
    ],
  );

  const [black, white] = await of(false, false);
  expect(white[0]).toBeCloseTo(100, 0);
  expect(black[0]).toBeLessThan(4);
  const [dull, screenWhite] = await of(false, true);
  expect(screenWhite[0]).toBeCloseTo(100, 0);
  expect(off(dull, inkBlack!).most).toBeLessThan(0.5);
  const [scaled, tinted] = await of(true, false);
  expect(off(tinted, bare!).most).toBeLessThan(0.5);
  expect(scaled[0]).toBeLessThan(4);
  const [both] = await of(true, true);
  const [absolute] = transicc([paper, '-o*Lab', '-t3'], inks);
  expect(off(both, absolute!).most).toBeLessThan(0.5);
  ruler.close();
});

it('shows the untouched master in the colours of the screen', async () => {
  const [own, screen] = [iccProfile(RGB_SPACES['a98-rgb']), iccProfile(RGB_SPACES.srgb)];
  const shown = await masterOnScreen({ icc: own, assumedSpace: null }, 3, screen);
  const grey = Uint16Array.from([20000, 20000, 20000, 40000, 30000, 30000]);
  const [one, other] = [await labFrom(own, 3), await labFrom(screen, 3)];
  const made = Uint16Array.from(shown.exact(grey, 2), Math.round);
  expect(off(other.lab(made), one.lab(grey)).most).toBeLessThan(0.1);
  [one, other, shown].forEach((o) => o.close());
});

it.each(['matte cotton', 'press'] as const)(
  'a recipe moves colours before they are printed on %s: the same as the moved picture printed',
  async (name) => {
    const profile = PROFILES[name];
    const way = { profile, intent: 'relative', blackPoint: true } as const;
    const screen = iccProfile(RGB_SPACES['prophoto-rgb']);
    const shown = { paperWhite: false, blackInk: true, screen };
    const colour = { icc: iccProfile(RGB_SPACES['a98-rgb']), assumedSpace: null };
    const steps = plainRecipe(300, 1).steps.map((s): RecipeStep => {
      if (s.kind === 'adjust') return { ...s, on: true, lightness: -9, saturation: -20 };
      return s.kind === 'balance' ? { ...s, on: true, curve: [0, 2, -3, 1, 0] } : s;
    });
    const [plain, by] = await Promise.all([
      proofedOnScreen(colour, 3, way, shown),
      proofedOnScreen(colour, 3, way, shown, steps),
    ]);
    // The picture itself moved, in whole numbers of its own profile.
    const space = RGB_SPACES['a98-rgb'];
    const ruler = await labFrom(colour.icc, 3);
    const labs = ruler.lab(data);
    const of = Array.from({ length: PIXELS }, (_, i) => labAt(labs, i));
    const back = invert(rgbToXyzD50(space));
    const moved = Uint16Array.from(
      coloursThrough(steps, of).flatMap((lab) =>
        apply(back, xyzOfLab(lab)).map((v) => encodedLight(space.curve, v) * 65535),
      ),
      (v) => Math.round(Math.min(65535, Math.max(0, v))),
    );
    const within = Array.from({ length: PIXELS }, (_, i) =>
      [0, 1, 2].every((c) => moved[3 * i + c]! > 600 && moved[3 * i + c]! < 65000),
    );
    const screenLab = await labFrom(screen, 3);
    const asLab = (rgb: Float32Array) => screenLab.lab(Uint16Array.from(rgb));
    const found = differences(
      asLab(by.exact(data, PIXELS)),
      asLab(plain.exact(moved, PIXELS)),
    );
    const held = [...found].filter((_, i) => within[i]);
    expect(held.length).toBeGreaterThan(PIXELS / 3);
    expect(Math.max(...held)).toBeLessThan(0.5);
    const unmoved = differences(
      asLab(by.exact(data, PIXELS)),
      asLab(plain.exact(data, PIXELS)),
    );
    expect(Math.max(...unmoved)).toBeGreaterThan(3);
    for (const one of [plain, by, ruler, screenLab]) one.close();
  },
);
