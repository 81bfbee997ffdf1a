import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { paperProfile } from '../../../demo/profiles/profiles';
import { samplesBy, workingCopyOf } from '../../../e2e/support/master';
import { zoomLevels } from '@/core/image';
import { BEYOND, differences } from '@/core/proof';
import { sharp } from '../sharpSetup';
import { gamutReach } from '../colour/gamutReach';
import { labFrom, masterOnScreen, proofedInMaster } from '../colour/proofChain';
import { RGB_SPACES, iccProfile } from '@/core/colour';
import { proofFigures } from './proofFigures';
import { proofTile } from './proofTilePass';
import { TILE } from './pyramid';

const folder = mkdtempSync(join(tmpdir(), 'figures-'));
afterAll(() => rmSync(folder, { recursive: true }));

const [WIDTH, HEIGHT] = [700, 560];
/** Waves of colour with grain, some of them loud, one loud corner. */
const waves = (width: number, height: number) =>
  samplesBy(width, height, (x, y, c) => {
    const wave = Math.sin(x / 90 + c * 2) * 12_000 + Math.cos(y / 70 - c) * 9000;
    const loud = x > width * 0.88 && y < height * 0.11 ? [26_000, -20_000, -20_000][c]! : 0;
    const wild = Math.sin((y * width + x) * 3 + c) * 43_758.5453;
    const grain = (wild - Math.floor(wild)) * 2500;
    return Math.min(65_535, Math.max(0, 30_000 + wave + loud + grain));
  });
const profile = { ...paperProfile('Slackwater Cotton'), channels: 3 } as const;

const picture = waves(WIDTH, HEIGHT);

let made: Awaited<ReturnType<typeof workingCopyOf>>;
beforeAll(async () => {
  made = await workingCopyOf(folder, picture, 'a98-rgb');
});

const shares = (found: Float32Array) =>
  BEYOND.map((limit) => found.filter((v) => v > limit).length / found.length);

it('counts shares as a count of every pixel does, within half a point', async () => {
  const small = waves(300, 240);
  const { pixels, colour } = await workingCopyOf(
    mkdtempSync(join(folder, 'small-')),
    small,
    'a98-rgb',
  );
  const figures = await proofFigures({
    pixels,
    colour,
    profile,
    blackPoint: true,
    most: 25_000,
  });
  expect(figures.stride).toBeGreaterThan(1);
  expect(figures.pixels).toBeLessThan(25_001);
  const ruler = await labFrom(colour.icc!, 3);
  const source = ruler.lab(small.data);
  for (const intent of ['relative', 'perceptual', 'absolute'] as const) {
    const way = await proofedInMaster(colour, 3, { profile, intent, blackPoint: true });
    const proof = ruler.lab(Uint16Array.from(way.exact(small.data, 300 * 240)));
    way.close();
    const all = differences(source, proof);
    const { beyond, mean, p95, max } = figures.intents[intent].cost;
    shares(all).forEach((share, i) =>
      expect(Math.abs(share - beyond[i]!)).toBeLessThan(0.005),
    );
    const sorted = all.slice().sort();
    expect(Math.abs(mean - all.reduce((t, v) => t + v, 0) / all.length)).toBeLessThan(0.05);
    expect(Math.abs(p95 - sorted[Math.floor(all.length * 0.95)]!)).toBeLessThan(0.3);
    expect(max).toBeLessThanOrEqual(sorted.at(-1)! + 0.1);
  }
  const reach = await gamutReach(profile);
  const far = reach.distance(source);
  [ruler, reach].forEach((o) => o.close());
  shares(far).forEach((share, i) =>
    expect(Math.abs(share - figures.reach.beyond[i]!)).toBeLessThan(0.005),
  );
  // The loud corner is among the places that are shown.
  expect(figures.reach.places.some(({ x, y }) => x > 0.86 && y < 0.13)).toBe(true);
}, 60_000);

it('shows tiles of the master’s own pixels, at full size and reduced', async () => {
  const { pixels, colour } = made;
  const screen = iccProfile(RGB_SPACES.srgb);
  const levels = zoomLevels(WIDTH, HEIGHT, TILE);
  const base = {
    pixels,
    colour,
    key: 'screen',
    shows: { kind: 'master', screen },
  } as const;
  const full = await proofTile({ ...base, level: levels[0]!.level, column: 1, row: 1 });
  const raw = await sharp(full!).raw().toBuffer({ resolveWithObject: true });
  expect(raw.info).toMatchObject({
    width: WIDTH - TILE,
    height: HEIGHT - TILE,
    channels: 3,
  });
  const own = Uint16Array.from(
    [0, 1, 2].map((c) => picture.data[(TILE * WIDTH + TILE) * 3 + c]!),
  );
  const shown = await masterOnScreen(colour, 3, screen);
  shown
    .exact(own, 1)
    .forEach((v, c) => expect(Math.abs(raw.data[c]! - v / 257)).toBeLessThan(1.5));
  shown.close();
  const small = await proofTile({ ...base, level: levels[2]!.level, column: 0, row: 0 });
  const half = await sharp(small!).metadata();
  expect([half.width, half.height]).toEqual([WIDTH / 4, HEIGHT / 4]);
  expect(
    await proofTile({ ...base, level: levels[0]!.level, column: 9, row: 0 }),
  ).toBeNull();
  expect(await proofTile({ ...base, level: 99, column: 0, row: 0 })).toBeNull();
});

it('shows how far colours are out of reach in tenths', async () => {
  const { pixels, colour } = made;
  const level = zoomLevels(WIDTH, HEIGHT, TILE)[0]!.level;
  const shows = { kind: 'reach', profile } as const;
  const tile = (column: number, row: number) =>
    proofTile({ pixels, colour, key: 'reach', shows, level, column, row });
  const { data, info } = await sharp((await tile(1, 0))!)
    .raw()
    .toBuffer({ resolveWithObject: true });
  const at = (x: number, y: number) => data[(y * info.width + x) * info.channels]! / 10;
  const [ruler, reach] = [await labFrom(colour.icc!, 3), await gamutReach(profile)];
  for (const [x, y] of [
    [660, 20],
    [600, 300],
    [540, 480],
  ] as const) {
    const from = (y * WIDTH + x) * 3;
    const [wanted] = reach.distance(ruler.lab(picture.data.slice(from, from + 3)));
    expect(Math.abs(at(x - TILE, y) - wanted!)).toBeLessThan(0.4);
  }
  [ruler, reach].forEach((o) => o.close());
}, 30_000);
