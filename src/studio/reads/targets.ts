import { readFile } from 'node:fs/promises';
import { RGB_SPACES } from '@/core/colour';
import type { SpaceId } from '@/core/colour';
import type { TargetId } from '@/core/prepare';
import { getProfile } from '@/data';
import { spaceTarget, storePaths } from '@/engine';
import type { PrintTarget } from '@/engine';
import type { Studio } from '../running/studio';

/** The hash of a stored profile that a target names; null for a space of our own. */
const profileOf = (target: TargetId): string | null =>
  target.startsWith('icc:') ? target.slice(4) : null;

/** The bytes of a profile are not in the store any more; said in words. */
export class ProfileGone extends Error {}

/** What was asked for, or the sentence of a profile that is gone. */
export const orGone = <T>(asked: Promise<T>): Promise<T | string> =>
  asked.catch((error: unknown) => {
    if (error instanceof ProfileGone) return error.message;
    throw error;
  });

/** The colours that a target stands for. Throws, in words, where it is not known or its profile is gone. */
export async function targetFor(
  open: Pick<Studio, 'db' | 'home'>,
  target: TargetId,
): Promise<PrintTarget> {
  const sha256 = profileOf(target);
  if (sha256 === null) {
    if (!(target in RGB_SPACES))
      throw new Error('Convert: this colour space is not known. Choose another.');
    return spaceTarget(target as SpaceId);
  }
  const row = await getProfile(open.db.read, sha256);
  const bytes =
    row && (await readFile(storePaths(open.home).file(sha256)).catch(() => null));
  if (!row || !bytes)
    throw new ProfileGone(
      `The profile ${row?.name ?? 'of the recipe'} is not in the store any more. Bring it again at Prepare, then order anew.`,
    );
  return {
    icc: new Uint8Array(bytes),
    name: row.name,
    channels: row.space === 'CMYK' ? 4 : 3,
  };
}
