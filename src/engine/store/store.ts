import { createHash, randomUUID } from 'node:crypto';
import { createReadStream } from 'node:fs';
import { mkdir, open, readdir, rename, rm, stat } from 'node:fs/promises';
import { basename, dirname, join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';

/** Folders of the data folder. */
export const storePaths = (home: string) => ({
  /** Originals and generated files by SHA-256; never modified. */
  file: (sha256: string) => join(home, 'files', sha256.slice(0, 2), sha256),
  /** Everything derived from a master; can be made again. */
  derived: (sha256: string) => join(home, 'derived', sha256),
  pixels: (sha256: string) => join(home, 'derived', sha256, 'pixels.v'),
  preview: (sha256: string) => join(home, 'derived', sha256, 'preview.jpg'),
  /** Darkest and lightest values over a grid, for overlays. */
  extremes: (sha256: string) => join(home, 'derived', sha256, 'extremes.bin'),
  tiles: (sha256: string) => join(home, 'derived', sha256, 'tiles'),
  /** A new name to write under until the thing is whole; swept when its writer died. */
  temporary: (extension = '') => join(home, 'tmp', `${randomUUID()}${extension}`),
  tmp: join(home, 'tmp'),
  /** A received file that waits to be decoded; kept over a restart, so that it can go on. */
  arrival: (sha256: string) => join(home, 'arrivals', sha256),
  arrivals: join(home, 'arrivals'),
});

export interface Received {
  path: string;
  sha256: string;
  bytes: number;
}

/** Bytes of a refused source that are still read, so that whoever sends them hears the answer. */
const MOST_DISCARDED = 4e9;

/**
 * Streams a source to a temporary file, hashing on the way, and syncs it to disk. The caller
 * keeps it with `keep` or removes it. A broken source, or one that finds no room, leaves
 * nothing behind; the rest of it is read and thrown away before the error is.
 */
export async function receive(
  home: string,
  source: Readable,
  limitBytes: number,
): Promise<Received> {
  const path = storePaths(home).temporary();
  await mkdir(dirname(path), { recursive: true });
  const hash = createHash('sha256');
  const file = await open(path, 'wx');
  let bytes = 0;
  let discarded = 0;
  let failure: unknown = null;
  try {
    for await (const chunk of source as AsyncIterable<Buffer>) {
      if (failure !== null) {
        discarded += chunk.length;
        if (discarded > MOST_DISCARDED) break;
        continue;
      }
      bytes += chunk.length;
      hash.update(chunk);
      if (bytes > limitBytes) failure = new RangeError('tooLarge');
      else
        await file.writeFile(chunk).catch((error: unknown) => {
          failure = error;
        });
    }
    if (failure === null) await file.sync();
  } catch (error) {
    failure ??= error;
  } finally {
    await file.close();
  }
  if (failure !== null) {
    await rm(path, { force: true });
    throw failure as Error;
  }
  return { path, sha256: hash.digest('hex'), bytes };
}

/** Puts a written and synced temporary file under its final name, atomically. */
export async function settle(temporary: string, final: string): Promise<void> {
  await mkdir(dirname(final), { recursive: true });
  await rename(temporary, final);
  const folder = await open(dirname(final), 'r');
  await folder.sync().finally(() => folder.close());
}

/**
 * Keeps a received file under its hash; if it is there already, the new copy goes. One that
 * was damaged from outside is replaced by the good copy.
 */
export async function keep(home: string, received: Received): Promise<void> {
  if (await isWhole(home, received.sha256)) await rm(received.path, { force: true });
  else await settle(received.path, storePaths(home).file(received.sha256));
}

/** Keeps what was made in memory; answers its hash. */
export async function keepBytes(home: string, bytes: Uint8Array): Promise<string> {
  const received = await receive(home, Readable.from([bytes]), Infinity);
  await keep(home, received);
  return received.sha256;
}

/** Whether a stored file is there with the bytes that its hash stands for. */
export async function isWhole(home: string, sha256: string): Promise<boolean> {
  const path = storePaths(home).file(sha256);
  const there = await stat(/*turbopackIgnore: true*/ path).catch(() => null);
  return there !== null && (await hashFile(path)) === sha256;
}

/** SHA-256 of a file on disk, streamed. */
export async function hashFile(path: string): Promise<string> {
  const hash = createHash('sha256');
  await pipeline(createReadStream(/*turbopackIgnore: true*/ path), hash);
  return hash.digest('hex');
}

const namesIn = (folder: string): Promise<string[]> => readdir(folder).catch(() => []);

/** Where an archive grows: beside its place, since that may be on another disk. */
export const unfinished = (target: string): string =>
  join(dirname(target), `.${basename(target)}.part`);

/**
 * Removes what a stopped server left half-made: temporary files, arrivals that no cut-off
 * job will take up again, and archives that were cut off. Answers how many.
 */
export async function sweepLeftovers(
  home: string,
  wantedArrivals: ReadonlySet<string>,
  cutOffArchives: readonly string[] = [],
): Promise<number> {
  const paths = storePaths(home);
  const left = (await namesIn(paths.tmp)).map((name) => join(paths.tmp, name));
  for (const sha256 of await namesIn(paths.arrivals))
    if (!wantedArrivals.has(sha256)) left.push(paths.arrival(sha256));
  for (const part of cutOffArchives.map(unfinished))
    if ((await namesIn(dirname(part))).includes(basename(part))) left.push(part);
  await Promise.all(left.map((path) => rm(path, { recursive: true, force: true })));
  return left.length;
}
