import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { COTTON, OFFSET } from '../../../demo/profiles/profiles';
import { copyOf, printed } from '../../../e2e/support/working';
import { RGB_SPACES, decoded, iccProfile, mediaWhite, withMediaWhite } from '@/core/colour';
import type { SpaceId } from '@/core/colour';
import { chain, encoded, intoWorking, wholeOf } from '@/core/image';
import { INTENTS, plainRecipe, stepIn, withStep } from '@/core/prepare';
import type { Intent, Recipe } from '@/core/prepare';
import { openPicture } from '../sharpSetup';
import { createTiff } from '../tiff/tiffWriter';
import { createTransform } from './colourEngine';
import type { MasterColour } from './masterColour';
import { spaceTarget } from './printTarget';
import type { PrintTarget } from './printTarget';
import { wayIn, wayOut } from './workingColour';

const folder = mkdtempSync(join(tmpdir(), 'tificc-'));
afterAll(() => rmSync(folder, { recursive: true }));

const SIZE = { width: 64, height: 64 };
const PIXELS = SIZE.width * SIZE.height;

/** Ramps of grey and of each colour down to black, and colours over the cube. */
const data = new Uint16Array(PIXELS * 3);
for (let p = 0; p < PIXELS; p += 1)
  for (let c = 0; c < 3; c += 1) {
    const wild = Math.sin((p * 3 + c) * 12.9898) * 43758.5453;
    const ramp = Math.round(65535 * (p / 1023) ** 2);
    const shown = p >> 10 === c + 1 ? ramp : 0;
    data[p * 3 + c] =
      p < 1024 ? ramp : p < 3072 ? shown : (wild - Math.floor(wild)) * 65535;
  }

/** The recipe that changes nothing but colours, at the picture's own pixels. */
function still(intent: Intent, blackPoint: boolean): Recipe {
  const plain = plainRecipe(300, 1);
  const quiet = withStep(plain, 4, { ...stepIn(plain, 'output')!, on: false });
  return { ...quiet, convert: { ...quiet.convert, intent, blackPoint } };
}

const NUMBERS: Record<Intent, number> = {
  perceptual: 0,
  relative: 1,
  saturation: 2,
  absolute: 3,
};

/** The same by Little CMS's own program, every value through the whole way. */
async function tificc(
  from: Uint8Array,
  to: Uint8Array,
  intent: Intent,
  blackPoint: boolean,
): Promise<Uint16Array> {
  const at = (name: string) => join(folder, name);
  rmSync(at('in.tif'), { force: true });
  const writer = await createTiff(at('in.tif'), {
    ...SIZE,
    channels: 3,
    bits: 16,
    ppi: 300,
    icc: from,
  });
  await writer.write(data);
  await writer.finish();
  writeFileSync(at('from.icc'), from);
  writeFileSync(at('to.icc'), to);
  const done = spawnSync('tificc', [
    `-i${at('from.icc')}`,
    `-o${at('to.icc')}`,
    '-w16',
    '-c0',
    `-t${NUMBERS[intent]}`,
    ...(blackPoint ? ['-b'] : []),
    at('in.tif'),
    at('out.tif'),
  ]);
  expect(done.status).toBe(0);
  const opened = openPicture(at('out.tif'));
  const { space } = await opened.metadata();
  const cmyk = space === 'cmyk';
  const raw = await opened
    .pipelineColourspace(cmyk ? 'cmyk' : 'rgb16')
    .toColourspace(cmyk ? 'cmyk' : 'rgb16')
    .raw({ depth: 'ushort' })
    .toBuffer();
  return new Uint16Array(raw.buffer, raw.byteOffset, raw.length / 2);
}

const spaces = Object.keys(RGB_SPACES) as SpaceId[];
const pairs = spaces.flatMap((a) => spaces.map((b) => [a, b] as const));

/** The same picture through the working space, as a recipe takes it that changes something. */
async function throughWorking(
  colour: MasterColour,
  into: PrintTarget,
  intent: Intent,
  blackPoint = true,
): Promise<Uint16Array> {
  const convert = { intent, blackPoint };
  const { door, before } = await wayIn(colour, 3, convert);
  const way = await wayOut(colour, into, convert);
  const shape = { width: PIXELS, height: 1, channels: 3 };
  let made: Uint16Array = new Uint16Array(0);
  const { take } = chain(
    [intoWorking(shape, door, 3), encoded(shape)],
    wholeOf(shape),
    (row) => (made = way.toTarget(row, 3, PIXELS)),
  );
  take(Float32Array.from(before?.(data, PIXELS) ?? data));
  way.close();
  return made;
}

