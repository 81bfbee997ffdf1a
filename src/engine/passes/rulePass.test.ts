import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fc from 'fast-check';
import { COTTON } from '../../../demo/profiles/profiles';
import { copyOf } from '../../../e2e/support/working';
import { RGB_SPACES, iccProfile } from '@/core/colour';
import { plainRecipe, stepIn, withStep } from '@/core/prepare';
import { spaceTarget } from '../colour/printTarget';
import { piecesOf, ruleDifference } from './rulePass';

const folder = mkdtempSync(join(tmpdir(), 'rule-'));
afterAll(() => rmSync(folder, { recursive: true }));

const SIZE = { width: 200, height: 160 };
const plain = plainRecipe(300, 1);
const still = withStep(plain, 4, { ...stepIn(plain, 'output')!, on: false });

function work(at: (x: number, y: number) => number, factor: number) {
  const data = new Uint16Array(SIZE.width * SIZE.height * 3);
  for (let i = 0; i < data.length; i += 1) {
    const p = Math.floor(i / 3);
    data[i] = at(p % SIZE.width, Math.floor(p / SIZE.width));
  }
  const name = `${at.toString().length} ${factor}`;
  const pixels = copyOf(folder, name, { ...SIZE, channels: 3, data });
  const image = {
    left: 0,
    top: 0,
    width: SIZE.width * factor,
    height: SIZE.height * factor,
  };
  const plan = { ...image, image, source: { left: 0, top: 0, ...SIZE }, factor };
  const colour = { icc: iccProfile(RGB_SPACES['a98-rgb']), assumedSpace: null };
  const recipe = { ...still, rule: 1 as const };
  return { pixels, colour, plan, recipe, into: spaceTarget('a98-rgb') };
}

it('a flat picture is the same by either rule', async () => {
  const found = await ruleDifference(work(() => 30000, 0.5));
  expect(found.most).toBeLessThan(0.02);
  expect(found.pixels).toBe(100 * 80 - 4 * 80);
});

it('hatching that is reduced is lighter by the rule of now, by as much as light says', async () => {
  const found = await ruleDifference(work((_, y) => (y % 2 === 0 ? 0 : 65535), 0.5));
  // Mixed as numbers: half of A98, L* 54.4; as light: L* 76.1, but near the edges.
  expect(found.mean).toBeGreaterThan(15);
  expect(found.mean).toBeLessThan(20);
  expect(found.p95).toBeGreaterThanOrEqual(found.mean - 1);
  expect(found.most).toBeGreaterThanOrEqual(found.p95);
});

it('says it of the colours that a printer makes', async () => {
  const into = { ...COTTON, channels: 3 as const };
  const warm = withStep(still, 1, { ...still.steps[1]!, on: true, warmth: 30 } as never);
  const by = { ...work((x, y) => 12000 + x * 120 + y * 100, 1), into };
  const found = await ruleDifference({ ...by, recipe: { ...warm, rule: 1 } });
  expect(found.mean).toBeGreaterThan(0.02);
  expect(found.most).toBeLessThan(8);
  // By the rule of now already: nothing.
  expect((await ruleDifference({ ...by, recipe: warm })).most).toBe(0);
});

it('looks at pieces within the picture, that lie over no other', () => {
  const sides = fc.integer({ min: 1, max: 9000 });
  fc.assert(
    fc.property(sides, sides, (width, height) => {
      const pieces = piecesOf({ width, height });
      expect(pieces.length).toBeGreaterThan(0);
      expect(pieces.length).toBeLessThanOrEqual(25);
      for (const [i, a] of pieces.entries()) {
        expect(a.left >= 0 && a.left + a.width <= width).toBe(true);
        expect(a.top >= 0 && a.top + a.height <= height).toBe(true);
        for (const b of pieces.slice(i + 1))
          expect(
            a.left + a.width <= b.left ||
              b.left + b.width <= a.left ||
              a.top + a.height <= b.top ||
              b.top + b.height <= a.top,
          ).toBe(true);
      }
    }),
  );
});
