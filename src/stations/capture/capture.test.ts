import type { MasterCaution } from '@/core/capture';
import type { MasterReading } from '@/core/capture/reading';
import { CAPTURE_RULES, planCapture } from '@/core/capture/plan';
import type { Device } from '@/core/capture/plan';
import {
  formatDistance,
  formatLength,
  formatNumber,
  formatSize,
  ppi,
  size,
} from '@/core/units';
import type { Format } from '@/shell/figures';
import { planWords, verdictWord } from './planWords';
import { sheetOf } from './sheetNames';
import { mendedSince } from './versions';
import { stopsOf } from './walk';
import {
  boardRuleWords,
  cautionWords,
  detailWords,
  evennessWords,
  squaredWords,
} from './words';

const format = {
  length: (v: number) => formatLength(v as never, 'metric', 'en-GB'),
  distance: (v: number) => formatDistance(v as never, 'metric', 'en-GB'),
  size: (v: never) => formatSize(v, 'metric', 'en-GB'),
  number: (v: number, digits = 0) => formatNumber(v, digits, 'en-GB'),
  percent: (v: number, digits = 0) => `${formatNumber(v * 100, digits, 'en-GB')} %`,
} as unknown as Format;
const plain = (text: string) => text.replace(/[\u202f\u00a0]/g, ' ');

it.each([
  [
    { code: 'enlarged', fraction: 0.5, confidence: 0.9 },
    'detail',
    /50 %.*enlarged 2\.00 times/,
  ],
  [{ code: 'specks', count: 1 }, 'specks', /^1 speck to look at/],
  [{ code: 'specks', count: 7 }, 'specks', /^7 specks to look at/],
  [{ code: 'lookYourself', tiles: 2 }, 'specks', /^2 tiles to look at yourself/],
  [
    { code: 'clipped', end: 'high', channel: 0, share: 0.031 },
    'tone',
    /^3\.1 % of red burnt out/,
  ],
  [
    { code: 'clipped', end: 'low', channel: 2, share: 0.005 },
    'tone',
    /^0\.50 % of blue blocked up/,
  ],
  [{ code: 'unusedRange', black: 0.2, white: 0.8 }, 'tone', /lightest tone is at 80 %/],
  [{ code: 'noisy', noise: 3.26 }, 'tone', /Noise of 3\.3 in 255/],
  [{ code: 'askew', degrees: -0.7 }, 'edges', /Askew by 0\.70°.*counter-clockwise/],
  [{ code: 'bedEdges', sides: 2 }, 'edges', /along 2 sides/],
  [{ code: 'keystone', degrees: 0.5 }, 'edges', /Keystone of 0\.50°/],
  [
    { code: 'uneven', stops: 0.4, corner: 'bottomLeft' },
    'light',
    /0\.40 stops.*bottom left/,
  ],
  [{ code: 'strangeProfile', remark: 'output' }, 'master', /describes a printer/],
  [{ code: 'ppiNonsense', tag: 1 }, 'master', /nonsense/],
  [{ code: 'shallow' }, 'tone', /16 bits, of which 8 are used/],
  [{ code: 'narrowProfile', share: 0.02 }, 'tone', /too narrow.*2\.0 %/],
  [{ code: 'signatureUnknown' }, 'master', /Signature not noted/],
] as [MasterCaution, string, RegExp][])(
  '%j is said, and where to look',
  (caution, sheet, said) => {
    const words = cautionWords(caution, format, 3);
    expect(words.sheet).toBe(sheet);
    expect(plain(`${words.head} ${words.meaning}`)).toMatch(said);
  },
);

it('says what was measured of detail, or why it cannot be told', () => {
  const detail = { fraction: 0.5, confidence: 0.9, because: 'period' as const, curve: [] };
  expect(plain(detailWords(detail, format))).toMatch(/Enlarged 2\.00 times.*90 % sure/);
  expect(detailWords({ ...detail, fraction: null, because: 'noise' }, format)).toMatch(
    /^Cannot tell: noise/,
  );
});

