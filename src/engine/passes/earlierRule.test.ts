import { createHash } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { COTTON, OFFSET } from '../../../demo/profiles/profiles';
import { copyOf, printed } from '../../../e2e/support/working';
import { RGB_SPACES, iccProfile } from '@/core/colour';
import { RECIPE, plainRecipe } from '@/core/prepare';
import type { Recipe } from '@/core/prepare';
import { spaceTarget } from '../colour/printTarget';

const folder = mkdtempSync(join(tmpdir(), 'earlier-'));
afterAll(() => rmSync(folder, { recursive: true }));

const SIZE = { width: 60, height: 45 };
const data = new Uint16Array(SIZE.width * SIZE.height * 3);
for (let i = 0; i < data.length; i += 1) {
  const [x, y, c] = [Math.floor(i / 3) % 60, Math.floor(i / 180), i % 3];
  data[i] = Math.min(65535, ((x * 997 + y * 1409 + c * 7919) % 50000) + x * y * 5);
}

/** A recipe as the version before rules kept it. */
function kept(): Recipe {
  const { rule: _, ...now } = plainRecipe(300, 1.2);
  const { dither: __, ...file } = now.file;
  const steps = now.steps.map((s) => {
    if (s.kind === 'capture') return { ...s, on: true, noise: 40, grain: 5 };
    return s.kind === 'adjust'
      ? { ...s, on: true, lightness: 9, contrast: 14, warmth: 8, saturation: 12 }
      : s;
  });
  return RECIPE.read({ ...now, file, steps, version: 1 });
}

const TARGETS = {
  'A98 RGB': { into: spaceTarget('a98-rgb'), intent: 'relative' },
  cotton: { into: { ...COTTON, channels: 3 }, intent: 'perceptual' },
  press: { into: { ...OFFSET, channels: 4 }, intent: 'relative' },
} as const;

// SHA-256 of what the version before made of the same.
it.each([
  ['A98 RGB', 0.5, 'bb83d0b9ba7eb53f'],
  ['A98 RGB', 1.6, '9a7be8bfa5590f0c'],
  ['cotton', 0.5, '400b4062a2ee85ec'],
  ['press', 1.6, '660b2b4372e29faf'],
] as const)(
  'a recipe of before makes the same for %s at %d x, to the last bit',
  async (target, factor, wanted) => {
    const { into, intent } = TARGETS[target];
    const recipe = kept();
    recipe.convert = { ...recipe.convert, intent };
    const icc = iccProfile(RGB_SPACES['prophoto-rgb']);
    const pixels = copyOf(folder, `${target} ${factor}`, { ...SIZE, channels: 3, data });
    const to = { width: 60 * factor, height: Math.round(45 * factor) };
    const made = await printed(
      { pixels, colour: { icc, assumedSpace: null } },
      SIZE,
      to,
      recipe,
      into,
    );
    expect(createHash('sha256').update(made).digest('hex').slice(0, 16)).toBe(wanted);
  },
);
