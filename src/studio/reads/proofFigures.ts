import { RGB_SPACES } from '@/core/colour';
import type { SpaceId } from '@/core/colour';
import type { TargetId } from '@/core/prepare';
import { getMaster, getProfile } from '@/data';
import {
  Kept,
  measureProof,
  runAtOnce,
  runInWorker,
  spaceTarget,
  storePaths,
} from '@/engine';
import type { PrintTarget, ProfilePortrait, ProofFigures } from '@/engine';
import { colourKept } from '../pixels/looks';
import { studio } from '../open/open';
import type { Studio } from '../running/studio';
import { targetFor } from './targets';

/** Answers that were reckoned of late: neither a master nor a profile ever changes. */
const portraits = new Kept<ProfilePortrait>(30);
const figures = new Kept<ProofFigures>(60);
const nobody = () => new AbortController().signal;

/** What a stored profile can do, measured once. Throws, in words, where its bytes are gone. */
export const portraitOf = (open: Studio, sha256: string): Promise<ProfilePortrait> =>
  portraits.of(sha256, async () => {
    const target = await targetFor(open, `icc:${sha256}`);
    return runAtOnce('profilePortrait', target, () => undefined, nobody());
  });

/** What pictures are proofed on: a stored profile, or a space that files are handed over in. */
export type ProofOn = TargetId;

async function proofTarget(open: Studio, on: string): Promise<PrintTarget | null> {
  if (on in RGB_SPACES) return spaceTarget(on as SpaceId);
  const sha256 = /^icc:([0-9a-f]{64})$/.exec(on)?.[1];
  if (!sha256 || !(await getProfile(open.db.read, sha256))) return null;
  return targetFor(open, `icc:${sha256}`);
}

/**
 * What printing a master through a profile costs it; null where there is no such master or
 * profile. Reckoned once, and kept for whoever asks next. `later`: nobody waits for it, and the
 * tiles of the picture before one come first.
 */
export async function figuresOfProof(
  masterId: number,
  on: string,
  blackPoint: boolean,
  later = false,
): Promise<ProofFigures | null> {
  const open = await studio();
  const master = await getMaster(open.db.read, masterId);
  const profile = await proofTarget(open, on);
  if (!master || !profile) return null;
  const key = `${open.home} ${masterId} ${on} ${blackPoint}`;
  return figures.of(key, async () => {
    const pixels = storePaths(open.home).pixels(master.picture);
    const colour = await colourKept(open, master);
    const work = { pixels, colour, profile, blackPoint };
    return measureProof(work, later ? runInWorker : runAtOnce, nobody());
  });
}

export { proofTarget };
