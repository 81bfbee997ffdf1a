import { RGB_SPACES, iccProfile, judgeProfile } from '@/core/colour';
import type { ProfileSelf } from '@/core/colour';
import { createTransform } from '@/engine';
import type { PrintTarget } from '@/engine';
import { profileFaultWords } from '../words/profileWords';

/** A profile that pictures can be printed through, and what it says of itself. */
export interface UsableProfile {
  target: PrintTarget;
  self: ProfileSelf;
}

/**
 * Reads bytes as a profile to print through: judged by what they say, and by trying, since
 * tables that are damaged show only when colours are led through them. A sentence where they are none.
 */
export async function usableProfile(
  icc: Uint8Array,
  name: string,
): Promise<UsableProfile | string> {
  const self = judgeProfile(icc, 'print');
  if ('code' in self) return profileFaultWords(name, self);
  const channels = self.space === 'CMYK' ? 4 : 3;
  const wide = iccProfile(RGB_SPACES['prophoto-rgb']);
  for (const [source, target, from, to] of [
    [wide, icc, 3, channels],
    [icc, wide, channels, 3],
  ] as const) {
    const by = { intent: 'relative', blackPoint: true, exact: true } as const;
    const joined = await createTransform(source, target, { from, to }, by).catch(
      () => null,
    );
    if (!joined) return profileFaultWords(name, { code: 'damaged' });
    joined.close();
  }
  return { target: { icc, name: self.description || name, channels }, self };
}
