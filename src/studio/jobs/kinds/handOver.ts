import { dayIn } from '@/core/days';
import { randomUUID } from 'node:crypto';
import { constants } from 'node:fs';
import {
  copyFile,
  mkdir,
  open as openFile,
  readdir,
  rename,
  rm,
  stat,
  writeFile,
} from 'node:fs/promises';
import { basename, join } from 'node:path';
import { csvText } from '@/documents';
import { MANIFEST_COLUMNS, ppiOf, sheetKind, slug } from '@/core/prepare';
import type { HandOverManifest } from '@/core/prepare';
import {
  addErrand,
  getPrintFile,
  getRoute,
  getSheetFile,
  getWork,
  nextErrandNumber,
  numberAfter,
  paperNames,
  readSettings,
} from '@/data';
import type { PrintFile, Writing } from '@/data';
import { Cancelled, runInWorker, storePaths } from '@/engine';
import type { Progress } from '@/engine';
import { nominalSize } from '@/core/size';
import { mmOf } from '@/core/units';
import { now } from '../../running/studio';
import type { Studio } from '../../running/studio';
import { folderFault } from '../../folders/named';
import { mediaSetting } from '../../reads/profileFor';
import type { JobDefinition } from '../definition';

/** Files on their way to who prints them, of one work or of several. */
export interface HandOverOrder {
  /** The work at whose station they were handed over; orders of before name only that. */
  workId?: number;
  /** The plan of sheets that they are of. */
  planId?: number;
  routeId: number;
  items: {
    printFileId: number;
    paperId: number | null;
    quantity: number;
    remarks: string;
  }[];
  /** Files of whole sheets. */
  sheets?: { sheetId: number; paperId: number | null; quantity: number; remarks: string }[];
  at?: string;
}

/** Where the files of a route go. */
export const dropFolder = (
  home: string,
  route: { name: string; folder: string },
): string => (route.folder === '' ? join(home, 'drop', slug(route.name)) : route.folder);

/** Why nothing can be put into the folder of a route, in a sentence; null when it can. */
export async function dropFault(
  home: string,
  route: { name: string; folder: string },
): Promise<string | null> {
  const fault = await folderFault(home, dropFolder(home, route));
  return fault && `Drop folder: ${fault} Nothing was handed over.`;
}

/** Manifest of an errand as it lies beside the files: CSV for people, JSON for programs. */
async function writeManifest(folder: string, manifest: HandOverManifest): Promise<void> {
  const rows = manifest.items.map((item) => MANIFEST_COLUMNS.map((c) => item[c] ?? ''));
  await writeFile(join(folder, 'manifest.csv'), csvText([[...MANIFEST_COLUMNS], ...rows]));
  await writeFile(join(folder, 'manifest.json'), `${JSON.stringify(manifest, null, 2)}\n`);
}

type ManifestItem = HandOverManifest['items'][number];

/** Copies one stored print file into a folder, and holds the copy against its checksum. */
async function copyOut(
  { home }: Studio,
  file: Pick<PrintFile, 'name' | 'sha256'>,
  folder: string,
  signal: AbortSignal,
): Promise<void> {
  if (file.name !== basename(file.name))
    throw new Error(`“${file.name}” is no name of a file. Write the file again`);
  const copy = join(folder, file.name);
  // Never over another file of the same name.
  const flags = constants.COPYFILE_FICLONE | constants.COPYFILE_EXCL;
  await copyFile(storePaths(home).file(file.sha256), copy, flags);
  const silent = () => undefined;
  if ((await runInWorker('hash', { path: copy }, silent, signal)) !== file.sha256)
    throw new Error(
      `the copy of ${file.name} is not the file that was written: the stored file or the disk is damaged. Write the file again`,
    );
  const written = await openFile(copy, 'r+');
  await written.sync().finally(() => written.close());
}

const manifestItem = (
  file: Pick<PrintFile, 'name' | 'sha256' | 'bytes' | 'width' | 'height'>,
  item: { quantity: number; remarks: string },
  {
    title,
    size,
    ppi,
    paper,
    setting,
  }: Pick<ManifestItem, 'title' | 'size' | 'ppi' | 'paper' | 'setting'>,
): ManifestItem => {
  const tenths = (px: number) => Math.round(mmOf(px, ppi) * 10) / 10;
  return {
    file: file.name,
    sha256: file.sha256,
    bytes: file.bytes,
    title,
    size,
    widthMm: tenths(file.width),
    heightMm: tenths(file.height),
    widthPx: file.width,
    heightPx: file.height,
    ppi,
    paper,
    ...(setting ? { setting } : {}),
    quantity: item.quantity,
    remarks: item.remarks,
  };
};

