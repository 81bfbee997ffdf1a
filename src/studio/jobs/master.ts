import { createHash } from 'node:crypto';
import { rm, stat } from 'node:fs/promises';
import type { Derivation } from '@/core/capture/derivation';
import type { SpaceId } from '@/core/colour';
import type { MasterFacts } from '@/core/image';
import { addJob, addMaster, currentMaster, masterReading } from '@/data';
import type { JobRow, Master } from '@/data';
import {
  cutTiles,
  derive,
  keep,
  masterColourOf,
  partOf,
  pixelSize,
  readMaster,
  runInWorker,
  settle,
  storePaths,
} from '@/engine';
import type { MasterColour, Progress, Received } from '@/engine';
import { now } from '../running/open';
import type { Studio } from '../running/open';
import { startJob } from '../running/jobRuns';

/** A received file on its way to become the master of a work. */
export interface IntakeSpec {
  workId: number;
  sha256: string;
  bytes: number;
  name: string;
  facts: MasterFacts;
  at: string;
}

/** What a picture is made from: a stored file, how its colours are meant, and what is derived from it. */
export type PictureSpec = Pick<Master, 'sha256' | 'assumedSpace'> &
  Partial<Pick<Master, 'derivation' | 'picture'>>;

/** A master whose tiles and preview are to be cut. */
export type ReadSpec = PictureSpec & { workId?: number };

const pictureOf = ({ sha256, picture }: PictureSpec): string => picture ?? sha256;

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

/**
 * Decodes a received file once whole into the working copy (which refuses what breaks off),
 * keeps it under its hash, and only then writes it down as the master; its reading follows.
 * Stopped by the user or refused, nothing of it is left.
 */
export async function intakeRun(
  open: Studio,
  spec: IntakeSpec,
  progress: Progress,
  signal: AbortSignal,
): Promise<{ following: JobRow }> {
  const { workId, sha256, name, facts, at } = spec;
  const paths = storePaths(open.home);
  const arrival = paths.arrival(sha256);
  const part = paths.temporary('.v');
  const target = paths.temporary('.v');
  try {
    const decode = { path: arrival, facts, part, target };
    await runInWorker('decode', decode, partOf(progress, 0, 0.95), signal);
    progress('keeping', 0.95);
    await settle(target, paths.pixels(sha256));
    await keep(open.home, { path: arrival, sha256, bytes: spec.bytes });
    return await open.db.write(async (tx) => {
      await addMaster(tx, { workId, sha256, name, at, assumedSpace: null }, facts);
      const read = { sha256, assumedSpace: null, workId };
      return { following: await addJob(tx, { kind: 'read', workId, spec: read, at }) };
    });
  } finally {
    await Promise.all([part, target, arrival].map((path) => rm(path, { force: true })));
  }
}

const isThere = (path: string): Promise<boolean> =>
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

/** Cuts tiles and preview of one picture. */
async function cut(
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
export async function readRun(
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

/**
 * Takes a received file as the master of a work and waits until it is taken, or `stop` ends
 * it. Throws FileRefusal, or what else made the intake fail; then nothing is left.
 */
export async function takeMaster(
  open: Studio,
  received: Received,
  workId: number,
  name: string,
  { at = now(), stop }: { at?: string; stop?: AbortSignal } = {},
): Promise<Master> {
  const { sha256, bytes } = received;
  const { facts } = await readMaster(received.path, bytes);
  await settle(received.path, storePaths(open.home).arrival(sha256));
  const spec = { workId, sha256, bytes, name, facts, at };
  const { id, ended } = await startJob(open, { kind: 'intake', workId, spec, at });
  const cancel = () => open.jobs.cancel(id);
  stop?.addEventListener('abort', cancel);
  if (stop?.aborted) cancel();
  const { cause } = await ended;
  stop?.removeEventListener('abort', cancel);
  if (cause) throw cause as Error;
  return (await currentMaster(open.db.read, workId))!;
}
