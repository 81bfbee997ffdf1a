import fc from 'fast-check';
import {
  OPEN_DOOR,
  RGB_SPACES,
  carrierDoor,
  doorOf,
  iccProfile,
  readMatrixProfile,
} from '../colour';
import { chain, wholeOf } from '../image';
import type { Box } from '../image';
import { fitToSheet, plainLayout } from '../size';
import { mm, pixelsFor, size } from '../units';
import {
  DEFAULT_NAME,
  PatchMaker,
  doubledNames,
  FORMATS,
  fileName,
  formatOfName,
  movedStep,
  namePatternProblem,
  outOfLimits,
  packPatch,
  patchSource,
  plainRecipe,
  printPlan,
  recipeCautions,
  recipeRows,
  screenPlan,
  slug,
  stepIn,
  suggestedOutput,
  suggestedRadius,
  unpackPatch,
  verifyPrintFile,
  whiteParts,
  withStep,
} from '.';
import type { PrintFileFacts, Recipe } from '.';

it('rounds each edge once, so that margins and picture fill the sheet', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 120, max: 1400 }),
      fc.integer({ min: 120, max: 1400 }),
      fc.integer({ min: 0, max: 50 }),
      fc.integer({ min: 72, max: 720 }),
      (w, h, border, ppi) => {
        const fit = fitToSheet(size(w, h), 0.75, plainLayout('within', mm(border)));
        const plan = printPlan({ width: 3000, height: 4000 }, fit, ppi);
        expect(plan.width).toBe(pixelsFor(mm(w), ppi));
        expect(plan.image.left * 2 + plan.image.width).toBe(plan.width);
        expect(plan.image.top + plan.image.height).toBeLessThanOrEqual(plan.height);
        // The white parts and the picture cover the sheet, and nothing twice.
        const area = [...whiteParts(plan), plan.image].reduce(
          (t, r) => t + r.width * r.height,
          0,
        );
        expect(area).toBe(plan.width * plan.height);
      },
    ),
  );
});

it('300 ppi over 50 x 70 cm is 5906 x 8268 px', () => {
  const plan = printPlan(
    { width: 8268, height: 11024 },
    fitToSheet(size(500, 700), 0.75, plainLayout('fill', mm(0))),
    300,
  );
  expect([plan.width, plan.height]).toEqual([5906, 8268]);
  expect(plan.source.height).toBe(11024);
  expect(plan.factor).toBeCloseTo(5906 / plan.source.width);
});

it('trim marks lie at the corners of what is trimmed to, clear of the paper', () => {
  const layout = { ...plainLayout('fill', mm(0)), bleed: mm(3) };
  const fit = fitToSheet(size(200, 300), 2 / 3, layout);
  const plan = printPlan({ width: 2000, height: 3000 }, fit, 254, true);
  const bare = printPlan({ width: 2000, height: 3000 }, fit, 254);
  // 10 px to the mm: 8 mm around, 3 mm of bleed.
  expect([plan.width, plan.height]).toEqual([bare.width + 160, bare.height + 160]);
  expect(plan.marks).toHaveLength(8);
  const trim = { left: 110, top: 110, right: plan.width - 110, bottom: plan.height - 110 };
  for (const mark of plan.marks!) {
    const lying = mark.width > mark.height;
    const [at, ends] = lying
      ? [mark.top + mark.height / 2, [trim.top, trim.bottom]]
      : [mark.left + mark.width / 2, [trim.left, trim.right]];
    expect(Math.min(...ends.map((end) => Math.abs(end - at)))).toBeLessThanOrEqual(1.5);
    const clear = lying
      ? mark.left + mark.width <= 70 || mark.left >= plan.width - 70
      : mark.top + mark.height <= 70 || mark.top >= plan.height - 70;
    expect(clear).toBe(true);
  }
  for (const part of whiteParts(plan))
    for (const mark of plan.marks!)
      expect(
        mark.left < part.left + part.width &&
          part.left < mark.left + mark.width &&
          mark.top < part.top + part.height &&
          part.top < mark.top + mark.height,
      ).toBe(false);
});

