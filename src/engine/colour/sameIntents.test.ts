import { COTTON, OFFSET } from '../../../demo/profiles/profiles';
import { RGB_SPACES, iccProfile } from '@/core/colour';
import { INTENTS } from '@/core/prepare';
import { spaceTarget } from './printTarget';
import { sameIntents } from './sameIntents';

const master = { icc: iccProfile(RGB_SPACES['prophoto-rgb']), assumedSpace: null };
const three = INTENTS.slice(0, 3);
const into = ({ icc, name }: typeof COTTON, channels: 3 | 4) => ({ icc, name, channels });

it.each(['srgb', 'a98-rgb', 'display-p3'] as const)(
  'into %s, curves and a matrix, all intents are one',
  async (id) => {
    const grey = { icc: null, assumedSpace: 'srgb' as const };
    for (const [of, channels] of [
      [master, 3],
      [grey, 1],
    ] as const) {
      const same = await sameIntents(of, channels, spaceTarget(id), three, true);
      expect(new Set(same.values())).toEqual(new Set([three[0]]));
    }
  },
);

it.each([
  ['a printer on cotton', into(COTTON, 3)],
  ['a press', into(OFFSET, 4)],
])('into the tables of %s they differ', async (_, target) => {
  const same = await sameIntents(master, 3, target, ['perceptual', 'relative'], false);
  expect(new Set(same.values()).size).toBe(2);
});
