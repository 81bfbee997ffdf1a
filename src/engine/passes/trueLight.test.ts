import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { COTTON } from '../../../demo/profiles/profiles';
import { copyOf, labAt, printed, xyzAt } from '../../../e2e/support/working';
import type { Numbers } from '../../../e2e/support/working';
import { greyProfile } from '../../../e2e/support/greyProfile';
import { RGB_SPACES, colourDifference, iccProfile, labOf } from '@/core/colour';
import type { Vector } from '@/core/colour';
import { plainRecipe, stepIn, withStep } from '@/core/prepare';
import type { Recipe } from '@/core/prepare';
import { createTransform } from '../colour/colourEngine';

const folder = mkdtempSync(join(tmpdir(), 'light-'));
afterAll(() => rmSync(folder, { recursive: true }));

const LINEAR = { ...RGB_SPACES['prophoto-rgb'], name: 'Linear RGB', curve: { g: 1 } };
const PROFILES: Record<string, Uint8Array> = {
  sRGB: iccProfile(RGB_SPACES.srgb),
  'Display P3': iccProfile(RGB_SPACES['display-p3']),
  A98: iccProfile(RGB_SPACES['a98-rgb']),
  ROMM: iccProfile(RGB_SPACES['prophoto-rgb']),
  linear: iccProfile(LINEAR),
};

/** Resized only, or adjusted by so much first. */
function recipeOf(adjust?: Record<string, number>): Recipe {
  const plain = plainRecipe(300, 1);
  const still = withStep(plain, 4, { ...stepIn(plain, 'output')!, on: false });
  const step = still.steps[1]!;
  return adjust ? withStep(still, 1, { ...step, on: true, ...adjust } as never) : still;
}

const CELL = 48;
/** Pairs of colours in sRGB, of 255, that lines of a cell are drawn in: one dark of every four. */
const PAIRS = [
  [
    [0, 0, 0],
    [255, 255, 255],
  ],
  [
    [30, 30, 30],
    [215, 215, 215],
  ],
  [
    [60, 20, 10],
    [240, 200, 170],
  ],
  [
    [20, 40, 90],
    [200, 190, 60],
  ],
  [
    [150, 30, 40],
    [40, 140, 90],
  ],
  [
    [120, 120, 120],
    [128, 128, 128],
  ],
] as [Vector, Vector][];
const CHART = { width: CELL * PAIRS.length, height: CELL };

/** Which of its two colours a pixel of the chart has: one dark row of every four, or plain. */
type Pattern = (y: number) => 0 | 1;
const HATCHED: Pattern = (y) => (y % 4 === 0 ? 0 : 1);
const PLAIN: Pattern = () => 1;

function chart(pattern: Pattern): Uint16Array {
  const data = new Uint16Array(CHART.width * CHART.height * 3);
  for (let y = 0, i = 0; y < CHART.height; y += 1)
    for (let x = 0; x < CHART.width; x += 1)
      for (let c = 0; c < 3; c += 1, i += 1)
        data[i] = PAIRS[Math.floor(x / CELL)]![pattern(y)][c as 0] * 257;
  return data;
}

const EXACT = { intent: 'relative', blackPoint: false, exact: true } as const;

/** The chart as a master in a profile. */
async function masterIn(name: string, icc: Uint8Array, pattern: Pattern) {
  const srgb = chart(pattern);
  const data = new Uint16Array(srgb.length);
  const into = await createTransform(PROFILES.sRGB!, icc, { from: 3, to: 3 }, EXACT);
  into.convert(srgb, data, CHART.width * CHART.height);
  const numbers: Numbers = { ...CHART, channels: 3, data };
  return { pixels: copyOf(folder, name, numbers), colour: { icc, assumedSpace: null } };
}

/** The middle of each cell of a chart printed at a factor, CIELAB. */
async function cells(
  master: Awaited<ReturnType<typeof masterIn>>,
  recipe: Recipe,
  factor: number,
): Promise<Vector[]> {
  const to = { width: CHART.width * factor, height: CHART.height * factor };
  const romm = await printed(master, CHART, to, recipe);
  return PAIRS.map((_, i) =>
    labAt(
      romm,
      Math.floor(to.height / 2) * to.width + Math.round((i + 0.5) * CELL * factor),
    ),
  );
}

/** Light of an sRGB colour, and of so much of one and the rest of another. */
const light = (v: number) => (v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4);
function mixed([dark, bright]: [Vector, Vector], share: number): Vector {
  const both = [0, 1, 2].map(
    (c) => share * light(dark[c as 0] / 255) + (1 - share) * light(bright[c as 0] / 255),
  );
  // sRGB to XYZ over D50 (ICC, Bradford).
  const m = [
    [0.4360747, 0.3850649, 0.1430804],
    [0.2225045, 0.7168786, 0.0606169],
    [0.0139322, 0.0971045, 0.7141733],
  ];
  return labOf(m.map((r) => r.reduce((t, v, i) => t + v * both[i]!, 0)) as Vector);
}

