import {
  outOfLimits,
  plainRecipe,
  routeProblems,
  stepIn,
  routeKind,
  withStep,
} from '@/core/prepare';
import type { Check, NameProblem, RecipeStep, RoutedFile } from '@/core/prepare';
import type { LabReason } from '@/standins';
import { reasonWords, routeProblemWords } from './handOverWords';
import { proofProblemWords } from './proofWish';
import { pointWords, proposalFigure } from './sheetWords';
import { checkWords, limitWords, nameProblemWords, ruleWords, stepSummary } from './words';

const usual = plainRecipe(300, 1.2);

it.each<[Partial<Check>, string]>([
  [{ check: 'pixels', found: '10 × 20', passed: true }, '✓ 10 × 20'],
  [{ check: 'ppi', wanted: '300', found: '72', passed: false }, '▲ wanted 300, found 72'],
  [{ check: 'border', wanted: '0', found: '0', passed: true }, '✓ white'],
  [
    { check: 'border', wanted: '0', found: '7', passed: false },
    '▲ wanted 0, found 7 of 255 ink',
  ],
  [{ check: 'thumbnail', found: '0.7', passed: true }, '✓ off by 0.7 of 255'],
  [{ check: 'checksum', found: 'ab'.repeat(32), passed: true }, '✓ abababababab…'],
])('a check says what was found, and what was wanted: %j', (check, said) => {
  expect(checkWords({ wanted: '', ...check } as Check)).toBe(said);
});

it.each<[Partial<RecipeStep> & { kind: RecipeStep['kind'] }, string]>([
  [{ kind: 'capture', on: false }, 'left out'],
  [{ kind: 'capture', amount: 40, radius: 0.8, noise: 20 }, '40 %, 0.8 px, noise 20 %'],
  [{ kind: 'capture', amount: 0, noise: 20 }, 'noise 20 %'],
  [{ kind: 'capture', amount: 0, noise: 0 }, 'nothing'],
  [{ kind: 'adjust', lightness: 4, warmth: -3 }, 'lightness +4, 1 more'],
  [{ kind: 'adjust', contrast: 9, warmth: -3, saturation: 2 }, 'contrast +9, 2 more'],
  [{ kind: 'adjust' }, 'nothing'],
  [{ kind: 'resample', kernel: 'mitchell', ppi: 360 }, 'Mitchell, 360 ppi'],
  [{ kind: 'output', amount: 65, radius: 2, threshold: 2 }, '65 %, 2 px, 2'],
])('a step in a few figures: %j', (over, said) => {
  const step = stepIn(
    { ...usual, steps: usual.steps.map((s) => ({ ...s, on: true })) },
    over.kind,
  );
  expect(stepSummary({ ...step, ...over } as RecipeStep)).toBe(said);
});

it('a number that cannot be worked with is named with its step, its unit and its limits', () => {
  const output = stepIn(usual, 'output')!;
  const said = (over: Partial<typeof output>) => {
    const recipe = withStep(usual, 4, { ...output, ...over });
    return limitWords(outOfLimits(recipe)[0]!, recipe);
  };
  expect(said({ radius: 0 })).toBe(
    'Sharpen for the print, radius: 0 px cannot be worked with. It must be 0.3 to 10 px.',
  );
  expect(said({ amount: 900 })).toMatch(/amount: 900 % cannot .* 0 to 500 %\.$/);
  expect(said({ threshold: NaN })).toMatch(/threshold: what was typed cannot/);
  const file = { ...usual, file: { ...usual.file, quality: 0 } };
  expect(limitWords(outOfLimits(file)[0]!, file)).toMatch(/^The file, quality: 0 cannot/);
});

it.each<[NameProblem, RegExp]>([
  [{ code: 'empty' }, /is empty\. Begin it with \{size\}/],
  [{ code: 'sizeFirst' }, /must begin with \{size\}/],
  [{ code: 'tooLong' }, /under 120 characters/],
  [{ code: 'forbidden', character: ':' }, /“:” is refused by some systems/],
  [
    { code: 'unknownPart', part: 'colour' },
    /\{colour\} means nothing.*\{size\}.*\{title\}/,
  ],
])('a name that cannot be used: %j', (problem, said) => {
  expect(nameProblemWords(problem)).toMatch(said);
});

