import { readPicture } from './reading';
import type { MasterReading } from './reading';
import { plain, withNoise } from '../../../e2e/support/pictures';
import { masterVerdict, readingCautions } from '.';
import type { Judged } from '.';

const base: MasterReading = {
  ...readPicture({ ...withNoise(plain(200, 150, 128), 1), channels: 3 }),
  detail: { fraction: 1, confidence: 0.9, because: 'sharp', curve: [] },
  specks: { found: [], more: 0, busy: [] },
  tone: {
    bins: [[1], [1], [1]],
    clipped: { low: [0, 0, 0], high: [0, 0, 0] },
    black: [0.01, 0.01, 0.01],
    white: [0.99, 0.99, 0.99],
  },
  noise: { bands: [], overall: 0.8 },
  geometry: {
    edges: {},
    skewDegrees: null,
    keystone: { across: null, down: null },
    proposal: null,
  },
  deep: true,
};
const judged = (over: Partial<MasterReading>, more: Partial<Judged> = {}): Judged => ({
  reading: { ...base, ...over },
  facts: { bitsPerChannel: 16 },
  specks: [],
  cropped: false,
  flatFielded: false,
  evenness: null,
  ...more,
});
const codes = (...given: Parameters<typeof judged>) =>
  readingCautions(judged(...given)).map((c) => c.code);

it('has nothing to say of a good capture', () => {
  expect(codes({})).toEqual([]);
  expect(masterVerdict([])).toEqual({ verdict: 'ready', because: null });
});

describe('detail', () => {
  const soft = (fraction: number | null, confidence: number) => ({
    detail: { ...base.detail, fraction, confidence },
  });
  it('is a caution when a fraction was measured with confidence', () => {
    expect(codes(soft(0.67, 0.8))).toEqual(['enlarged']);
    expect(codes(soft(0.95, 0.8))).toEqual([]);
    expect(codes(soft(0.67, 0.4))).toEqual([]);
    expect(codes(soft(null, 0))).toEqual([]);
  });
  it('is a reason to capture again when most of it is not there', () => {
    const cautions = readingCautions(judged(soft(0.33, 0.9)));
    expect(masterVerdict(cautions)).toMatchObject({
      verdict: 'again',
      because: { code: 'enlarged', fraction: 0.33 },
    });
    expect(masterVerdict(readingCautions(judged(soft(0.6, 0.9)))).verdict).toBe('cautions');
  });
});

describe('tone', () => {
  const tone = (over: Partial<MasterReading['tone']>) => ({
    tone: { ...base.tone, ...over },
  });
  it('names the channel and the end that is clipped', () => {
    const found = readingCautions(
      judged(tone({ clipped: { low: [0, 0, 0], high: [0.01, 0.03, 0.01] } })),
    );
    expect(found[0]).toEqual({ code: 'clipped', end: 'high', channel: 1, share: 0.03 });
    expect(found[1]!.code).toBe('narrowProfile');
  });
  it('wants it again when the lights are burnt out', () => {
    const burnt = tone({ clipped: { low: [0, 0, 0], high: [0.1, 0.1, 0.1] } });
    expect(masterVerdict(readingCautions(judged(burnt))).verdict).toBe('again');
  });
  it('tells unused range, noise, and 16 bits that are 8', () => {
    expect(codes(tone({ white: [0.8, 0.82, 0.81] }))).toEqual(['unusedRange']);
    expect(codes({ noise: { bands: [], overall: 4 } })).toEqual(['noisy']);
    expect(codes({ deep: false })).toEqual(['shallow']);
    expect(codes({ deep: false }, { facts: { bitsPerChannel: 8 } })).toEqual([]);
  });
});

it('counts the specks that are sure enough and still open', () => {
  const speck = { x: 1, y: 1, diameter: 4, length: 5, contrast: 20 };
  const found = [
    { ...speck, confidence: 0.9 },
    { ...speck, confidence: 0.8 },
    { ...speck, confidence: 0.3 },
  ];
  const tile = { left: 0, top: 0, width: 512, height: 512 };
  const specks = { found, more: 0, busy: [tile] };
  const given = readingCautions(judged({ specks }, { specks: ['mended', 'open', 'open'] }));
  expect(given).toEqual([
    { code: 'specks', count: 1 },
    { code: 'lookYourself', tiles: 1 },
  ]);
});

it('speaks of skew, or of the bed, until a crop is accepted', () => {
  const edge = { at: 3, slope: 0, degrees: 0, agreeing: 1, outside: 9 };
  const geometry = (skewDegrees: number, keystone = 0) => ({
    geometry: {
      edges: { left: { side: 'left' as const, ...edge } },
      skewDegrees,
      keystone: { across: keystone, down: null },
      proposal: [1, 2, 3, 4].map((v) => ({ x: v, y: v })) as never,
    },
  });
  expect(codes(geometry(0.8))).toEqual(['askew']);
  expect(codes(geometry(0.01))).toEqual(['bedEdges']);
  expect(codes(geometry(0.01, 0.4))).toEqual(['keystone', 'bedEdges']);
  expect(codes(geometry(0.8), { cropped: true })).toEqual([]);
});

it('speaks of uneven light until it is evened out', () => {
  const evenness = {
    falloff: 0.5,
    verdict: 'poor',
    worst: { corner: 'bottomLeft', stops: -0.4 },
  } as Judged['evenness'];
  expect(codes({}, { evenness })).toEqual(['uneven']);
  expect(codes({}, { evenness, flatFielded: true })).toEqual([]);
});
