import { createHash } from 'node:crypto';
import { rm, stat } from 'node:fs/promises';
import type { Derivation } from '@/core/capture/derivation';
import type { SpaceId } from '@/core/colour';
import type { Master } from '@/data';
import {
  derive,
  masterColourOf,
  partOf,
  readMaster,
  runInWorker,
  storePaths,
} from '@/engine';
import type { MasterColour, Progress } from '@/engine';
import type { Studio } from '../running/studio';

/** What a picture is made from: a stored file, how its colours are meant, and what is derived from it. */
export type PictureSpec = Pick<Master, 'sha256' | 'assumedSpace'> &
  Partial<Pick<Master, 'derivation' | 'picture'>>;

/** The hash under which the pixels of a picture lie. */
export const pictureOf = ({ sha256, picture }: PictureSpec): string => picture ?? sha256;

/** The spec of a master's picture, to be kept in a job. */
export const pictureSpec = ({
  sha256,
  assumedSpace,
  derivation,
  picture,
}: Master): PictureSpec => ({ sha256, assumedSpace, derivation, picture });

/** The hash that names what is derived from a file; null when nothing is. */
export function pictureKey(
  sha256: string,
  derivation: Derivation | null,
  assumedSpace: SpaceId | null,
): string | null {
  if (!derivation) return null;
  const words = JSON.stringify([sha256, derivation, assumedSpace]);
  return createHash('sha256').update(words).digest('hex');
}

/** The colour of a master, its profile read from the stored original. */
export async function colourOf(open: Studio, master: Master): Promise<MasterColour> {
  return masterColourOf(storePaths(open.home).file(master.sha256), master.assumedSpace);
}

/** Whether a file is there. */
export const isThere = (path: string): Promise<boolean> =>
  stat(path).then(
    () => true,
    () => false,
  );

/** Makes the working copy of a stored file anew where it is not there, as after a restore. */
async function ensureDecoded(
  open: Studio,
  sha256: string,
  progress: Progress,
  signal: AbortSignal,
): Promise<void> {
  const paths = storePaths(open.home);
  const target = paths.pixels(sha256);
  if (await isThere(target)) return;
  const path = paths.file(sha256);
  const part = paths.temporary('.v');
  try {
    const { facts } = await readMaster(path, 0);
    await runInWorker('decode', { path, facts, part, target }, progress, signal);
  } finally {
    await rm(part, { force: true });
  }
}

/** Makes the working copy of a picture where it is not there: decoded, and derived if need be. */
export async function ensureWorkingCopy(
  open: Studio,
  spec: PictureSpec,
  progress: Progress,
  signal: AbortSignal,
): Promise<void> {
  const paths = storePaths(open.home);
  const { sha256, assumedSpace, derivation } = spec;
  const target = paths.pixels(pictureOf(spec));
  if (await isThere(target)) return;
  await ensureDecoded(open, sha256, partOf(progress, 0, 0.5), signal);
  if (!derivation) return;
  const part = paths.temporary('.v');
  const colour = await masterColourOf(paths.file(sha256), assumedSpace);
  try {
    const work = { pixels: paths.pixels(sha256), colour, derivation, part, target };
    await derive(work, partOf(progress, 0.5, 1), signal);
  } finally {
    await rm(part, { force: true });
  }
}