it('says how far the proportions of a squared-up crop can be off', () => {
  expect(squaredWords(0, format)).toBeNull();
  expect(plain(squaredWords(0.4, format)!)).toMatch(
    /by that tilt, 0\.4 % at 5°, 1\.0 % at 8°\./,
  );
});

it('says by which rule a board was read, and how much it changed', () => {
  const said = (outdated: boolean, before: number | null) =>
    boardRuleWords({ outdated, before }, 1.05, format);
  expect(said(false, null)).toBeNull();
  expect(said(true, null)).toMatch(
    /earlier rule.*It stays as it was; bring the photograph/,
  );
  expect(plain(said(false, 0.85)!)).toMatch(
    /it was 0\.85 stops, by the one of now 1\.05 stops/,
  );
  expect(plain(said(false, 1.052)!)).toBe('By the earlier rule it was 1.05 stops, too.');
});

it('says which light to move', () => {
  const evenness = {
    falloff: 0.6,
    shape: 'tilted' as const,
    darkSide: 'left' as const,
    worst: { corner: 'bottomLeft' as const, stops: -0.4 },
  };
  expect(evennessWords(evenness as never, format)).toBe(
    'Bottom left 0.40 stop under the centre: bring the left light nearer, or flag the other.',
  );
  expect(
    evennessWords({ ...evenness, shape: 'hollow', darkSide: null } as never, format),
  ).toMatch(/move both lights farther away/);
});

it('says how a device meets the wish', () => {
  const bed: Device = {
    kind: 'flatbed',
    name: 'bed',
    bed: size(216, 297),
    nominalPpi: ppi(1200),
    measuredPpi: null,
  };
  const plan = (w: number, h: number, times = 1) =>
    planCapture(size(w, h), size(w * times, h * times), bed, CAPTURE_RULES);
  expect(plain(planWords(plan(200, 280), format))).toMatch(/^In one scan: 300 ppi/);
  expect(plain(planWords(plan(400, 280), format))).toMatch(/^In 2 tiles, 2 × 1/);
  expect(verdictWord(plan(400, 280))).toBe('2 pieces');
  expect(plain(planWords(plan(30, 40, 5), format))).toMatch(
    /^Falls short: 1500 ppi are needed, it resolves 1200 ppi/,
  );
});

it('opens the sheet asked for, and the master otherwise', () => {
  expect(sheetOf('tone', true)).toBe('tone');
  expect(sheetOf('nonsense', true)).toBe('master');
  expect(sheetOf('tone', false)).toBe('master');
  expect(sheetOf('plan', false)).toBe('plan');
});

const speck = (x: number, y: number, confidence = 0.9) => ({
  x,
  y,
  diameter: 4,
  length: 5,
  contrast: 20,
  confidence,
});

it('walks the specks to and fro, and the busy tiles after them', () => {
  const found = [
    speck(10, 900),
    speck(900, 10),
    speck(20, 20),
    speck(800, 800),
    speck(1, 1, 0.3),
  ];
  const busy = [{ left: 0, top: 0, width: 512, height: 512 }];
  const stops = stopsOf({ found, more: 0, busy }, 0.5, 1000);
  expect(stops.map((s) => [s.x, s.y])).toEqual([
    [20, 20],
    [900, 10],
    [800, 800],
    [10, 900],
    [256, 256],
  ]);
  expect(stops.filter((s) => s.kind === 'speck').map((s) => s.index)).toEqual([2, 1, 3, 0]);
});

it('counts what was mended since the version before', () => {
  const version = (width: number, found: ReturnType<typeof speck>[]) =>
    ({ width, height: width / 2, specks: { found } }) as unknown as MasterReading;
  const before = version(1000, [speck(100, 100), speck(500, 300), speck(700, 200, 0.3)]);
  expect(mendedSince(before, version(1000, [speck(103, 99)]))).toBe(1);
  expect(mendedSince(before, version(2000, [speck(200, 201), speck(1001, 600)]))).toBe(0);
  expect(mendedSince(before, { ...version(1000, []), height: 900 })).toBeNull();
  expect(mendedSince(undefined, before)).toBeNull();
});
