import { mkdtempSync, rmSync } from 'node:fs';
import { mkdir, readFile, readdir, stat, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { Readable } from 'node:stream';
import {
  hashFile,
  isWhole,
  keep,
  receive,
  settle,
  storePaths,
  sweepLeftovers,
  unfinished,
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
  const got = await receive(home, bytes('abc'), 100);
  expect(got).toMatchObject({ sha256: ABC, bytes: 3 });
  expect(got.path.startsWith(storePaths(home).tmp)).toBe(true);
  await keep(home, got);
  const path = storePaths(home).file(ABC);
  expect(path).toBe(join(home, 'files', 'ba', ABC));
  expect(await readFile(path, 'utf8')).toBe('abc');
  expect(await hashFile(path)).toBe(ABC);
});

it('leaves a good copy as it is, and heals a damaged one with the good bytes', async () => {
  await keep(home, await receive(home, bytes('abc'), 100));
  const path = storePaths(home).file(ABC);
  const before = (await stat(path)).mtimeMs;
  await keep(home, await receive(home, bytes('abc'), 100));
  expect((await stat(path)).mtimeMs).toBe(before);
  await writeFile(path, 'abX');
  expect(await isWhole(home, ABC)).toBe(false);
  await keep(home, await receive(home, bytes('abc'), 100));
  expect(await isWhole(home, ABC)).toBe(true);
  expect(await readdir(storePaths(home).tmp)).toEqual([]);
});

it('a source that breaks leaves nothing, and its own reason', async () => {
  async function* broken() {
    yield Buffer.from('ab');
    await Promise.resolve();
    throw new Error('the line went dead');
  }
  await expect(receive(home, Readable.from(broken()), 100)).rejects.toThrow(
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
  await expect(receive(home, Readable.from(large()), 35)).rejects.toThrow('tooLarge');
  expect(sent).toBe(500);
  expect(await readdir(storePaths(home).tmp)).toEqual([]);
});

it('takes a file of no bytes as what it is', async () => {
  const got = await receive(home, Readable.from([]), 10);
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
  await put(paths.arrival(wanted), 'x');
  await put(paths.arrival(orphan), 'x');
  await put(paths.file(ABC), 'abc');
  await put(paths.preview(ABC), 'jpeg');
  const archive = join(home, 'elsewhere', 'kept.zip');
  await put(archive, 'whole');
  await put(unfinished(archive), 'half');
  expect(await sweepLeftovers(home, new Set([wanted]), [archive])).toBe(4);
  expect(await readdir(join(home, 'elsewhere'))).toEqual(['kept.zip']);
  expect(await readdir(paths.tmp)).toEqual([]);
  expect(await readdir(paths.arrivals)).toEqual([wanted]);
  expect(await there(paths.file(ABC))).toBe(true);
  expect(await there(paths.preview(ABC))).toBe(true);
  // Nothing to sweep is no fault.
  rmSync(paths.tmp, { recursive: true });
  expect(await sweepLeftovers(home, new Set([wanted]))).toBe(0);
});
