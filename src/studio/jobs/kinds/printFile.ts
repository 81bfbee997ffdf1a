import { dayIn } from '@/core/days';
import { mkdir, rm, stat } from 'node:fs/promises';
import { checksumCheck, fileName, ppiOf, verifyPrintFile } from '@/core/prepare';
import type { PrintPlan, Recipe } from '@/core/prepare';
import {
  addPrintFile,
  filesOf,
  getMaster,
  getPrintFile,
  getRecipe,
  getWork,
  jobsToCome,
  readSettings,
} from '@/data';
import type { PrintFile, Reading } from '@/data';
import { fillPrintFile, partOf, runInWorker, storePaths } from '@/engine';
import type { PrintTarget, Progress } from '@/engine';
import { colourOf, ensureWorkingCopy } from '../picture';
import { keeping } from '../../keeping/keeping';
import { now } from '../../running/studio';
import type { Studio } from '../../running/studio';
import type { JobDefinition } from '../definition';
import { targetFor } from '../../reads/targets';
import { estimateNew } from './ink';

/** What a file is called, and the how manieth of its size, kind and colours it is. */
export interface FileNamed {
  name: string;
  version: number;
  channels: 3 | 4;
}

export interface PrintFileOrder {
  workId: number;
  title: string;
  sizeKey: string;
  sizeLabel: string;
  masterId: number;
  plan: PrintPlan;
  recipe: Recipe;
  /** The named recipe that this is, if it is one. */
  recipeId?: number | null;
  /** A print file, unless it is a copy for a screen. */
  kind?: PrintFile['kind'];
  /** Words over the picture of a screen copy. */
  watermark?: string;
  /** When it was ordered; now, unless told otherwise. */
  at?: string;
  /** Its name and version, decided when it was ordered. */
  named?: FileNamed;
}

/** What a file says of who made the picture. */
export const aboutOf = (work: { title: string; artist: string; year: number }) => ({
  title: work.title,
  artist: work.artist,
  copyright: `© ${work.year} ${work.artist}`,
});

/** Files of a work that are there, and those that are promised to jobs still to come. */
async function filesToBe(db: Reading, workId: number) {
  const [files, coming] = await Promise.all([
    filesOf(db, workId),
    jobsToCome(db, workId, 'printFile'),
  ]);
  const promised = coming.flatMap(({ spec }) => {
    const { sizeKey, kind = 'print', named } = spec as PrintFileOrder;
    return named ? [{ sizeKey, kind, ...named }] : [];
  });
  return [...files, ...promised];
}

/**
 * The name and version that a file of this order gets: decided once, in the write that notes
 * its job, so that no two jobs are promised one name.
 */
export async function nameOfFile(
  db: Reading,
  order: PrintFileOrder,
  into: Pick<PrintTarget, 'name' | 'channels'>,
  at: string,
): Promise<FileNamed & { taken: boolean }> {
  const kind = order.kind ?? 'print';
  const files = await filesToBe(db, order.workId);
  // The files in ink and the ones in light are counted apart: a pair has the same number.
  const before = files
    .filter(
      (f) => f.sizeKey === order.sizeKey && f.kind === kind && f.channels === into.channels,
    )
    .map((f) => f.version);
  const version = 1 + Math.max(0, ...before);
  const [work, recipe, { timeZone }] = await Promise.all([
    getWork(db, order.workId),
    order.recipeId ? getRecipe(db, order.recipeId) : null,
    readSettings(db),
  ]);
  const { format, name: pattern } = order.recipe.file;
  const ink = into.channels === 4 ? '_cmyk' : '';
  const name = fileName(`${pattern}${ink}`, format, {
    size: order.sizeLabel,
    title: order.title,
    artist: work?.artist ?? '',
    ppi: ppiOf(order.recipe),
    version,
    space: into.name,
    recipe: recipe?.name ?? 'own',
    date: dayIn(at, timeZone),
  });
  return {
    name,
    version,
    channels: into.channels,
    taken: files.some((f) => f.name === name),
  };
}