it('a screen copy has the longest side that was asked for, and no border', () => {
  const plan = screenPlan(
    { width: 4000, height: 3000 },
    { left: 0, top: 0.1, width: 1, height: 0.8 },
    1600,
  );
  expect(plan).toMatchObject({
    width: 1600,
    height: 960,
    source: { top: 300, height: 2400 },
    factor: 0.4,
  });
});

describe('names', () => {
  const values = {
    size: '50 × 70 cm',
    title: 'Salt Pans, Low Sun',
    artist: 'Senna Quillfeather',
    ppi: 300,
    version: 2,
    space: 'A98 RGB (1998)',
    recipe: 'Cotton, large',
    date: '2026-11-25',
  };

  it.each(FORMATS)('tell that a file is a %s', (format) => {
    expect(formatOfName(fileName(DEFAULT_NAME, format, values))).toBe(format);
  });

  it('begin with the size and hold nothing a system would choke on', () => {
    expect(fileName(DEFAULT_NAME, 'tiff', values)).toBe(
      '50x70cm_salt-pans-low-sun_300ppi_v2.tif',
    );
    expect(fileName('{size}_{artist}_{space}_{recipe}_{date}', 'jpeg', values)).toBe(
      '50x70cm_senna-quillfeather_a98-rgb-1998_cotton-large_2026-11-25.jpg',
    );
    expect(slug('../../etc/passwd')).toBe('etc-passwd');
    expect(slug('🌊🌊')).toBe('untitled');
    expect(slug('Fjærvær Ünder')).toMatch(/^[a-z0-9-]+$/);
  });

  it.each([
    ['', { code: 'empty' }],
    ['{title}_{size}', { code: 'sizeFirst' }],
    ['{size}/{title}', { code: 'forbidden', character: '/' }],
    ['{size}_a:b', { code: 'forbidden', character: ':' }],
    ['{size} {title}', { code: 'forbidden', character: ' ' }],
    ['{size}_{title', { code: 'forbidden', character: '{' }],
    ['{size}_é', { code: 'forbidden', character: 'é' }],
    ['{size}_{colour}', { code: 'unknownPart', part: 'colour' }],
    [`{size}${'a'.repeat(130)}`, { code: 'tooLong' }],
    [DEFAULT_NAME, null],
  ])('%s: %j', (pattern, problem) => expect(namePatternProblem(pattern)).toEqual(problem));

  it('tells names that occur twice, whatever their case', () => {
    expect(doubledNames(['a.tif', 'b.tif', 'A.tif'])).toEqual(['A.tif']);
    expect(doubledNames(['a.tif', 'b.tif'])).toEqual([]);
  });
});

describe('suggestions', () => {
  it('a radius that grows with the viewing distance, within bounds', () => {
    expect(suggestedRadius(300, 300)).toBe(0.6);
    expect(suggestedRadius(300, 900)).toBe(1.5);
    expect(suggestedRadius(300, 3000)).toBe(2);
  });

  it('more strength the more it is enlarged, and why', () => {
    expect(suggestedOutput(300, 900, 0.8)).toMatchObject({
      amount: 60,
      radius: 1.5,
      threshold: 2,
    });
    expect(suggestedOutput(300, 900, 1.5)).toMatchObject({ amount: 80, threshold: 4 });
    expect(suggestedOutput(300, 900, 9).amount).toBe(120);
    expect(suggestedOutput(300, 873.25, 1).because.pixelsPerMinute).toBe(3);
  });
});

