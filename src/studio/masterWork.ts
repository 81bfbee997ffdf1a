import { rm, stat } from 'node:fs/promises';
import type { SpaceId } from '@/core/colour';
import type { MasterFacts } from '@/core/image';
import { addJob, addMaster, currentMaster } from '@/data';
import type { JobRow, Master } from '@/data';
import {
  cutTiles,
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
import { now } from './open';
import type { Studio } from './open';
import { startJob } from './jobRuns';

/** A received file on its way to become the master of a work. */
export interface IntakeSpec {
  workId: number;
  sha256: string;
  bytes: number;
  name: string;
  facts: MasterFacts;
  at: string;
}

/** A master whose tiles and preview are to be cut. */
export interface ReadSpec {
  sha256: string;
  assumedSpace: SpaceId | null;
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
      const read = { sha256, assumedSpace: null };
      return { following: await addJob(tx, { kind: 'read', workId, spec: read, at }) };
    });
  } finally {
    await Promise.all([part, target, arrival].map((path) => rm(path, { force: true })));
  }
}

/** Makes the working copy anew where it is not there, as after a restore. */
export async function ensureWorkingCopy(
  open: Studio,
  sha256: string,
  progress: Progress,
  signal: AbortSignal,
): Promise<void> {
  const paths = storePaths(open.home);
  const target = paths.pixels(sha256);
  const there = await stat(target).catch(() => null);
  if (there) return;
  const path = paths.file(sha256);
  const part = paths.temporary('.v');
  try {
    const { facts } = await readMaster(path, 0);
    await runInWorker('decode', { path, facts, part, target }, progress, signal);
  } finally {
    await rm(part, { force: true });
  }
}

/** Cuts tiles and preview of a master. */
export async function readRun(
  open: Studio,
  { sha256, assumedSpace }: ReadSpec,
  progress: Progress,
  signal: AbortSignal,
): Promise<void> {
  const paths = storePaths(open.home);
  const scratch = paths.temporary();
  try {
    await ensureWorkingCopy(open, sha256, partOf(progress, 0, 0.4), signal);
    const pixels = paths.pixels(sha256);
    const work = {
      pixels,
      ...(await pixelSize(pixels)),
      colour: await masterColourOf(paths.file(sha256), assumedSpace),
      scratch,
      tilesFolder: paths.tiles(sha256),
      preview: paths.preview(sha256),
    };
    await cutTiles(work, partOf(progress, 0.4, 1), signal);
  } finally {
    await rm(scratch, { recursive: true, force: true });
  }
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