/** The folder holds just what its manifest says: each file, and each of its size. */
async function heldAgainst(folder: string, items: readonly ManifestItem[]): Promise<void> {
  const there = (await readdir(folder)).sort();
  const wanted = [...items.map((i) => i.file), 'manifest.csv', 'manifest.json'].sort();
  const sizes = await Promise.all(items.map((i) => stat(join(folder, i.file))));
  const whole = sizes.every((s, i) => s.size === items[i]!.bytes);
  if (!whole || there.join('\n') !== wanted.join('\n'))
    throw new Error(
      'the folder does not hold what its manifest says. Nothing was handed over; try again',
    );
}

/** The next number of which no folder is there yet, and that folder. */
async function freeNumber(tx: Writing, folder: string) {
  let number = await nextErrandNumber(tx);
  // A folder without its errand is left by a crash between the two; it keeps its name.
  while (await stat(join(folder, number)).catch(() => null)) number = numberAfter(number);
  return { number, final: join(folder, number) };
}

/**
 * Copies print files and their manifest into a folder of the route; number and name of the
 * folder are decided in the write that notes the errand, when all of it is there and every
 * copy has the checksum of its file.
 */
export async function handOver(
  studio: Studio,
  order: HandOverOrder,
  progress: Progress,
  signal: AbortSignal,
): Promise<number> {
  const db = studio.db.read;
  const [route, settings] = await Promise.all([
    getRoute(db, order.routeId),
    readSettings(db),
  ]);
  if (!route) throw new Error('the route is not there any more');
  const folder = dropFolder(studio.home, route);
  const refused = await dropFault(studio.home, route);
  if (refused) throw new Error(refused);
  const { sheets = [] } = order;
  const papers = await paperNames(
    db,
    [...order.items, ...sheets].flatMap((i) => (i.paperId === null ? [] : [i.paperId])),
  );
  const paperOf = ({ paperId }: { paperId: number | null }) =>
    (paperId !== null && papers.get(paperId)) || '';
  const settingOf = ({ paperId }: { paperId: number | null }) =>
    paperId === null ? '' : mediaSetting(db, paperId, route);
  const at = order.at ?? now();
  const part = join(folder, `.handing-over-${randomUUID()}`);
  let named: string | null = null;
  await mkdir(part, { recursive: true });
  try {
    const items: ManifestItem[] = [];
    let artist = '';
    for (const [i, item] of order.items.entries()) {
      const file = await getPrintFile(db, item.printFileId);
      const work = file && (await getWork(db, file.workId));
      if (!file || !work) throw new Error('a print file of it is not there any more');
      artist ||= work.artist;
      signal.throwIfAborted();
      progress(`copying ${file.name}`, i / (order.items.length + sheets.length));
      await copyOut(studio, file, part, signal);
      const about = {
        title: work.title,
        size: nominalSize(file.sizeKey)?.label ?? file.sizeKey,
        ppi: ppiOf(file.recipe),
        paper: paperOf(item),
        setting: await settingOf(item),
      };
      items.push(manifestItem(file, item, about));
    }
    for (const item of sheets) {
      const file = await getSheetFile(db, item.sheetId);
      if (!file) throw new Error('a sheet of it is not there any more');
      signal.throwIfAborted();
      progress(`copying ${file.name}`, items.length / (order.items.length + sheets.length));
      await copyOut(studio, file, part, signal);
      const { pieces, sizes } = sheetKind(file.kind).held(file.content);
      const title = `${pieces} prints`;
      const about = {
        ...{ title, size: sizes.join(', '), ppi: file.ppi },
        ...{ paper: paperOf(item), setting: await settingOf(item) },
      };
      items.push(manifestItem(file, item, about));
    }
    progress('writing the manifest', 0.98);
    return await studio.db.write(async (tx) => {
      const { number, final } = await freeNumber(tx, folder);
      const manifest: HandOverManifest = {
        errand: number,
        from: settings.studio || artist,
        to: route.name,
        on: dayIn(at, settings.timeZone),
        items,
      };
      await writeManifest(part, manifest);
      await heldAgainst(part, items);
      await rename(part, final);
      named = final;
      return addErrand(
        tx,
        { number, routeId: route.id, folder: final, manifest, at },
        order.items.map(({ printFileId, paperId, quantity }) => ({
          printFileId,
          paperId,
          quantity,
        })),
        sheets.map(({ sheetId, paperId, quantity }) => ({ sheetId, paperId, quantity })),
      );
    });
  } catch (error) {
    await rm(part, { recursive: true, force: true });
    if (named !== null) await rm(named, { recursive: true, force: true });
    throw signal.aborted ? new Cancelled() : error;
  }
}

/** The same as a job. */
async function handOverRun(
  open: Studio,
  order: HandOverOrder,
  progress: Progress,
  signal: AbortSignal,
): Promise<void> {
  await handOver(open, order, progress, signal);
}

export const handOverFiles: JobDefinition<HandOverOrder> = {
  called: 'Handing over files',
  run: handOverRun,
};
