import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { coverages } from '@/core/ink';
import { spaceTarget } from '../colour/printTarget';
import { createTiff } from '../tiff/tiffWriter';
import { inkOfPicture } from './inkPass';

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'ink-'));
});
afterEach(() => rmSync(folder, { recursive: true }));

const WIDTH = 1200;
const HEIGHT = 300;

/** A picture whose left part is of one colour, the rest white: shares of what a sample may be. */
async function picture(
  colour: readonly number[],
  part: number,
  { bits = 16, space = 'srgb' }: { bits?: 8 | 16; space?: 'srgb' | 'a98-rgb' } = {},
): Promise<string> {
  const path = join(folder, `${bits} ${part} ${colour.join(' ')}.tif`);
  const channels = colour.length as 3 | 4;
  const whole = 2 ** bits - 1;
  const white = channels === 4 ? 0 : whole;
  const samples = WIDTH * HEIGHT * channels;
  const data = bits === 16 ? new Uint16Array(samples) : new Uint8Array(samples);
  for (let i = 0; i < samples; i += 1) {
    const x = Math.floor(i / channels) % WIDTH;
    data[i] = x < part * WIDTH ? Math.round(colour[i % channels]! * whole) : white;
  }
  const about = { title: 'ink', artist: 'Senna Quillfeather', copyright: '' };
  const size = { width: WIDTH, height: HEIGHT, channels, bits, ppi: 300 };
  const tiff = await createTiff(path, { ...size, icc: spaceTarget(space).icc, about });
  await tiff.write(data);
  await tiff.finish();
  return path;
}

const FOUR = (['cyan', 'magenta', 'yellow', 'black'] as const).map((role) => ({
  role,
  papers: 'all' as const,
}));
const covers = async (path: string) =>
  coverages(FOUR, (await inkOfPicture({ path, ways: [null] }))[0]!, null).map((v) =>
    Number(v.toFixed(2)),
  );

it.each([8, 16] as const)('is told of a picture of light, %i bits', async (bits) => {
  expect(await covers(await picture([0, 1, 1], 0.25, { bits }))).toEqual([0.25, 0, 0, 0]);
  expect(await covers(await picture([0, 0, 0], 0.5, { bits }))).toEqual([0, 0, 0, 0.5]);
  expect(await covers(await picture([1, 1, 1], 1, { bits }))).toEqual([0, 0, 0, 0]);
});

it.each([8, 16] as const)('is what a picture of four inks says, %i bits', async (bits) => {
  const found = await covers(await picture([1, 0.2, 0, 0.4], 0.5, { bits }));
  expect(found).toEqual([0.5, 0.1, 0, 0.2]);
});

it('goes through the profile that the picture is printed by', async () => {
  const path = await picture([0.6, 0.4, 0.3], 1, { space: 'a98-rgb' });
  const own = spaceTarget('a98-rgb');
  const other = spaceTarget('prophoto-rgb');
  const [same, printed, none] = await inkOfPicture({ path, ways: [own, other, null] });
  // In the values of its own profile it is taken as it is: a third, by 0.6, 0.4 and 0.3 of light.
  expect(same!.full.black.mean).toBeCloseTo(0.4, 3);
  expect(same!.full.yellow.mean).toBeCloseTo(0.3, 3);
  expect(Math.abs(printed!.full.yellow.mean - 0.3)).toBeGreaterThan(0.02);
  expect(none!.full.yellow.mean).not.toBeCloseTo(printed!.full.yellow.mean, 2);
});

it('of what is no picture cannot be told', async () => {
  await expect(
    inkOfPicture({ path: join(folder, 'none.tif'), ways: [null] }),
  ).rejects.toThrow();
});
