import { constants } from 'node:fs';
import {
  access,
  copyFile,
  mkdir,
  open as openFile,
  rename,
  rm,
  writeFile,
} from 'node:fs/promises';
import { isAbsolute, join } from 'node:path';
import { stringify } from 'csv-stringify/sync';
import { guardCell } from '@/core/csv';
import { MANIFEST_COLUMNS, ppiOf, slug } from '@/core/prepare';
import type { HandOverManifest } from '@/core/prepare';
import {
  addErrand,
  getPrintFile,
  getRoute,
  getWork,
  nextErrandNumber,
  paperNames,
  readSettings,
} from '@/data';
import { Cancelled, runInWorker, storePaths } from '@/engine';
import type { Progress } from '@/engine';
import { nominalSize } from '@/core/size';
import { now } from '../../running/studio';
import type { Studio } from '../../running/studio';
import type { JobDefinition } from '../definition';

/** Files of a work on their way to who prints them. */
export interface HandOverOrder {
  workId: number;
  routeId: number;
  items: {
    printFileId: number;
    paperId: number | null;
    quantity: number;
    remarks: string;
  }[];
  at?: string;
}

/** Where the files of a route go. */
export const dropFolder = (
  home: string,
  route: { name: string; folder: string },
): string => (route.folder === '' ? join(home, 'drop', slug(route.name)) : route.folder);

/** Why nothing can be put into a folder, in a sentence; null when it can. */
export async function folderRefusal(folder: string): Promise<string | null> {
  if (!isAbsolute(folder))
    return `Drop folder: “${folder}” is not a full path. Give it from the root, such as /home/me/to-the-lab.`;
  try {
    await mkdir(folder, { recursive: true });
    await access(folder, constants.W_OK);
    return null;
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    return `Drop folder: ${folder} cannot be written to (${code ?? 'unknown reason'}). Nothing was handed over. Check that it is there, mounted and yours, or give the route another folder.`;
  }
}

/** Manifest of an errand as it lies beside the files: CSV for people, JSON for programs. */
async function writeManifest(folder: string, manifest: HandOverManifest): Promise<void> {
  const rows = manifest.items.map((item) =>
    MANIFEST_COLUMNS.map((c) => guardCell(item[c])),
  );
  await writeFile(
    join(folder, 'manifest.csv'),
    stringify([[...MANIFEST_COLUMNS], ...rows]),
  );
  await writeFile(join(folder, 'manifest.json'), `${JSON.stringify(manifest, null, 2)}\n`);
}

/**
 * Copies print files and their manifest into a folder of the route; the folder gets its name
 * only when all of it is there and every copy has the checksum of its file.
 */
export async function handOver(
  studio: Studio,
  order: HandOverOrder,
  progress: Progress,
  signal: AbortSignal,
): Promise<number> {
  const db = studio.db.read;
  const [route, work, settings] = await Promise.all([
    getRoute(db, order.routeId),
    getWork(db, order.workId),
    readSettings(db),
  ]);
  if (!route || !work) throw new Error('the route or the work is not there any more');
  const folder = dropFolder(studio.home, route);
  const refused = await folderRefusal(folder);
  if (refused) throw new Error(refused);
  const papers = await paperNames(
    db,
    order.items.flatMap((i) => (i.paperId === null ? [] : [i.paperId])),
  );
  const files = await Promise.all(order.items.map((i) => getPrintFile(db, i.printFileId)));
  const at = order.at ?? now();
  const number = await nextErrandNumber(db);
  const final = join(folder, number);
  const part = join(folder, `.${number}.part`);
  await rm(part, { recursive: true, force: true });
  await mkdir(part, { recursive: true });
  try {
    const manifest: HandOverManifest = {
      errand: number,
      from: settings.studio || work.artist,
      to: route.name,
      on: at.slice(0, 10),
      items: [],
    };
    for (const [i, item] of order.items.entries()) {
      const file = files[i];
      if (!file) throw new Error('a print file of it is not there any more');
      signal.throwIfAborted();
      progress(`copying ${file.name}`, i / order.items.length);
      const copy = join(part, file.name);
      await copyFile(
        storePaths(studio.home).file(file.sha256),
        copy,
        constants.COPYFILE_FICLONE,
      );
      const silent = () => undefined;
      if ((await runInWorker('hash', { path: copy }, silent, signal)) !== file.sha256)
        throw new Error(
          `the copy of ${file.name} is not the file that was written: the stored file or the disk is damaged. Write the file again`,
        );
      const written = await openFile(copy, 'r+');
      await written.sync().finally(() => written.close());
      const ppi = ppiOf(file.recipe);
      manifest.items.push({
        file: file.name,
        sha256: file.sha256,
        bytes: file.bytes,
        size: nominalSize(file.sizeKey)?.label ?? file.sizeKey,
        widthMm: Math.round((file.width / ppi) * 254) / 10,
        heightMm: Math.round((file.height / ppi) * 254) / 10,
        widthPx: file.width,
        heightPx: file.height,
        ppi,
        paper: (item.paperId !== null && papers.get(item.paperId)) || '',
        quantity: item.quantity,
        remarks: item.remarks,
      });
    }
    progress('writing the manifest', 0.98);
    await writeManifest(part, manifest);
    await rename(part, final);
    return await studio.db.write((tx) =>
      addErrand(
        tx,
        { number, routeId: route.id, workId: work.id, folder: final, manifest, at },
        order.items.map(({ printFileId, paperId, quantity }) => ({
          printFileId,
          paperId,
          quantity,
        })),
      ),
    );
  } catch (error) {
    await rm(part, { recursive: true, force: true });
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