it.each<[LabReason, string]>([
  [{ code: 'missing' }, 'it is not in the folder: hand it over again'],
  [
    { code: 'checksum' },
    'its checksum is another: it was damaged on the way, hand it over again',
  ],
  [{ code: 'unreadable' }, 'it cannot be opened'],
  [{ code: 'name' }, 'its name does not begin with the size'],
  [{ code: 'pixels', wanted: '5 × 6', found: '5 × 7' }, '5 × 7 px instead of 5 × 6'],
  [
    { code: 'ppi', wanted: 200, found: 72 },
    '72 ppi, and 200 are asked for at this size: write it with more',
  ],
  [
    { code: 'profile', wanted: 'sRGB', found: 'ROMM RGB' },
    'sRGB is asked for, and there is ROMM RGB',
  ],
  [{ code: 'bits', wanted: 8, found: 16 }, '16 bits, and 8 are asked for'],
  [
    { code: 'size', wanted: '300 × 400 mm', found: '299 × 400 mm' },
    '299 × 400 mm, and it should be 300 × 400 mm',
  ],
] as [LabReason, string][])('what a lab refuses has its figures: %j', (reason, said) => {
  expect(reasonWords(reason)).toBe(said);
});

describe('in what a file is not what who prints asks', () => {
  const file: RoutedFile = {
    ppi: 300,
    target: 'a98-rgb',
    bits: 8,
    format: 'tiff',
    compression: 'none',
    failed: 0,
  };
  const names: Record<string, string> = { 'a98-rgb': 'A98 RGB', srgb: 'sRGB' };
  const said = (over: Partial<RoutedFile>, wants = routeKind('onlineLab').usual) =>
    routeProblems({ ...file, ...over }, wants).map((p) =>
      routeProblemWords(p, (t) => names[t] ?? t),
    );

  it.each<[Partial<RoutedFile>, string[]]>([
    [{}, []],
    [{ ppi: 200 }, []],
    [{ ppi: 199 }, ['199 ppi, at least 200 asked']],
    [{ target: 'srgb' }, ['sRGB, A98 RGB asked']],
    [{ bits: 16 }, ['16 bits, 8 asked']],
    [{ format: 'jpeg' }, ['JPEG, TIFF asked']],
    [{ failed: 2 }, ['2 checks not passed']],
    [
      { failed: 1, ppi: 72, bits: 16 },
      ['1 check not passed', '72 ppi, at least 200 asked', '16 bits, 8 asked'],
    ],
  ])('%j', (over, words) => {
    expect(said(over)).toEqual(words);
  });

  it('a file in ink is what they ask where they named the press', () => {
    const press = 'icc:0123' as RoutedFile['target'];
    expect(said({ target: press })).toHaveLength(1);
    expect(said({ target: press }, { ...routeKind('onlineLab').usual, press })).toEqual([]);
  });
});

it('a proof that cannot be laid out says which piece, of which size', () => {
  const places = [
    { x: 0, y: 0, tests: 'byHand' as const },
    { x: 1, y: 1, tests: 'gradient' as const },
  ];
  expect(proofProblemWords({ code: 'outside', place: 1, sizeLabel: 'A2' }, places)).toBe(
    'Piece 2 (smoothest gradient) lies outside the picture as A2 is cropped now. Move it, or take it off.',
  );
  expect(proofProblemWords({ code: 'nothing' }, [])).toMatch(/at least one piece/);
  expect(proofProblemWords({ code: 'noRoom' }, places)).toMatch(/larger sheet\.$/);
});

it('a proposal has the figure that it was chosen for, with its unit', () => {
  expect(
    (['tones', 'texture', 'edges', 'shadow', 'gradient'] as const).map((tests) =>
      proposalFigure({ tests, figure: 32.26 }),
    ),
  ).toEqual([
    'spans 32 of 100 L*',
    'neighbours differ by 32.3 L*',
    'slope 32.3 L* per pixel',
    'mean 32.3 L*',
    'rises 32 L*',
  ]);
});

it('a cell of a settings sheet is named as it is set', () => {
  expect(
    [
      pointWords('lightness', 8),
      pointWords('warmth', -8),
      pointWords('contrast', 0),
      pointWords('sharpening', 120),
      pointWords('intent', 'perceptual'),
      pointWords('media', 'heavy rag'),
    ].join('; '),
  ).toBe('lightness +8; warmth −8; contrast 0; sharpened 120 %; perceptual; heavy rag');
});

it('says how far the rule of now is from that of before, as far as it is known', () => {
  const number = (v: number, digits: number) => v.toFixed(digits);
  const found = { mean: 0.414, p95: 1.2, most: 3.456, pixels: 230400 };
  expect(ruleWords(found, number)).toMatch(
    /rule of before.* by ΔE00 0\.41 in the mean, 1\.20 in 95 of 100 pixels, 3\.46 at most \(230400 pixels/,
  );
  expect(ruleWords(null, number)).toMatch(/being measured/);
  expect(ruleWords('The profile is gone.', number)).toMatch(/cannot be said: The profile/);
});
