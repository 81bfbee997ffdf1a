import {
  addInkDemand,
  getPrintFile,
  getPrinter,
  inksOfPrinters,
  ownPrinterOf,
  profilesInUse,
  readSettings,
} from '@/data';
import type { InkedPicture } from '@/data';
import { runInWorker, storePaths } from '@/engine';
import type { InkWork, Progress } from '@/engine';
import { inksOfPrinter } from '../../reads/inksOfPrinter';
import { targetFor } from '../../reads/targets';
import { now } from '../../running/studio';
import type { Studio } from '../../running/studio';
import { todayOf } from '../../running/today';
import { isThere } from '../picture';
import type { JobDefinition } from '../definition';

/** The printer whose pictures are to be looked at. */
export interface InkSpec {
  printerId: number;
}

/** The colours of a printer by a stored profile; null where none is known, or its bytes are gone. */
async function wayBy(open: Studio, profile: string): Promise<InkWork['ways'][number]> {
  if (profile === '') return null;
  const { icc, channels } = await targetFor(open, `icc:${profile}`);
  return { icc, channels };
}

/** Estimates what one picture takes, printed through each of some profiles, and keeps it. */
export async function estimateInk(
  open: Studio,
  sha256: string,
  profiles: readonly string[],
  signal: AbortSignal,
): Promise<void> {
  const path = storePaths(open.home).file(sha256);
  if (profiles.length === 0 || !(await isThere(path))) return;
  const known: { profile: string; way: InkWork['ways'][number] }[] = [];
  for (const profile of profiles) {
    const way = await wayBy(open, profile).catch(() => undefined);
    // Through a profile that is gone nothing can be told any more.
    if (way !== undefined) known.push({ profile, way });
  }
  const ways = known.map((k) => k.way);
  const found = await runInWorker('ink', { path, ways }, () => undefined, signal);
  const at = now();
  await open.db.write(async (tx) => {
    for (const [i, { profile }] of known.entries())
      await addInkDemand(tx, { sha256, profile, stats: found[i]!, at });
  });
}

/** Profiles that a file may be printed through on the own printer: its own, else those in use. */
async function profilesFor(open: Studio, route: string, target: string): Promise<string[]> {
  if (target.startsWith('icc:')) return [target.slice(4)];
  const inUse = await profilesInUse(open.db.read);
  const own = inUse.filter((u) => u.printer === '' || u.printer === route);
  return [...new Set(own.map((u) => u.sha256))];
}

/**
 * Estimates what a print file that was just written takes, where an own printer has inks. The file
 * is whole already: whatever goes wrong here, it is looked at another time.
 */
export async function estimateNewFile(
  open: Studio,
  fileId: number,
  signal: AbortSignal,
): Promise<void> {
  try {
    const db = open.db.read;
    const [file, printer] = [await getPrintFile(db, fileId), await ownPrinterOf(db)];
    if (!file || file.kind !== 'print' || !printer) return;
    if ((await inksOfPrinters(db, [printer.id])).length === 0) return;
    const target = file.recipe.convert.target;
    const profiles = await profilesFor(open, printer.route, target);
    await estimateInk(open, file.sha256, profiles, signal);
  } catch {
    return;
  }
}

const bySha = (pictures: readonly InkedPicture[]) => {
  const files = new Map<string, string[]>();
  for (const { sha256, profile } of pictures)
    files.set(sha256, [...(files.get(sha256) ?? []), profile]);
  return [...files];
};

/** Looks at every picture that a printer printed and nobody has looked at. */
async function inkRun(
  open: Studio,
  { printerId }: InkSpec,
  progress: Progress,
  signal: AbortSignal,
): Promise<{ result: { looked: number; unreadable: number } } | void> {
  const db = open.db.read;
  const printer = await getPrinter(db, printerId);
  if (!printer) throw new Error('the printer is not in the drawer any more');
  const today = todayOf(await readSettings(db));
  const files = bySha((await inksOfPrinter(db, printer, today)).missing);
  let unreadable = 0;
  for (const [i, [sha256, profiles]] of files.entries()) {
    progress('looking at the pictures', i / files.length);
    // One that cannot be read is left out: what it takes is as usual.
    await estimateInk(open, sha256, profiles, signal).catch((error: unknown) => {
      if (signal.aborted) throw error;
      unreadable += 1;
    });
  }
  return { result: { looked: files.length - unreadable, unreadable } };
}

export const ink: JobDefinition<InkSpec> = {
  called: 'Estimating the ink of prints',
  run: inkRun,
};
