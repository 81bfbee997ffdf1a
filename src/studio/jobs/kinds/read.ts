import { rm } from 'node:fs/promises';
import { addJob, masterReading } from '@/data';
import type { JobRow } from '@/data';
import { cutTiles, masterColourOf, partOf, pixelSize, storePaths } from '@/engine';
import type { Progress } from '@/engine';
import { now } from '../../running/studio';
import { oneAtATime } from '../../running/oneAtATime';
import type { Studio } from '../../running/studio';
import type { JobDefinition } from '../definition';
import { ensureWorkingCopy, isThere, pictureOf } from '../picture';
import type { PictureSpec } from '../picture';

/** A master whose tiles and preview are to be cut. */
export type ReadSpec = PictureSpec & { workId?: number };

/** Cuts tiles and preview of one picture; not twice at once, since both lie at one place. */
const cut = (...work: Parameters<typeof cutOne>): Promise<void> =>
  oneAtATime(`tiles of ${pictureOf(work[1])}`, () => cutOne(...work));

async function cutOne(
  open: Studio,
  spec: PictureSpec,
  progress: Progress,
  signal: AbortSignal,
): Promise<void> {
  const paths = storePaths(open.home);
  const picture = pictureOf(spec);
  const scratch = paths.temporary();
  try {
    await ensureWorkingCopy(open, spec, partOf(progress, 0, 0.4), signal);
    const pixels = paths.pixels(picture);
    const work = {
      pixels,
      ...(await pixelSize(pixels)),
      colour: await masterColourOf(paths.file(spec.sha256), spec.assumedSpace),
      scratch,
      tilesFolder: paths.tiles(picture),
      preview: paths.preview(picture),
    };
    await cutTiles(work, partOf(progress, 0.4, 1), signal);
  } finally {
    await rm(scratch, { recursive: true, force: true });
  }
}

/**
 * Cuts tiles and preview of a master, and of the file itself where a picture is derived from
 * it; the reading of its pixels follows, unless it was read before.
 */
async function readRun(
  open: Studio,
  spec: ReadSpec,
  progress: Progress,
  signal: AbortSignal,
): Promise<{ following?: JobRow }> {
  const { sha256, assumedSpace, workId } = spec;
  const both = spec.derivation && !(await isThere(storePaths(open.home).preview(sha256)));
  if (both) await cut(open, { sha256, assumedSpace }, partOf(progress, 0, 0.5), signal);
  await cut(open, spec, partOf(progress, both ? 0.5 : 0, 1), signal);
  if (workId === undefined || (await masterReading(open.db.read, sha256))) return {};
  const at = now();
  return {
    following: await open.db.write((tx) =>
      addJob(tx, { kind: 'inspect', workId, spec: { sha256, workId }, at }),
    ),
  };
}

export const read: JobDefinition<ReadSpec> = { called: 'Cutting tiles', run: readRun };