describe('recipes', () => {
  const recipe = plainRecipe(300, 1);

  it('steps move, and stay when there is no place', () => {
    const kinds = (r: Recipe) => r.steps.map((s) => s.kind);
    expect(kinds(movedStep(recipe, 0, 1))).toEqual([
      'adjust',
      'capture',
      'balance',
      'resample',
      'output',
    ]);
    expect(movedStep(recipe, 0, -1)).toBe(recipe);
    expect(movedStep(recipe, 4, 1)).toBe(recipe);
    expect(recipe.steps[0]!.kind).toBe('capture');
  });

  it('numbers that cannot be worked with are named', () => {
    const output = stepIn(recipe, 'output')!;
    for (const radius of [0, 1000, NaN])
      expect(outOfLimits(withStep(recipe, 4, { ...output, radius }))).toEqual([
        { step: 4, field: 'radius', value: radius, limits: [0.3, 10] },
      ]);
    expect(outOfLimits(recipe)).toEqual([]);
    expect(outOfLimits({ ...recipe, file: { ...recipe.file, quality: 0 } })).toMatchObject([
      { step: null, field: 'quality' },
    ]);
  });

  it('says what one seldom wants', () => {
    expect(recipeCautions(recipe)).toEqual([]);
    expect(recipeCautions(movedStep(recipe, 4, -1))).toEqual(['sharpenedBeforeSize']);
    const output = stepIn(recipe, 'output')!;
    expect(recipeCautions(withStep(recipe, 4, { ...output, on: false }))).toEqual([
      'notSharpened',
    ]);
    expect(
      recipeCautions(withStep(recipe, 4, { ...output, amount: 200, radius: 3 })),
    ).toEqual(['halos']);
    expect(
      recipeCautions({
        ...recipe,
        convert: { target: 'prophoto-rgb', intent: 'absolute', blackPoint: true },
        file: { ...recipe.file, format: 'jpeg' },
      }),
    ).toEqual(['lossyFile', 'fewBitsForWideSpace', 'absoluteIntent']);
  });
});

const { 'a98-rgb': A98 } = RGB_SPACES;
const A98_DOOR = doorOf(readMatrixProfile(iccProfile(A98))!);

describe.each([1, 2] as const)('a patch by rule %d', (rule) => {
  const door = rule === 2 ? A98_DOOR : null;
  const shape = { width: 300, height: 240, channels: 3 };
  const samples = new Uint16Array(shape.width * shape.height * 3);
  for (let i = 0; i < samples.length; i += 1)
    samples[i] = (i * 7919 + (i >> 5) * 104729) & 65535;
  const plan = {
    image: { left: 0, top: 0, width: 390, height: 300 },
    source: { left: 3.5, top: 2.2, width: 290, height: 230 },
  };
  const recipe = { ...plainRecipe(300, 1.3), rule };
  recipe.steps[0] = {
    kind: 'capture',
    on: true,
    amount: 80,
    radius: 0.8,
    threshold: 1,
    noise: 30,
    grain: 8,
  };
  recipe.steps[1] = {
    kind: 'adjust',
    on: true,
    lightness: 10,
    contrast: 5,
    warmth: 3,
    saturation: -8,
  };

  /** The same out of the whole picture at once. */
  function whole(of: Recipe, box: Box): number[] {
    const steps = recipeRows(of, shape, plan, door).map((s) => s.rows);
    const out: number[] = [];
    const { fed, take } = chain(steps, box, (row) => out.push(...row));
    for (let y = fed.top; y < fed.bottom; y += 1) {
      const row = samples.subarray((y * 300 + fed.left) * 3, (y * 300 + fed.right) * 3);
      take(Float32Array.from(row));
    }
    return out;
  }

  function patch(maker: PatchMaker, of: Recipe): number[] {
    const out: number[] = [];
    maker.make(of, (row) => out.push(...row));
    return out;
  }

  it('is what the print file has there, whatever is changed in which order', () => {
    const box = { left: 120, top: 90, right: 180, bottom: 140 };
    const part = patchSource(recipe, shape, plan, box);
    const wide = part.right - part.left;
    const cut = new Uint16Array(wide * (part.bottom - part.top) * 3);
    for (let y = part.top; y < part.bottom; y += 1)
      cut.set(
        samples.subarray((y * 300 + part.left) * 3, (y * 300 + part.right) * 3),
        (y - part.top) * wide * 3,
      );
    const maker = new PatchMaker({ box: part, samples: cut }, shape, plan, box, door);
    const output = stepIn(recipe, 'output')!;
    const tried = [
      recipe,
      withStep(recipe, 4, { ...output, radius: 6, amount: 200 }),
      withStep(recipe, 4, { ...output, radius: 0.4 }),
      withStep(recipe, 0, { ...stepIn(recipe, 'capture')!, radius: 10 }),
      movedStep(recipe, 1, 1),
      withStep(recipe, 0, { ...stepIn(recipe, 'capture')!, on: false }),
      recipe,
    ];
    for (const now of tried) expect(patch(maker, now)).toEqual(whole(now, box));
  });

  it('makes nothing before the number that moves again', () => {
    const box = { left: 120, top: 90, right: 180, bottom: 140 };
    const cut = Uint16Array.from(samples);
    const source = { box: wholeOf(shape), samples: cut };
    const maker = new PatchMaker(source, shape, plan, box, door);
    const output = stepIn(recipe, 'output')!;
    const by = (amount: number) => withStep(recipe, 4, { ...output, amount, radius: 1 });
    patch(maker, by(50));
    patch(maker, by(60));
    cut.fill(0);
    expect(patch(maker, by(70))).toEqual(whole(by(70), box));
    // What comes before it is made out of the picture, which is black by now.
    const other = withStep(by(70), 0, { ...stepIn(recipe, 'capture')!, amount: 10 });
    expect(Math.max(...patch(maker, other))).toBe(0);
  });

  it('has kept what comes before a step when its number is first moved', () => {
    const box = { left: 120, top: 90, right: 180, bottom: 140 };
    const cut = Uint16Array.from(samples);
    const maker = new PatchMaker(
      { box: wholeOf(shape), samples: cut },
      shape,
      plan,
      box,
      door,
    );
    const moved = withStep(recipe, 1, { ...stepIn(recipe, 'adjust')!, lightness: 40 });
    patch(maker, recipe);
    maker.ready(recipe, 1);
    cut.fill(0);
    expect(patch(maker, moved)).toEqual(whole(moved, box));
  });

  it('reaches the corners of the picture', () => {
    const box = wholeOf({ width: 40, height: 30 });
    const maker = new PatchMaker({ box: wholeOf(shape), samples }, shape, plan, box, door);
    expect(patch(maker, recipe)).toEqual(whole(recipe, box));
  });
});

