import {
  addInkDemand,
  getPrinter,
  inkDemandsOf,
  inksOfPrinters,
  newestPrintFiles,
  ownPrinterOf,
  pictureKey,
  profilesInUse,
  readSettings,
} from '@/data';
import type { InkedPicture, PrinterRow } from '@/data';
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

/** A picture that was just written: its file, and the colours that it was written in. */
export interface NewPicture {
  sha256: string;
  target: string;
}

/**
 * Estimates what a file that was just written takes, where an own printer has inks. The file is
 * whole already: whatever goes wrong here, it is looked at another time.
 */
export async function estimateNew(
  open: Studio,
  { sha256, target }: NewPicture,
  signal: AbortSignal,
): Promise<void> {
  try {
    const db = open.db.read;
    const printer = await ownPrinterOf(db);
    if (!printer || (await inksOfPrinters(db, [printer.id])).length === 0) return;
    const profiles = await profilesFor(open, printer.route, target);
    await estimateInk(open, sha256, profiles, signal);
  } catch {
    return;
  }
}

/** Newest files that are looked at before they are printed. */
const NEWEST = 200;

const bySha = (pictures: readonly InkedPicture[]) => {
  const files = new Map<string, string[]>();
  for (const { sha256, profile } of pictures)
    files.set(sha256, [...(files.get(sha256) ?? []), profile]);
  return [...files];
};

/** Pictures that are ready to be printed on the own printer and were not looked at. */
async function ready(open: Studio, printer: PrinterRow): Promise<InkedPicture[]> {
  const db = open.db.read;
  if ((await ownPrinterOf(db))?.id !== printer.id) return [];
  const pictures: InkedPicture[] = [];
  for (const { sha256, recipe } of await newestPrintFiles(db, NEWEST))
    for (const profile of await profilesFor(open, printer.route, recipe.convert.target))
      pictures.push({ sha256, profile });
  const known = await inkDemandsOf(db, pictures);
  return pictures.filter((p) => !known.has(pictureKey(p)));
}

/** Looks at every picture that a printer printed, or is to print, and nobody has looked at. */
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
  const printed = (await inksOfPrinter(db, printer, today)).missing;
  const keys = new Set(printed.map(pictureKey));
  const more = (await ready(open, printer)).filter((p) => !keys.has(pictureKey(p)));
  const files = bySha([...printed, ...more]);
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