/** Where white is mended. */
const nearWhite = (p: number) => [0, 1, 2].every((c) => data[p * 3 + c]! > 65535 - 2100);

const most = (values: readonly number[]) => values.reduce((a, b) => Math.max(a, b), 0);

it.each(pairs)('%s to %s: a print file is what tificc makes', async (from, to) => {
  const icc = iccProfile(RGB_SPACES[from]);
  const into = spaceTarget(to);
  const pixels = copyOf(folder, `${from} ${to}`, { ...SIZE, channels: 3, data });
  const master = { pixels, colour: { icc, assumedSpace: null } };
  const ours = await printed(master, SIZE, SIZE, still('relative', true), into);
  const theirs = await tificc(icc, into.icc, 'relative', true);
  const off = ours.map((v, i) => Math.abs(v - theirs[i]!));
  expect(Math.max(...off)).toBeLessThanOrEqual(1);
});

const printers = [
  ['cotton', { ...COTTON, channels: 3 }],
  ['press', { ...OFFSET, channels: 4 }],
] as const;
const ways = printers.flatMap(([name, into]) =>
  INTENTS.map((intent) => [name, intent, into] as const),
);

it.each(ways)(
  'to %s, %s: a print file is what tificc makes',
  async (name, intent, into) => {
    const icc = iccProfile(RGB_SPACES['prophoto-rgb']);
    const pixels = copyOf(folder, `${name} ${intent}`, { ...SIZE, channels: 3, data });
    const master = { pixels, colour: { icc, assumedSpace: null } };
    const ours = await printed(master, SIZE, SIZE, still(intent, true), into);
    const theirs = await tificc(icc, into.icc, intent, true);
    // But at white, whose touch of ink is taken away.
    const { channels } = into;
    const off: number[] = [];
    for (let p = 0; p < PIXELS; p += 1)
      if (intent === 'absolute' || !nearWhite(p))
        for (let c = 0; c < channels; c += 1)
          off.push(Math.abs(ours[p * channels + c]! - theirs[p * channels + c]!));
    expect(Math.max(...off)).toBe(0);
  },
);

it.each(pairs)('%s to %s, through the working space: the same light', async (from, to) => {
  const icc = iccProfile(RGB_SPACES[from]);
  const into = spaceTarget(to);
  const ours = await throughWorking({ icc, assumedSpace: null }, into, 'relative');
  const theirs = await tificc(icc, into.icc, 'relative', true);
  const { curve } = RGB_SPACES[to];
  const light = (v: number) => decoded(curve, v / 65535);
  const off = Array.from(ours, (v, i) => Math.abs(light(v) - light(theirs[i]!)));
  // One level of 16 bits near white, where it is the most light.
  expect(most(off)).toBeLessThan(4e-5);
  const levels = Array.from(ours, (v, i) => Math.abs(v - theirs[i]!));
  expect(levels.reduce((t, v) => t + v, 0) / levels.length).toBeLessThan(0.5);
});

it.each(ways)(
  'to %s, %s, through the working space: the same ink',
  async (_, intent, into) => {
    const icc = iccProfile(RGB_SPACES['prophoto-rgb']);
    const ours = await throughWorking({ icc, assumedSpace: null }, into, intent);
    const theirs = await tificc(icc, into.icc, intent, true);
    const off: number[] = [];
    for (let p = 0; p < PIXELS; p += 1)
      if (intent === 'absolute' || !nearWhite(p))
        for (let c = 0; c < into.channels; c += 1)
          off.push(Math.abs(ours[p * into.channels + c]! - theirs[p * into.channels + c]!));
    // A tenth of a level of 8 bits.
    expect(most(off)).toBeLessThanOrEqual(25);
    expect(off.reduce((t, v) => t + v, 0) / off.length).toBeLessThan(0.5);
  },
);

const screens = INTENTS.flatMap((intent) =>
  [true, false].map((bpc) => [intent, bpc] as const),
);

