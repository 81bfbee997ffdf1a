import { createHash } from 'node:crypto';
import { mkdir, mkdtemp, readFile, readdir, rm, writeFile } from 'node:fs/promises';
import { createWriteStream, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import yazl from 'yazl';
import { BadArchive, MANIFEST, checkStored, packArchive, unpackArchive } from './archive';
import type { ArchiveEntry } from './archive';

let home: string;
beforeEach(async () => {
  home = await mkdtemp(join(tmpdir(), 'archive-'));
});
afterEach(() => rm(home, { recursive: true }));

const silent = () => undefined;
const hashOf = (bytes: Buffer) => createHash('sha256').update(bytes).digest('hex');

async function stored(bytes: Buffer) {
  const sha256 = hashOf(bytes);
  const path = join(home, sha256);
  await writeFile(path, bytes);
  return { name: `files/${sha256.slice(0, 2)}/${sha256}`, path, sha256 };
}

async function backup(name = 'b.zip') {
  const database = join(home, 'studio.db');
  await writeFile(database, 'a database');
  const files = [await stored(Buffer.from('one')), await stored(Buffer.alloc(300_000, 7))];
  const target = join(home, 'out', name);
  const entries = [{ name: 'studio.db', path: database, sha256: null }, ...files];
  const part = join(home, 'part');
  const packed = await packArchive({ entries, target, part, made: '2026-01-01' }, silent);
  return { target, files, packed, entries };
}

const unpack = (archive: string, into = 'back') =>
  unpackArchive({ archive, folder: join(home, into) }, silent);

/** An archive by hand, to be wrong in one way. */
async function archiveOf(contents: Record<string, string | Buffer>) {
  const zip = new yazl.ZipFile();
  for (const [name, data] of Object.entries(contents))
    zip.addBuffer(Buffer.from(data), name);
  zip.end();
  const path = join(home, 'made.zip');
  await pipeline(zip.outputStream, createWriteStream(path));
  return path;
}
const manifest = (files: { name: string; bytes: number; sha256: string }[], over = {}) =>
  JSON.stringify({
    kind: 'glassine backup',
    version: 1,
    made: 'x',
    files,
    leftOut: [],
    ...over,
  });

it('what was packed comes back byte for byte, and nothing else is left', async () => {
  const { target, files, packed } = await backup();
  expect(packed).toMatchObject({ files: 3, damaged: [] });
  const read = await unpack(target);
  expect(read.files.map((f) => f.name)).toEqual(['studio.db', ...files.map((f) => f.name)]);
  for (const f of files)
    expect(hashOf(await readFile(join(home, 'back', f.name)))).toBe(f.sha256);
  expect((await readdir(join(home, 'back'))).sort()).toEqual(['files', 'studio.db']);
  expect(await readdir(join(home, 'out'))).toEqual(['b.zip']);
});

it('leaves out and names what is damaged or gone', async () => {
  const { files, entries } = await backup();
  await writeFile(files[0]!.path, 'two');
  await rm(files[1]!.path);
  const target = join(home, 'out', 'c.zip');
  const part = join(home, 'part');
  const packed = await packArchive({ entries, target, part, made: 'x' }, silent);
  expect(packed).toMatchObject({ files: 1, damaged: files.map((f) => f.name) });
  expect((await unpack(target)).leftOut).toEqual(files.map((f) => f.name));
});

it('a flipped byte, a cut end, a missing or stray file are found', async () => {
  const { target } = await backup();
  const whole = await readFile(target);
  const flipped = Buffer.from(whole);
  flipped[whole.indexOf(Buffer.alloc(64, 7)) + 9]! ^= 1;
  await writeFile(target, flipped);
  await expect(unpack(target, 'a')).rejects.toThrow(BadArchive);
  await writeFile(target, whole.subarray(0, whole.length / 2));
  await expect(unpack(target, 'b')).rejects.toThrow('no whole ZIP archive');
  const listed = [{ name: 'studio.db', bytes: 2, sha256: hashOf(Buffer.from('db')) }];
  const missing = await archiveOf({ [MANIFEST]: manifest(listed) });
  await expect(unpack(missing, 'c')).rejects.toThrow('“studio.db” is missing');
  const wrong = await archiveOf({ [MANIFEST]: manifest(listed), 'studio.db': 'dx' });
  await expect(unpack(wrong, 'd')).rejects.toThrow('is damaged');
  const stray = await archiveOf({
    [MANIFEST]: manifest(listed),
    'studio.db': 'db',
    [`files/ab/${'ab'.repeat(32)}`]: 'x',
  });
  await expect(unpack(stray, 'e')).rejects.toThrow('is not in its manifest');
});

it('nothing can be written outside the folder, and no other archive is taken', async () => {
  for (const name of ['x/../studio.db', 'files/zz/x', 'readme.txt', 'studio.db/x']) {
    const bad = await archiveOf({ [MANIFEST]: manifest([]), [name]: 'x' }).catch(
      () => null,
    );
    if (bad) await expect(unpack(bad, `f-${name.length}`)).rejects.toThrow(BadArchive);
  }
  const none = await archiveOf({ 'studio.db': 'x' });
  await expect(unpack(none, 'g')).rejects.toThrow('it has no manifest');
  const other = await archiveOf({ [MANIFEST]: manifest([], { kind: 'other' }) });
  await expect(unpack(other, 'h')).rejects.toThrow('not of a backup');
  const newer = await archiveOf({ [MANIFEST]: manifest([], { version: 2 }) });
  await expect(unpack(newer, 'i')).rejects.toThrow('of version 2');
});

it('checks stored files against their hashes', async () => {
  const [good, bad, gone] = [
    await stored(Buffer.from('good')),
    await stored(Buffer.from('bad')),
    { sha256: 'f'.repeat(64), path: join(home, 'nowhere') },
  ];
  await writeFile(bad.path, 'worse');
  await mkdir(join(home, 'x'));
  const found = await checkStored({ files: [good, bad, gone] }, silent);
  expect(found).toEqual({ missing: [gone.sha256], damaged: [bad.sha256], bytes: 9 });
});

it('is not done before it reads back as its manifest says, and never over another', async () => {
  const { entries, target } = await backup();
  const before = await readFile(target);
  const part = join(home, 'part');
  const again = { entries, target, part, made: 'x' };
  await expect(packArchive(again, silent)).rejects.toMatchObject({ code: 'EEXIST' });
  expect((await readFile(target)).equals(before)).toBe(true);
  // A file that changes between its hash and its packing.
  const changed: ArchiveEntry = {
    name: entries[1]!.name,
    path: entries[1]!.path,
    sha256: null,
  };
  const late = join(home, 'out', 'late.zip');
  const atOnce = (stage: string) => {
    if (stage === 'checking what is stored') writeFileSync(changed.path, 'owe');
  };
  await expect(
    packArchive({ entries: [changed], target: late, part, made: 'x' }, atOnce),
  ).rejects.toThrow(/does not read back: .* is damaged/);
  expect(await readdir(join(home, 'out'))).toEqual(['b.zip']);
});
