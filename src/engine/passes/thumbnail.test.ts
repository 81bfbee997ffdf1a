import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { copyOf, printed } from '../../../e2e/support/working';
import { RGB_SPACES, iccProfile } from '@/core/colour';
import { plainRecipe } from '@/core/prepare';
import { spaceTarget } from '../colour/printTarget';
import { thumbnailDifference } from './thumbnail';

const folder = mkdtempSync(join(tmpdir(), 'thumbnail-'));
afterAll(() => rmSync(folder, { recursive: true }));

const INTO = spaceTarget('srgb');
const recipe = plainRecipe(300, 0.8);
const colour = { icc: iccProfile(RGB_SPACES['a98-rgb']), assumedSpace: null };

/** How far the print of a picture at a factor is from what is to be expected of it, or of another. */
async function difference(
  size: { width: number; height: number },
  factor: number,
  at: (x: number, y: number) => number,
  other = at,
): Promise<number> {
  const copy = (of: typeof at, name: string) => {
    const data = new Uint16Array(size.width * size.height * 3);
    for (let i = 0; i < data.length; i += 1) {
      const p = Math.floor(i / 3);
      data[i] = of(p % size.width, Math.floor(p / size.width));
    }
    return copyOf(folder, name, { ...size, channels: 3, data });
  };
  const to = {
    width: Math.round(size.width * factor),
    height: Math.round(size.height * factor),
  };
  const pixels = copy(at, 'one');
  const data = await printed({ pixels, colour }, size, to, recipe, INTO);
  const image = { left: 0, top: 0, ...to };
  const plan = { ...to, image, source: { left: 0, top: 0, ...size }, factor };
  const expected = { pixels: copy(other, 'other'), colour, recipe, into: INTO };
  return thumbnailDifference({ data, ...to, channels: 3, whole: 65535 }, plan, expected);
}

const LINES = [2, 3, 4, 5, 8].flatMap((period) =>
  [1152, 1600, 2304].map((height) => [period, height] as const),
);

it.each(LINES)(
  'lines one in %d of %d rows, and as many columns, are the same picture when they are reduced',
  async (period, length) => {
    const [wide, high] = [
      { width: 192, height: length },
      { width: length, height: 192 },
    ];
    const down = await difference(wide, 0.25, (_, y) => (y % period === 0 ? 2000 : 62000));
    const across = await difference(high, 0.25, (x) => (x % period === 0 ? 2000 : 62000));
    expect(Math.max(down, across)).toBeLessThan(5);
  },
);

it('another picture, or the same elsewhere, is not', async () => {
  const size = { width: 800, height: 600 };
  const hills = (x: number, y: number) =>
    30000 + 25000 * Math.sin(x / 90) * Math.cos(y / 70);
  expect(await difference(size, 0.5, hills)).toBeLessThan(2);
  expect(await difference(size, 0.5, hills, (x, y) => hills(x + 120, y))).toBeGreaterThan(
    12,
  );
  expect(await difference(size, 0.5, hills, (x, y) => hills(y, x))).toBeGreaterThan(12);
});
