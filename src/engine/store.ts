import { createHash, randomUUID } from 'node:crypto';
import { createReadStream, createWriteStream } from 'node:fs';
import { mkdir, open, readdir, rename, rm, stat } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { Transform } from 'node:stream';
import type { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';

/** Folders of the data folder. */
export const storePaths = (home: string) => ({
  /** Originals and generated files by SHA-256; never modified. */
  file: (sha256: string) => join(home, 'files', sha256.slice(0, 2), sha256),
  /** Everything derived from a master; can be made again. */
  derived: (sha256: string) => join(home, 'derived', sha256),
  pixels: (sha256: string) => join(home, 'derived', sha256, 'pixels.v'),
  preview: (sha256: string) => join(home, 'derived', sha256, 'preview.jpg'),
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

/**
 * Streams a source to a temporary file, hashing on the way, and syncs it to disk. The caller
 * keeps it with `keep` or removes it. A broken source leaves nothing behind.
 */
export async function receive(
  home: string,
  source: Readable,
  limitBytes: number,
): Promise<Received> {
  const path = storePaths(home).temporary();
  await mkdir(dirname(path), { recursive: true });
  const hash = createHash('sha256');
  let bytes = 0;
  const count = new Transform({
    transform(chunk: Buffer, _encoding, done) {
      bytes += chunk.length;
      hash.update(chunk);
      done(bytes > limitBytes ? new RangeError('tooLarge') : null, chunk);
    },
  });
  try {
    await pipeline(source, count, createWriteStream(path, { flush: true }));
  } catch (error) {
    await rm(path, { force: true });
    throw error;
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

/** Keeps a received file under its hash; if it is there already, the new copy goes. */
export async function keep(home: string, received: Received): Promise<void> {
  const final = storePaths(home).file(received.sha256);
  const there = await stat(/*turbopackIgnore: true*/ final).catch(() => null);
  if (there?.size === received.bytes) await rm(received.path, { force: true });
  else await settle(received.path, final);
}

/** SHA-256 of a file on disk, streamed. */
export async function hashFile(path: string): Promise<string> {
  const hash = createHash('sha256');
  await pipeline(createReadStream(/*turbopackIgnore: true*/ path), hash);
  return hash.digest('hex');
}

const namesIn = (folder: string): Promise<string[]> => readdir(folder).catch(() => []);

/**
 * Removes what a stopped server left half-made: temporary files, and arrivals that no
 * cut-off job will take up again. Answers how many.
 */
export async function sweepLeftovers(
  home: string,
  wantedArrivals: ReadonlySet<string>,
): Promise<number> {
  const paths = storePaths(home);
  const left = (await namesIn(paths.tmp)).map((name) => join(paths.tmp, name));
  for (const sha256 of await namesIn(paths.arrivals))
    if (!wantedArrivals.has(sha256)) left.push(paths.arrival(sha256));
  await Promise.all(left.map((path) => rm(path, { recursive: true, force: true })));
  return left.length;
}