it('finds each way in which a file is not what was ordered', () => {
  const wanted = {
    width: 10,
    height: 20,
    ppi: 300,
    profile: 'sRGB',
    channels: 3,
    bits: 8,
    format: 'tiff',
    title: 'Slack Water',
  };
  const good: PrintFileFacts = {
    width: 10,
    height: 20,
    ppi: 300.01,
    iccDescription: 'sRGB',
    bitsPerChannel: 8,
    channels: 3,
    format: 'tiff',
    range: [3, 250],
    borderInk: 0,
    thumbnail: 1.2,
    title: 'Slack Water',
  };
  const failed = (over: Partial<PrintFileFacts>) =>
    verifyPrintFile(wanted, { ...good, ...over })
      .filter((c) => !c.passed)
      .map((c) => c.check);
  expect(failed({})).toEqual([]);
  expect(failed({ width: 11, range: [7, 7], borderInk: 1 })).toEqual([
    'pixels',
    'picture',
    'border',
  ]);
  expect(failed({ bitsPerChannel: 16, iccDescription: 'Display P3' })).toEqual([
    'profile',
    'bits',
  ]);
  expect(failed({ ppi: 72, format: 'png', thumbnail: 40, title: null })).toEqual([
    'ppi',
    'format',
    'thumbnail',
    'title',
  ]);
});

it('samples of a patch and their door are unpacked as they were packed', () => {
  const samples = Uint16Array.from([1, 2, 65535, 4, 5, 6]);
  const light = Float32Array.from([-3.5, 0, 70000.25]);
  const three = doorOf(
    readMatrixProfile(iccProfile({ ...RGB_SPACES['display-p3'], curve: { g: 1.8 } }))!,
  );
  for (const sent of [
    { samples, door: null },
    { samples, door: A98_DOOR },
    { samples, door: three },
    { samples, door: carrierDoor() },
    { samples: light, door: OPEN_DOOR },
  ])
    expect(unpackPatch(packPatch(sent).buffer)).toEqual(sent);
});
