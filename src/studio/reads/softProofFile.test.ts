import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { paperProfile } from '../../../demo/profiles/profiles';
import { startRealWorkers } from '../../../e2e/support/inProcess';
import { samplesBy, writeSamples } from '../../../e2e/support/master';
import { RGB_SPACES, iccProfile } from '@/core/colour';
import { readMaster } from '@/engine';
import { proofedInMaster } from '@/engine/colour/proofChain';
import { openPicture, sharp } from '@/engine/sharpSetup';
import { printTargetOf, softProofFile } from './softProofFile';

const folder = mkdtempSync(join(tmpdir(), 'softproof-'));
afterAll(() => rmSync(folder, { recursive: true }));
const at = (name: string) => join(folder, name);
const { signal } = new AbortController();
const silent = () => undefined;

const [WIDTH, HEIGHT] = [60, 40];
const picture = samplesBy(WIDTH, HEIGHT, (x, y, c) =>
  Math.min(65_535, [x * 1000, y * 1500, (x + y) * 600][c]!),
);

beforeAll(async () => {
  startRealWorkers();
  await writeSamples(at('in.tif'), picture, 'a98-rgb');
  writeFileSync(at('paper.icc'), paperProfile('Slackwater Cotton').icc);
});

it('says what each intent costs, and writes the proofed picture in the master’s space', async () => {
  const profile = await printTargetOf(at('paper.icc'));
  const asked = {
    profile,
    intent: 'perceptual',
    blackPoint: true,
    out: at('out.tif'),
  } as const;
  const before = readFileSync(at('in.tif'));
  const report = await softProofFile(at('in.tif'), asked, silent, signal);
  expect(readFileSync(at('in.tif'))).toEqual(before);
  expect(Object.keys(report.intents)).toEqual(['relative', 'perceptual', 'absolute']);
  expect(report.pixels).toBe(WIDTH * HEIGHT);
  for (const cost of Object.values(report.intents)) {
    expect(cost.beyond1).toBeGreaterThanOrEqual(cost.beyond2);
    expect(cost.beyond2).toBeGreaterThanOrEqual(cost.beyond5);
    expect(cost.max).toBeGreaterThanOrEqual(cost.p95);
    expect(cost.mergedPairs).toBeGreaterThan(0);
  }
  expect(report.intents.absolute.bpc).toBe(false);
  expect(report.because).toContain('ΔE00');
  expect(report.assumed).toBeNull();

  const { icc, facts } = await readMaster(at('out.tif'), 1);
  expect(facts).toMatchObject({
    width: WIDTH,
    height: HEIGHT,
    bitsPerChannel: 16,
    ppiTag: 300,
  });
  expect(Buffer.from(icc!)).toEqual(Buffer.from(iccProfile(RGB_SPACES['a98-rgb'])));
  const raw = await openPicture(at('out.tif'))
    .toColourspace('rgb16')
    .keepIccProfile()
    .raw({ depth: 'ushort' })
    .toBuffer();
  const written = new Uint16Array(raw.buffer, raw.byteOffset, raw.length / 2);
  const way = await proofedInMaster({ icc, assumedSpace: null }, 3, asked);
  way
    .exact(picture.data, WIDTH * HEIGHT)
    .forEach((v, i) => expect(Math.abs(v - written[i]!)).toBeLessThan(700));
  way.close();
}, 60_000);

it.each([
  ['nowhere', 'gone.icc', /no such file/],
  ['a picture', 'in.tif', /no ICC profile/],
])('says in a sentence that %s is no profile', async (_, name, words) =>
  expect(printTargetOf(at(name))).rejects.toThrow(words),
);

it('says what a profile of another class is, and where one breaks off', async () => {
  const { icc } = paperProfile('Slackwater Cotton');
  const scanner = icc.slice();
  scanner.set(
    [...'scnr'].map((c) => c.charCodeAt(0)),
    12,
  );
  writeFileSync(at('scanner.icc'), scanner);
  writeFileSync(at('half.icc'), icc.subarray(0, icc.length / 2));
  await expect(printTargetOf(at('scanner.icc'))).rejects.toThrow(/scanner or camera/);
  await expect(printTargetOf(at('half.icc'))).rejects.toThrow(/breaks off/);
});

it('leaves nothing half-made, and what was there as it was', async () => {
  const profile = await printTargetOf(at('paper.icc'));
  const by = { profile, intent: 'relative', blackPoint: true } as const;
  writeFileSync(at('broken.tif'), readFileSync(at('in.tif')).subarray(0, 9000));
  const broken = softProofFile(
    at('broken.tif'),
    { ...by, out: at('none.tif') },
    silent,
    signal,
  );
  await expect(broken).rejects.toThrow();
  expect(existsSync(at('none.tif'))).toBe(false);
  writeFileSync(at('mine.tif'), 'mine');
  const over = softProofFile(at('in.tif'), { ...by, out: at('mine.tif') }, silent, signal);
  await expect(over).rejects.toThrow(/EEXIST/);
  expect(readFileSync(at('mine.tif'), 'utf8')).toBe('mine');
});

it('proofs a grey picture in its own grey, and an untagged one as sRGB, which it says', async () => {
  const profile = await printTargetOf(at('paper.icc'));
  const by = { profile, intent: 'relative', blackPoint: true } as const;
  const ramp = Buffer.from(Array.from({ length: 64 * 16 }, (_, i) => (i % 64) * 4));
  await sharp(ramp, { raw: { width: 64, height: 16, channels: 1 } })
    .png()
    .toFile(at('grey.png'));
  const report = await softProofFile(
    at('grey.png'),
    { ...by, out: at('grey.tif') },
    silent,
    signal,
  );
  expect(report.assumed).toBe('srgb');
  expect(report.pixels).toBe(64 * 16);
  expect(report.intents.relative.mean).toBeLessThan(3);
  expect((await readMaster(at('grey.tif'), 1)).facts).toMatchObject({
    width: 64,
    height: 16,
  });
});