it.each(screens)(
  'out of a profile of tables, %s, black point %s: the same light',
  async (intent, bpc) => {
    const into = spaceTarget('a98-rgb');
    const colour = { icc: COTTON.icc, assumedSpace: null };
    const ours = await throughWorking(colour, into, intent, bpc);
    const theirs = await tificc(COTTON.icc, into.icc, intent, bpc);
    const off: number[] = [];
    for (let p = 0; p < PIXELS; p += 1)
      if (!nearWhite(p))
        for (let c = 0; c < 3; c += 1)
          off.push(Math.abs(ours[p * 3 + c]! - theirs[p * 3 + c]!));
    // What is absolute goes out in 16 bits of the working space.
    expect(most(off)).toBeLessThanOrEqual(intent === 'absolute' ? 80 : 3);
    expect(off.reduce((t, v) => t + v, 0) / off.length).toBeLessThan(0.5);
  },
);

describe('paper white', () => {
  /** Whites and what lies near them, in ROMM. */
  const levels = [65535, 65500, 65000, 64500, 64000, 63487, 63000, 60000];
  const near = Uint16Array.from(levels.flatMap((v) => [v, v, v]));
  const inked = async (into: PrintTarget, intent: Intent, keepWhite: boolean) => {
    const icc = iccProfile(RGB_SPACES['prophoto-rgb']);
    const options = { intent, blackPoint: true, exact: true, keepWhite };
    const made = await createTransform(
      icc,
      into.icc,
      { from: 3, to: into.channels },
      options,
    );
    const out = new Uint16Array(levels.length * into.channels);
    made.convert(near, out, levels.length);
    made.close();
    const paper = into.channels === 4 ? 0 : 65535;
    return levels.map((_, i) =>
      [...out.subarray(i * into.channels, (i + 1) * into.channels)].map((v) =>
        Math.abs(v - paper),
      ),
    );
  };

  it.each(ways)('to %s, %s', async (name, intent, into) => {
    const [kept, plain] = [
      await inked(into, intent, true),
      await inked(into, intent, false),
    ];
    if (intent === 'absolute') {
      // The white of the picture, on paper that is not as white: ink is what it needs.
      expect(kept).toEqual(plain);
      return;
    }
    // Something would have been printed on it.
    if (name === 'press') expect(most(plain[0]!)).toBeGreaterThan(65535 * 0.001);
    expect(most(kept[0]!)).toBe(0);
    // Ink begins gently, and further down all is as it was.
    for (const c of kept[0]!.keys())
      for (let i = 1; i < levels.length; i += 1)
        expect(kept[i]![c]!).toBeGreaterThanOrEqual(kept[i - 1]![c]! - 40);
    expect(kept.slice(5)).toEqual(plain.slice(5));
  });

  it.each([8, 16] as const)(
    'a recipe of %d bits leaves the paper bare where the picture is white',
    async (bits) => {
      const white = {
        ...SIZE,
        channels: 3 as const,
        data: new Uint16Array(PIXELS * 3).fill(65535),
      };
      const icc = iccProfile(RGB_SPACES.srgb);
      const pixels = copyOf(folder, `white ${bits}`, white);
      const master = { pixels, colour: { icc, assumedSpace: null } };
      const plain = plainRecipe(300, 1);
      const to = { width: 150, height: 150 };
      for (const [, into] of printers) {
        const made = await printed(
          master,
          SIZE,
          to,
          { ...plain, file: { ...plain.file, bits } },
          into,
        );
        expect([...new Set(made)]).toEqual([into.channels === 4 ? 0 : 65535]);
      }
    },
  );
});

it('an absolute intent shows the white of the picture’s own medium', async () => {
  const romm = iccProfile(RGB_SPACES['prophoto-rgb']);
  const paper = withMediaWhite(romm, [0.83, 0.86, 0.66]);
  expect(mediaWhite(paper)!.map((v) => Math.round(v * 100))).toEqual([83, 86, 66]);
  const into = { ...COTTON, channels: 3 as const };
  const ours = await throughWorking({ icc: paper, assumedSpace: null }, into, 'absolute');
  const theirs = await tificc(paper, into.icc, 'absolute', true);
  expect(most(Array.from(ours, (v, i) => Math.abs(v - theirs[i]!)))).toBeLessThanOrEqual(
    25,
  );
  // A display has none of its own, in version 2.
  const old = paper.slice();
  old[8] = 2;
  expect([mediaWhite(old), mediaWhite(romm.slice(0, 140))]).toEqual([null, null]);
});
