import { createHash } from 'node:crypto';
import { createReadStream, createWriteStream } from 'node:fs';
import { mkdir, readFile, rm, stat } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { Transform, Writable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import yauzl from 'yauzl';
import yazl from 'yazl';
import { partOf } from '../progress';
import type { Progress } from '../progress';
import { placeNew } from './store';

/** Name of the list of hashes inside a backup. */
export const MANIFEST = 'manifest.json';
const KIND = 'glassine backup';
const VERSION = 1;

export interface ArchiveEntry {
  /** Name inside the archive, with forward slashes. */
  name: string;
  /** Where the bytes lie. */
  path: string;
  /** What their hash must be; null when it is to be taken. */
  sha256: string | null;
}

export interface ManifestFile {
  name: string;
  bytes: number;
  sha256: string;
}

export interface Manifest {
  kind: string;
  version: number;
  /** ISO 8601 instant. */
  made: string;
  files: ManifestFile[];
  /** Files that were damaged or missing when it was made, and are not in it. */
  leftOut: string[];
}

export interface PackResult {
  bytes: number;
  files: number;
  /** Names of files that were not there, or whose bytes no longer have their hash. */
  damaged: string[];
}

async function hashAndSize(
  path: string,
): Promise<{ sha256: string; bytes: number } | null> {
  const found = await stat(path).catch(() => null);
  if (!found?.isFile()) return null;
  const hash = createHash('sha256');
  await pipeline(createReadStream(path), hash);
  return { sha256: hash.digest('hex'), bytes: found.size };
}

/** Why an archive cannot be restored; said in words that name what is wrong. */
export class BadArchive extends Error {}

/** Names that a backup may hold: its manifest, the database, stored files by hash. */
const GOOD_NAME = /^(manifest\.json|studio\.db|files\/[0-9a-f]{2}\/[0-9a-f]{64})$/;

const openZip = (path: string): Promise<yauzl.ZipFile> =>
  yauzl.openPromise(path).catch((error: Error) => {
    throw new BadArchive(`it is no whole ZIP archive (${error.message})`);
  });

type Seen = Map<string, { sha256: string; bytes: number }>;

/**
 * Reads an archive from its first file to its last, each into what `into` opens for it, and
 * takes their hashes. Throws BadArchive at the first that is not of a backup.
 */
async function readThrough(
  archive: string,
  progress: Progress,
  into: (name: string) => Promise<Writable>,
): Promise<Seen> {
  const zip = await openZip(archive);
  const seen: Seen = new Map();
  const total = (await stat(archive)).size;
  let done = 0;
  try {
    for await (const entry of zip.eachEntry()) {
      const name = entry.fileName;
      if (!GOOD_NAME.test(name)) throw new BadArchive(`“${name}” is not of a backup`);
      if (seen.has(name)) throw new BadArchive(`“${name}” is in it twice`);
      const hash = createHash('sha256');
      let bytes = 0;
      const watch = new Transform({
        transform(chunk: Buffer, _encoding, next) {
          hash.update(chunk);
          bytes += chunk.length;
          done += chunk.length;
          progress('checking each file of it', Math.min(1, done / total));
          next(null, chunk);
        },
      });
      await pipeline(await zip.openReadStreamPromise(entry), watch, await into(name));
      seen.set(name, { sha256: hash.digest('hex'), bytes });
    }
  } catch (error) {
    if (error instanceof BadArchive) throw error;
    throw new BadArchive(`it breaks off (${(error as Error).message})`);
  } finally {
    zip.close();
  }
  return seen;
}

/** Holds what was read against the manifest. Throws BadArchive, naming the first that differs. */
function holdAgainst(manifest: Manifest, seen: Seen): void {
  for (const { name, sha256, bytes } of manifest.files) {
    const found = seen.get(name);
    if (!found) throw new BadArchive(`“${name}” is missing`);
    if (found.sha256 !== sha256 || found.bytes !== bytes)
      throw new BadArchive(`“${name}” is damaged: its hash is not the one in the manifest`);
    seen.delete(name);
  }
  seen.delete(MANIFEST);
  const [stray] = seen.keys();
  if (stray !== undefined) throw new BadArchive(`“${stray}” is not in its manifest`);
}

/** Reads a packed archive back: every file has the hash that its manifest says. Throws BadArchive. */
async function readBack(
  archive: string,
  manifest: Manifest,
  progress: Progress,
): Promise<void> {
  const nowhere = () => new Writable({ write: (_chunk, _encoding, next) => next() });
  try {
    holdAgainst(
      manifest,
      await readThrough(archive, progress, () => Promise.resolve(nowhere())),
    );
  } catch (error) {
    if (!(error instanceof BadArchive)) throw error;
    throw new BadArchive(
      `the backup was written, but does not read back: ${error.message}. It was thrown away; check the disk it was to go to, then make it again`,
    );
  }
}

/**
 * Unpacks a backup into an empty folder, holding every file against the manifest's hash.
 * Throws BadArchive at the first file that is missing, damaged or not of a backup.
 */
export async function unpackArchive(
  { archive, folder }: { archive: string; folder: string },
  progress: Progress,
): Promise<Manifest> {
  const seen = await readThrough(archive, progress, async (name) => {
    const target = join(folder, name);
    await mkdir(dirname(target), { recursive: true });
    return createWriteStream(target, { flush: true, flags: 'wx' });
  });
  const manifest = await manifestIn(folder);
  holdAgainst(manifest, seen);
  return manifest;
}

async function manifestIn(folder: string): Promise<Manifest> {
  const path = join(folder, MANIFEST);
  const text = await readFile(path, 'utf8').catch(() => {
    throw new BadArchive('it has no manifest: it is not a backup of a studio');
  });
  await rm(path);
  let read: Partial<Manifest>;
  try {
    read = JSON.parse(text) as Partial<Manifest>;
  } catch {
    throw new BadArchive('its manifest cannot be read');
  }
  if (read.kind !== KIND || !Array.isArray(read.files))
    throw new BadArchive('its manifest is not of a backup');
  if (read.version !== VERSION)
    throw new BadArchive(
      `it is of version ${String(read.version)}; this Glassine reads version ${VERSION}`,
    );
  return read as Manifest;
}

/**
 * Packs files into one ZIP archive (ZIP64 where needed) with a manifest of their hashes. It
 * is written under a name of its own, read back against the manifest, and appears under
 * `target` only then; never over something that is there. Files that are damaged are left out
 * and named.
 */
export async function packArchive(
  {
    entries,
    target,
    part,
    made,
  }: { entries: ArchiveEntry[]; target: string; part: string; made: string },
  progress: Progress,
): Promise<PackResult> {
  await mkdir(dirname(target), { recursive: true });
  const files: ManifestFile[] = [];
  const damaged: string[] = [];
  const good: ArchiveEntry[] = [];
  for (const [i, entry] of entries.entries()) {
    const found = await hashAndSize(entry.path);
    if (!found || (entry.sha256 !== null && found.sha256 !== entry.sha256))
      damaged.push(entry.name);
    else {
      files.push({ name: entry.name, ...found });
      good.push(entry);
    }
    progress('checking what is stored', (0.3 * (i + 1)) / entries.length);
  }
  const total = files.reduce((t, f) => t + f.bytes, 0) || 1;
  const zip = new yazl.ZipFile();
  zip.on('error', (error) => zip.outputStream.emit('error', error));
  const manifest: Manifest = {
    kind: KIND,
    version: VERSION,
    made,
    files,
    leftOut: damaged,
  };
  zip.addBuffer(Buffer.from(JSON.stringify(manifest, null, 1)), MANIFEST);
  // Pictures do not get smaller: they are stored as they are.
  for (const { name, path } of good) zip.addFile(path, name, { compress: false });
  zip.end();
  let done = 0;
  const count = new Transform({
    transform(chunk: Buffer, _encoding, next) {
      done += chunk.length;
      progress('packing', 0.3 + 0.4 * Math.min(1, done / total));
      next(null, chunk);
    },
  });
  try {
    await pipeline(zip.outputStream, count, createWriteStream(part, { flush: true }));
    await readBack(part, manifest, partOf(progress, 0.7, 1));
    await placeNew(part, target);
  } catch (error) {
    await rm(part, { force: true });
    throw error;
  }
  return { bytes: (await stat(target)).size, files: files.length, damaged };
}

export interface StoredFile {
  sha256: string;
  path: string;
}

/** Hashes stored files; answers with those that are missing or damaged. */
export async function checkStored(
  { files }: { files: StoredFile[] },
  progress: Progress,
): Promise<{ missing: string[]; damaged: string[]; bytes: number }> {
  const missing: string[] = [];
  const damaged: string[] = [];
  let bytes = 0;
  for (const [i, file] of files.entries()) {
    const found = await hashAndSize(file.path);
    if (!found) missing.push(file.sha256);
    else if (found.sha256 !== file.sha256) damaged.push(file.sha256);
    bytes += found?.bytes ?? 0;
    progress('taking checksums', (i + 1) / files.length);
  }
  return { missing, damaged, bytes };
}
