import { mkdtempSync, rmSync } from 'node:fs';
import { mkdir, readFile, readdir, stat, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { Readable } from 'node:stream';
import {
  hashFile,
  isWhole,
  keep,
  placeNew,
  receive,
  settle,
  storePaths,
  sweepLeftovers,
  unfinished,
  unnamedFiles,
} from './store';

let home: string;
beforeEach(() => {
  home = mkdtempSync(join(tmpdir(), 'glassine-store-'));
});
afterEach(() => rmSync(home, { recursive: true }));

const ABC = 'ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad';
const bytes = (text: string) => Readable.from([Buffer.from(text)]);
const put = async (path: string, text: string) => {
  await mkdir(dirname(path), { recursive: true });
  await writeFile(path, text);
};
const there = (path: string) =>
  stat(path).then(
    () => true,
    () => false,
  );

it('keeps a file under its hash, under no name from outside', async () => {
  const got = await receive(home, bytes('abc'), { mostBytes: 100 });
  expect(got).toMatchObject({ sha256: ABC, bytes: 3 });
  expect(got.path.startsWith(storePaths(home).tmp)).toBe(true);
  await keep(home, got);
  const path = storePaths(home).file(ABC);
  expect(path).toBe(join(home, 'files', 'ba', ABC));
  expect(await readFile(path, 'utf8')).toBe('abc');
  expect(await hashFile(path)).toBe(ABC);
});

it('leaves a good copy as it is, and heals a damaged one with the good bytes', async () => {
  await keep(home, await receive(home, bytes('abc'), { mostBytes: 100 }));
  const path = storePaths(home).file(ABC);
  const before = (await stat(path)).mtimeMs;
  await keep(home, await receive(home, bytes('abc'), { mostBytes: 100 }));
  expect((await stat(path)).mtimeMs).toBe(before);
  await writeFile(path, 'abX');
  expect(await isWhole(home, ABC)).toBe(false);
  await keep(home, await receive(home, bytes('abc'), { mostBytes: 100 }));
  expect(await isWhole(home, ABC)).toBe(true);
  expect(await readdir(storePaths(home).tmp)).toEqual([]);
});

it('a source that breaks leaves nothing, and its own reason', async () => {
  async function* broken() {
    yield Buffer.from('ab');
    await Promise.resolve();
    throw new Error('the line went dead');
  }
  await expect(receive(home, Readable.from(broken()), { mostBytes: 100 })).rejects.toThrow(
    'the line went dead',
  );
  expect(await readdir(storePaths(home).tmp)).toEqual([]);
});

it('one that is too large is read to its end, so that its sender hears the answer', async () => {
  let sent = 0;
  function* large() {
    for (let i = 0; i < 50; i += 1) {
      sent += 10;
      yield Buffer.alloc(10);
    }
  }
  await expect(receive(home, Readable.from(large()), { mostBytes: 35 })).rejects.toThrow(
    'tooLarge',
  );
  expect(sent).toBe(500);
  expect(await readdir(storePaths(home).tmp)).toEqual([]);
});

it('takes a file of no bytes as what it is', async () => {
  const got = await receive(home, Readable.from([]), { mostBytes: 10 });
  expect(got.bytes).toBe(0);
  expect(got.sha256).toMatch(/^e3b0c442/);
});

it('puts a file in its place in one step, over what was there', async () => {
  const [from, to] = [join(home, 'tmp', 'a'), join(home, 'files', 'x', 'y')];
  await put(from, 'new');
  await put(to, 'old');
  await settle(from, to);
  expect(await readFile(to, 'utf8')).toBe('new');
  expect(await there(from)).toBe(false);
});

it('sweeps what a stopped server left, and nothing that is still wanted', async () => {
  const paths = storePaths(home);
  const [wanted, orphan] = ['1'.repeat(64), '2'.repeat(64)];
  await put(join(paths.tmp, 'half.v'), 'x');
  await put(join(paths.tmp, 'folder', 'deep'), 'x');
  const theirs = `4711-copy.db`;
  await put(join(paths.tmp, theirs), 'x');
  await put(paths.arrival(wanted), 'x');
  await put(paths.arrival(orphan), 'x');
  await put(paths.file(ABC), 'abc');
  await put(paths.preview(ABC), 'jpeg');
  const archive = join(home, 'elsewhere', 'kept.zip');
  await put(archive, 'whole');
  const part = unfinished(archive);
  await put(part, 'half');
  expect(await sweepLeftovers(home, { arrivals: [wanted], writers: [4711] }, [part])).toBe(
    4,
  );
  expect(await readdir(join(home, 'elsewhere'))).toEqual(['kept.zip']);
  expect(await readdir(paths.tmp)).toEqual([theirs]);
  expect(await readdir(paths.arrivals)).toEqual([wanted]);
  expect(await there(paths.file(ABC))).toBe(true);
  expect(await there(paths.preview(ABC))).toBe(true);
  // Nothing to sweep is no fault.
  rmSync(paths.tmp, { recursive: true });
  expect(await sweepLeftovers(home, { arrivals: [wanted], writers: [] })).toBe(0);
});

it('finds stored files that nothing names, and not what was put there just now', async () => {
  const named = 'a'.repeat(64);
  const other = 'b'.repeat(64);
  for (const sha256 of [named, other]) await put(storePaths(home).file(sha256), '12345');
  const soon = Date.now() + 60_000;
  expect(await unnamedFiles(home, new Set([named]), soon)).toEqual([
    { sha256: other, bytes: 5 },
  ]);
  expect(await unnamedFiles(home, new Set([named]), Date.now() - 60_000)).toEqual([]);
});

it('no path is made of what is no hash', () => {
  const paths = storePaths(home);
  for (const bad of ['../../etc/passwd', 'A'.repeat(64), '', `${'a'.repeat(64)}\n`])
    for (const path of [
      paths.file,
      paths.derived,
      paths.pixels,
      paths.preview,
      paths.tiles,
    ])
      expect(() => path(bad)).toThrow('no hash');
});

it('takes a name that is free, and never one that is not', async () => {
  const [part, target] = [join(home, 'part'), join(home, 'target')];
  await put(part, 'new');
  await placeNew(part, target);
  expect(await readdir(home)).toEqual(['target']);
  await put(part, 'newer');
  await expect(placeNew(part, target)).rejects.toMatchObject({ code: 'EEXIST' });
  expect(await readFile(target, 'utf8')).toBe('new');
});

it('what is not wanted is told by its first bytes, and the rest of it is not kept', async () => {
  let sent = 0;
  function* large() {
    for (; sent < 40; sent += 1) yield Buffer.alloc(100_000, 7);
  }
  const recognise = jest.fn(() => {
    throw new Error('not this');
  });
  await expect(
    receive(home, Readable.from(large()), { mostBytes: 1e9, recognise }),
  ).rejects.toThrow('not this');
  expect(recognise.mock.calls).toHaveLength(1);
  expect((recognise.mock.calls as unknown as [Buffer][])[0]![0]).toHaveLength(65536);
  expect(await readdir(storePaths(home).tmp)).toEqual([]);
});
