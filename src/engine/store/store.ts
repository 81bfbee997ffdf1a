import { createHash, randomUUID } from 'node:crypto';
import { createReadStream } from 'node:fs';
import { link, mkdir, open, readdir, rename, rm, stat } from 'node:fs/promises';
import { basename, dirname, join } from 'node:path';
import type { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';

/** What a SHA-256 looks like, in lower-case hexadecimal. */
export const SHA256 = /^[0-9a-f]{64}$/;

/** Whatever becomes a path is a hash, wherever it was read. Throws RangeError for anything else. */
function hashOnly(sha256: string): string {
  if (!SHA256.test(sha256)) throw new RangeError('a file is asked for by what is no hash');
  return sha256;
}

/** Folders of the data folder. */
export const storePaths = (home: string) => ({
  /** Originals and generated files by SHA-256; never modified. */
  file: (sha256: string) => join(home, 'files', hashOnly(sha256).slice(0, 2), sha256),
  files: join(home, 'files'),
  /** Everything derived from a master; can be made again. */
  derived: (sha256: string) => join(home, 'derived', hashOnly(sha256)),
  pixels: (sha256: string) => join(home, 'derived', hashOnly(sha256), 'pixels.v'),
  preview: (sha256: string) => join(home, 'derived', hashOnly(sha256), 'preview.jpg'),
  /** Darkest and lightest values over a grid, for overlays. */
  extremes: (sha256: string) => join(home, 'derived', hashOnly(sha256), 'extremes.bin'),
  tiles: (sha256: string) => join(home, 'derived', hashOnly(sha256), 'tiles'),
  /**
   * A new name to write under until the thing is whole; it says which process writes, and is
   * swept once that one has died.
   */
  temporary: (extension = '') =>
    join(home, 'tmp', `${process.pid}-${randomUUID()}${extension}`),
  tmp: join(home, 'tmp'),
  /** A received file that waits to be decoded; kept over a restart, so that it can go on. */
  arrival: (name: string) => join(home, 'arrivals', name),
  arrivals: join(home, 'arrivals'),
});

export interface Received {
  path: string;
  sha256: string;
  bytes: number;
}

/** Bytes of a refused source that are still read, so that whoever sends them hears the answer. */
const MOST_DISCARDED = 4e9;

/** First bytes of a file by which it is recognised. */
export const HEAD_BYTES = 65536;

/** What a source may be. */
export interface Limits {
  mostBytes: number;
  /** Throws where the first bytes of a source say that it is not wanted. */
  recognise?: (head: Uint8Array) => void;
}

/**
 * Streams a source to a temporary file, hashing on the way, and syncs it to disk. The caller
 * keeps it with `keep` or removes it. A broken source, one that is not wanted, or one that
 * finds no room, leaves nothing behind; the rest of it is read and thrown away before the
 * error is.
 */
export async function receive(
  home: string,
  source: Readable,
  { mostBytes, recognise }: Limits,
): Promise<Received> {
  const path = storePaths(home).temporary();
  await mkdir(dirname(path), { recursive: true });
  const hash = createHash('sha256');
  const file = await open(path, 'wx');
  let bytes = 0;
  let discarded = 0;
  let failure: unknown = null;
  let head: Buffer | null = recognise ? Buffer.alloc(0) : null;
  const look = (more: Buffer | null) => {
    if (head === null || failure !== null) return;
    if (more) head = Buffer.concat([head, more]);
    if (more && head.length < HEAD_BYTES) return;
    try {
      recognise!(head.subarray(0, HEAD_BYTES));
    } catch (error) {
      failure = error;
    }
    head = null;
  };
  try {
    for await (const chunk of source as AsyncIterable<Buffer>) {
      if (failure !== null) {
        discarded += chunk.length;
        if (discarded > MOST_DISCARDED) break;
        continue;
      }
      bytes += chunk.length;
      hash.update(chunk);
      look(chunk);
      if (bytes > mostBytes) failure = new RangeError('tooLarge');
      if (failure === null)
        await file.writeFile(chunk).catch((error: unknown) => {
          failure = error;
        });
    }
    look(null);
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

/** What file systems say that cannot give a file a second name. */
const NO_LINKS = new Set(['EPERM', 'ENOTSUP', 'EOPNOTSUPP', 'ENOSYS', 'EMLINK']);

/**
 * Gives a finished file its name, unless something has that name: then it throws `EEXIST` and
 * what is there stays. Both lie on one file system.
 */
export async function placeNew(part: string, target: string): Promise<void> {
  try {
    await link(part, target);
    await rm(part);
  } catch (error) {
    if (!NO_LINKS.has((error as NodeJS.ErrnoException).code ?? '')) throw error;
    // Such a disk has one name for a file: taken first, then filled.
    await (await open(target, 'wx')).close();
    await rename(part, target);
  }
  const folder = await open(dirname(target), 'r');
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

/** Where an archive grows: beside its place, since that may be on another disk; a new name each time. */
export const unfinished = (target: string): string =>
  join(dirname(target), `.${basename(target)}.${randomUUID()}.part`);

/** What a sweep leaves alone. */
export interface Wanted {
  /** Names of arrivals that a cut-off job takes up again. */
  arrivals: readonly string[];
  /** Processes that are at work in this folder beside the one that sweeps. */
  writers: readonly number[];
}

/**
 * Removes what a stopped server left half-made: temporary files, arrivals that no cut-off
 * job will take up again, and the archives that were cut off (`parts`). Answers how many.
 */
export async function sweepLeftovers(
  home: string,
  { arrivals, writers }: Wanted,
  parts: readonly string[] = [],
): Promise<number> {
  const paths = storePaths(home);
  const theirs = (name: string) => writers.some((pid) => name.startsWith(`${pid}-`));
  const left = (await namesIn(paths.tmp))
    .filter((name) => !theirs(name))
    .map((name) => join(paths.tmp, name));
  for (const name of await namesIn(paths.arrivals))
    if (!arrivals.includes(name)) left.push(paths.arrival(name));
  for (const part of parts)
    if ((await namesIn(dirname(part))).includes(basename(part))) left.push(part);
  await Promise.all(left.map((path) => rm(path, { recursive: true, force: true })));
  return left.length;
}

/** A stored file that was found by its name. */
export interface FoundFile {
  sha256: string;
  bytes: number;
}

/**
 * Stored files that are not among `named` and were put there before an instant (ms since 1970):
 * what no row names, though nothing is being written any more that would.
 */
export async function unnamedFiles(
  home: string,
  named: ReadonlySet<string>,
  beforeMs: number,
): Promise<FoundFile[]> {
  const { file, files } = storePaths(home);
  const found: FoundFile[] = [];
  for (const folder of await namesIn(files))
    for (const sha256 of await namesIn(join(files, folder))) {
      if (named.has(sha256)) continue;
      const there = await stat(file(sha256)).catch(() => null);
      if (there?.isFile() && there.ctimeMs < beforeMs)
        found.push({ sha256, bytes: there.size });
    }
  return found;
}
