import { constants } from 'node:fs';
import { access, mkdir, realpath, stat, statfs } from 'node:fs/promises';
import { basename, delimiter, dirname, isAbsolute, join, resolve, sep } from 'node:path';

/** File systems that hold no files of anybody's (Linux, `statfs(2)`): proc, sysfs, cgroup, debugfs … */
const NOT_FOR_FILES = new Set([
  0x9fa0, 0x62656572, 0x27e0eb, 0x63677270, 0x64626720, 0x74726163, 0x73636673, 0x1cd1,
  0xcafe4a11, 0x6165676c, 0x62656570, 0x19800202,
]);

/** Folders of the data folder that files may be put into by name. */
const OWN = ['backups', 'drop'];

/** What is at a path really, as far as it is there: links are followed. */
async function reallyAt(path: string): Promise<string> {
  const there = await realpath(path).catch(() => null);
  if (there !== null) return there;
  const above = dirname(path);
  return above === path ? path : join(await reallyAt(above), basename(path));
}

const liesIn = (path: string, folder: string): boolean =>
  path === folder || path.startsWith(folder.endsWith(sep) ? folder : folder + sep);

/** Whether others on a network may ask; then only what its owner listed can be named. */
const onNetwork = () => process.env.GLASSINE_NETWORK === '1';

const listedRoots = () =>
  (process.env.GLASSINE_ROOTS ?? '')
    .split(delimiter)
    .map((root) => root.trim())
    .filter(isAbsolute);

/** Whether anything outside the data folder can be named at all: always, unless others may ask and nothing is listed. */
export const canName = (): boolean => !onNetwork() || listedRoots().length > 0;

const NOT_LISTED =
  'cannot be named from here, since others on the network can ask too. Whoever owns this machine can list the folders that may be named in GLASSINE_ROOTS, before starting Glassine.';

/**
 * Why a path may not be named, after the words for what it is; null when it may. What is at
 * it is not told before it may be.
 */
async function nameFault(
  home: string,
  path: string,
  example: string,
): Promise<string | null> {
  if (!isAbsolute(path))
    return `“${path}” is not a full path. Give it from the root, such as ${example}.`;
  if (path.includes('\0')) return 'this is no path.';
  if (!onNetwork()) return null;
  const real = await reallyAt(resolve(path));
  const roots = await Promise.all([
    ...listedRoots().map(reallyAt),
    ...OWN.map(async (name) => join(await reallyAt(home), name)),
  ]);
  return roots.some((root) => liesIn(real, root)) ? null : `${path} ${NOT_LISTED}`;
}

/** Makes a folder, one step at a time; throws what the system says of the first that fails. */
async function make(folder: string): Promise<void> {
  const there = await stat(folder).catch(() => null);
  if (there?.isDirectory()) return;
  if (there) throw Object.assign(new Error('not a folder'), { code: 'ENOTDIR' });
  if (dirname(folder) !== folder) await make(dirname(folder));
  await mkdir(folder).catch((error: NodeJS.ErrnoException) => {
    if (error.code !== 'EEXIST') throw error;
  });
}

/** The deepest folder of a path that is there. */
async function deepest(path: string): Promise<string> {
  const there = await stat(path).catch(() => null);
  return there || dirname(path) === path ? path : deepest(dirname(path));
}

/**
 * Why nothing can be put into a folder that was named, after the words for what it is; null
 * when it can: then it is there. The data folder is no place for it, but for `backups` and
 * `drop` in it, since what else lies there is swept.
 */
export async function folderFault(home: string, folder: string): Promise<string | null> {
  const unnamed = await nameFault(home, folder, '/media/disk/glassine');
  if (unnamed) return unnamed;
  const real = await reallyAt(resolve(folder));
  const data = await reallyAt(resolve(home));
  if (liesIn(real, data) && !OWN.some((name) => liesIn(real, join(data, name))))
    return `${folder} lies in the data folder, whose files Glassine sweeps and moves. Name a folder elsewhere, best on another disk.`;
  try {
    const { type } = await statfs(await deepest(real));
    if (NOT_FOR_FILES.has(type))
      return `${folder} is no place for files. Name another folder.`;
    await make(real);
    await access(real, constants.W_OK);
    return null;
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    return `${folder} cannot be written to (${code ?? 'unknown reason'}). Check that it is there, mounted and yours, or name another folder.`;
  }
}

/** What is at a path that is no plain file. */
const KINDS = [
  ['isDirectory', 'a folder'],
  ['isFIFO', 'a pipe'],
  ['isSocket', 'a socket'],
  ['isCharacterDevice', 'a device'],
  ['isBlockDevice', 'a device'],
] as const;

/** A file that was named and may be read, with its bytes, or why not, after the words for what it is. */
export async function namedFile(
  home: string,
  path: string,
): Promise<{ path: string; bytes: number } | { fault: string }> {
  const unnamed = await nameFault(home, path, '/home/me/scans/work.tif');
  if (unnamed) return { fault: unnamed };
  const found = await stat(path).catch(() => null);
  if (!found) return { fault: `there is nothing at ${path}. Check the path.` };
  const [, other] = KINDS.find(([is]) => found[is]()) ?? [];
  if (other) return { fault: `${path} is ${other}, not a file. Name one file.` };
  const readable = await access(path, constants.R_OK).then(
    () => true,
    () => false,
  );
  return readable
    ? { path, bytes: found.size }
    : { fault: `${path} may not be read. Check its permissions.` };
}