describe.each(Object.entries(PROFILES))('a picture in %s', (name, icc) => {
  it('reduced to a quarter, hatching prints as the light that it sends back', async () => {
    const found = await cells(await masterIn(`${name} h`, icc, HATCHED), recipeOf(), 0.25);
    found.forEach((lab, i) =>
      expect(colourDifference(lab, mixed(PAIRS[i]!, 0.25))).toBeLessThan(0.3),
    );
  });

  it('is adjusted as from any other profile', async () => {
    const by = { lightness: 12, contrast: 15, warmth: 8, saturation: 20 };
    const [ours, others] = await Promise.all([
      masterIn(`${name} p`, icc, PLAIN),
      masterIn(`${name} s`, PROFILES.sRGB!, PLAIN),
    ]);
    const [here, there] = await Promise.all(
      [ours, others].map((m) => cells(m, recipeOf(by), 1)),
    );
    here!.forEach((lab, i) => expect(colourDifference(lab, there![i]!)).toBeLessThan(0.3));
    // And it does something, also by warmth alone.
    const [plain, warm] = await Promise.all(
      [recipeOf(), recipeOf({ warmth: 8 })].map((r) => cells(ours, r, 1)),
    );
    const step = colourDifference(plain![5]!, warm![5]!);
    expect([step > 0.5, step < 3]).toEqual([true, true]);
    expect(warm![5]![2]).toBeGreaterThan(plain![5]![2] + 0.5);
  });

  it('enlarged and sharpened, it is the same as from any other profile', async () => {
    const sharp = plainRecipe(300, 1);
    const [ours, others] = await Promise.all([
      masterIn(`${name} e`, icc, HATCHED),
      masterIn(`${name} t`, PROFILES.sRGB!, HATCHED),
    ]);
    const to = { width: CHART.width * 2, height: CHART.height * 2 };
    const [a, b] = await Promise.all(
      [ours, others].map((m) => printed(m, CHART, to, sharp)),
    );
    for (let p = 0; p < to.width * to.height; p += 97)
      expect(colourDifference(labAt(a!, p), labAt(b!, p))).toBeLessThan(0.3);
  });
});

it('by the rule of before, it is as dark as it was, and depends on the profile', async () => {
  const one = { ...recipeOf(), rule: 1 as const };
  const [srgb, linear] = await Promise.all(
    ['sRGB', 'linear'].map(async (n) =>
      cells(await masterIn(`${n} 1`, PROFILES[n]!, HATCHED), one, 0.25),
    ),
  );
  const truth = mixed(PAIRS[0]!, 0.25)[0];
  expect(truth - srgb![0]![0]).toBeGreaterThan(10);
  expect(Math.abs(truth - linear![0]![0])).toBeLessThan(0.3);
});

it.each([
  ['of gamma 2.2', 2.2],
  ['linear', 1],
  ['of gamma 1.8', 1.8],
])('a grey picture %s is the same as one of colours', async (_, gamma) => {
  const icc = greyProfile(gamma);
  const encode = (v: number) => Math.round(65535 * light(v / 255) ** (1 / gamma));
  const data = new Uint16Array(CELL * CELL);
  for (let i = 0; i < data.length; i += 1)
    data[i] = encode(HATCHED(Math.floor(i / CELL)) === 0 ? 30 : 215);
  const size = { width: CELL, height: CELL };
  const pixels = copyOf(folder, `grey ${gamma}`, { ...size, channels: 1, data });
  const small = { width: CELL / 4, height: CELL / 4 };
  const grey = { pixels, colour: { icc, assumedSpace: null } };
  const middle = 6 * small.width + 6;
  const found = labAt(await printed(grey, size, small, recipeOf()), middle);
  expect(colourDifference(found, mixed(PAIRS[1]!, 0.25))).toBeLessThan(0.3);

  // Warmth tints it as it does the same in colours.
  const srgb = await masterIn(`grey ${gamma} c`, PROFILES.sRGB!, HATCHED);
  const warm = recipeOf({ warmth: 10, lightness: -8 });
  const tinted = labAt(await printed(grey, size, small, warm), middle);
  const [, wanted] = await cells(srgb, warm, 0.25);
  expect(tinted[2]).toBeGreaterThan(0.7);
  expect(colourDifference(tinted, wanted!)).toBeLessThan(0.3);
});

it('a picture in a profile of tables is mixed as light, too', async () => {
  const { icc } = COTTON;
  const two = [
    [8000, 9000, 12000],
    [52000, 50000, 47000],
  ];
  const size = { width: CELL, height: CELL };
  const data = new Uint16Array(CELL * CELL * 3);
  for (let i = 0; i < data.length; i += 1)
    data[i] = two[HATCHED(Math.floor(i / 3 / CELL))]![i % 3]!;
  const pixels = copyOf(folder, 'tables', { ...size, channels: 3, data });
  const small = { width: CELL / 4, height: CELL / 4 };
  const cotton = { pixels, colour: { icc, assumedSpace: null } };
  const got = labAt(await printed(cotton, size, small, recipeOf()), 6 * small.width + 6);
  // What either colour is, by Little CMS.
  const romm = new Uint16Array(6);
  const options = { ...EXACT, blackPoint: true };
  const cms = await createTransform(icc, PROFILES.ROMM!, { from: 3, to: 3 }, options);
  cms.convert(Uint16Array.from(two.flat()), romm, 2);
  cms.close();
  const [dark, bright] = [xyzAt(romm, 0), xyzAt(romm, 1)];
  const wanted = dark.map((v, i) => 0.25 * v + 0.75 * bright[i as 0]) as Vector;
  expect(colourDifference(got, labOf(wanted))).toBeLessThan(0.3);
});