export const nameTaken = (name: string): string =>
  `File name: this work has a file ${name} already, or one is being written, and two files must not carry one name. Put {version} into the name, then write it again.`;

/** What the file will be called, before a pixel of it is made. Throws where that name is taken by now. */
async function namedBefore(
  open: Studio,
  order: PrintFileOrder,
  into: Pick<PrintTarget, 'name' | 'channels'>,
  at: string,
): Promise<FileNamed> {
  const { named } = order;
  const { taken, ...found } = named
    ? {
        ...named,
        taken: (await filesOf(open.db.read, order.workId)).some(
          (f) => f.name === named.name,
        ),
      }
    : await nameOfFile(open.db.read, order, into, at);
  if (taken) throw new Error(nameTaken(found.name));
  return found;
}

/**
 * Writes a print file, reopens and checks it, keeps it under its hash and notes it down
 * with its recipe. Cancelled or failed, it leaves nothing.
 */
export async function writePrintFile(
  open: Studio,
  order: PrintFileOrder,
  progress: Progress,
  signal: AbortSignal,
): Promise<number> {
  const { plan, recipe, workId, sizeKey, kind = 'print' } = order;
  const paths = storePaths(open.home);
  const target = paths.temporary();
  const [master, work] = await Promise.all([
    getMaster(open.db.read, order.masterId),
    getWork(open.db.read, workId),
  ]);
  if (!master || !work)
    throw new Error('the master it was ordered from is not there any more');
  const silent = () => undefined;
  const at = order.at ?? now();
  try {
    const into = await targetFor(open, recipe.convert.target);
    const named = await namedBefore(open, order, into, at);
    const colour = await colourOf(open, master);
    const pixels = paths.pixels(master.picture);
    await mkdir(paths.tmp, { recursive: true });
    await ensureWorkingCopy(open, master, silent, signal);
    await fillPrintFile(
      { pixels, colour, plan, recipe, into, about: aboutOf(work), target },
      partOf(progress, 0, 0.94),
      signal,
      order.watermark,
    );
    progress('reopening and checking', 0.94);
    const expected = { pixels, colour, recipe, into };
    const found = await runInWorker(
      'reopen',
      { path: target, plan, expected },
      silent,
      signal,
    );
    const checks = verifyPrintFile(
      {
        width: plan.width,
        height: plan.height,
        ppi: ppiOf(recipe),
        profile: into.name,
        channels: into.channels,
        bits: recipe.file.format === 'jpeg' ? 8 : recipe.file.bits,
        format: recipe.file.format,
        title: work.title,
      },
      found,
    );
    progress('taking its checksum', 0.97);
    const sha256 = await runInWorker('hash', { path: target }, silent, signal);
    const { size: bytes } = await stat(target);
    return await keeping(open, async ({ keep }) => {
      await keep({ path: target, sha256, bytes });
      const kept = await runInWorker('hash', { path: paths.file(sha256) }, silent, signal);
      checks.push(checksumCheck(sha256, kept));
      return open.db.write((tx) =>
        addPrintFile(tx, {
          workId,
          sizeKey,
          masterId: master.id,
          version: named.version,
          name: named.name,
          sha256,
          bytes,
          width: plan.width,
          height: plan.height,
          kind,
          channels: into.channels,
          factor: plan.factor,
          recipe,
          recipeId: order.recipeId ?? null,
          checks,
          at,
        }),
      );
    });
  } catch (error) {
    await rm(target, { force: true });
    throw error;
  }
}

/** The same as a job. */
async function printFileRun(
  open: Studio,
  order: PrintFileOrder,
  progress: Progress,
  signal: AbortSignal,
): Promise<void> {
  const id = await writePrintFile(open, order, progress, signal);
  const file = await getPrintFile(open.db.read, id);
  if (file?.kind !== 'print') return;
  const { sha256, recipe } = file;
  await estimateNew(open, { sha256, target: recipe.convert.target }, signal);
}

export const printFile: JobDefinition<PrintFileOrder> = {
  called: 'Writing a print file',
  run: printFileRun,
};
