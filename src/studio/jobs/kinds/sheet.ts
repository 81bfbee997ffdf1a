import { mkdir, rm, stat } from 'node:fs/promises';
import {
  EXTENSIONS,
  checksumCheck,
  ruleOf,
  sheetKind,
  slug,
  verifyPrintFile,
} from '@/core/prepare';
import type { Conversion, PixelRect, SheetContent, StripPatch } from '@/core/prepare';
import { mmOf } from '@/core/units';
import { addSheetFile, getMaster, getSheetFile, getWork, sheetFilesOf } from '@/data';
import { rasterPdf } from '@/documents';
import { partOf, runInWorker, storePaths, writeStripPixels } from '@/engine';
import type { Progress, SheetPart, SheetWords } from '@/engine';
import { colourOf, ensureWorkingCopy } from '../picture';
import { keeping } from '../../keeping/keeping';
import { now } from '../../running/studio';
import type { Studio } from '../../running/studio';
import type { JobDefinition } from '../definition';
import { ofSheetFile } from '../../reads/printedThing';
import { estimateNew } from './ink';
import { aboutOf } from './printFile';
import { targetFor } from '../../reads/targets';

/** A sheet that was laid out: what lies where, in pixels. */
export interface SheetOrder {
  workId: number;
  masterId: number;
  width: number;
  height: number;
  ppi: number;
  bits: 8 | 16;
  target: Conversion['target'];
  parts: SheetPart[];
  words: SheetWords[];
  black: PixelRect[];
  content: SheetContent;
  /** Patches of the control strip that is on it. */
  strip?: Pick<StripPatch, 'lab'>[];
  /** Part of the picture that small parts are made of, in its pixels. */
  seen?: PixelRect;
  at?: string;
}

/** The form of a print file, but never one that changes pixels: a JPEG's sheet is a TIFF. */
const formatOf = ({ parts }: SheetOrder): 'png' | 'tiff' =>
  parts[0]?.recipe.file.format === 'png' ? 'png' : 'tiff';

/** Name of a sheet: its size first, as with every file that is printed. */
const nameOf = (order: SheetOrder, title: string, count: number): string => {
  const cm = (px: number) => Math.round(mmOf(px, order.ppi) / 10);
  const kind = sheetKind(order.content.kind).fileWord;
  return `${cm(order.width)}x${cm(order.height)}cm_${kind}_${slug(title)}_${count}.${EXTENSIONS[formatOf(order)]}`;
};

/** Writes a sheet as TIFF or PNG, and as PDF; reopens and checks it, keeps both and notes it down. */
export async function writeSheetFile(
  open: Studio,
  order: SheetOrder,
  progress: Progress,
  signal: AbortSignal,
): Promise<number> {
  const { workId, masterId, width, height, ppi, bits, parts, words, black, content } =
    order;
  const paths = storePaths(open.home);
  const [master, work] = await Promise.all([
    getMaster(open.db.read, masterId),
    getWork(open.db.read, workId),
  ]);
  if (!master || !work)
    throw new Error('the master it was ordered from is not there any more');
  const silent = () => undefined;
  const at = order.at ?? now();
  const format = formatOf(order);
  const drawnTo = paths.temporary();
  const path = format === 'png' ? paths.temporary() : drawnTo;
  const reduced = paths.temporary('.v');
  const patches = paths.temporary('.v');
  try {
    const into = await targetFor(open, order.target);
    const colour = await colourOf(open, master);
    const pixels = paths.pixels(master.picture);
    const about = aboutOf(work);
    await mkdir(paths.tmp, { recursive: true });
    await ensureWorkingCopy(open, master, silent, signal);
    const small = parts.find((p) => p.small);
    let ofReduced = colour;
    if (small && order.seen) {
      const { width: across, height: down } = small.plan.source;
      const working = ruleOf(small.recipe) !== 1;
      const into = working ? { colour, convert: small.recipe.convert } : null;
      const reduce = { pixels, part: order.seen, width: across, height: down, into };
      if (working) ofReduced = { ...colour, carried: true };
      await runInWorker(
        'reduce',
        { ...reduce, target: reduced },
        partOf(progress, 0, 0.4),
        signal,
      );
    }
    if (order.strip) await writeStripPixels(order.strip, ppi, patches);
    const carried = { ...colour, carried: true as const };
    const strip = order.strip && { pixels: patches, colour: carried };
    const drawn = { width, height, ppi, bits, parts, words, black };
    const smaller = { pixels: reduced, colour: ofReduced };
    await runInWorker(
      'sheet',
      { pixels, colour, into, ...drawn, about, target: drawnTo, reduced: smaller, strip },
      partOf(progress, small ? 0.4 : 0, 0.8),
      signal,
    );
    if (format === 'png') {
      progress('making it a PNG', 0.8);
      const wish = { format, bits, quality: 100 };
      const encode = { path: drawnTo, target: path, wish, ppi, about };
      await runInWorker('encode', encode, silent, signal);
    }
    progress('reopening and checking', 0.83);
    const image = { left: 0, top: 0, width, height };
    const plan = { width, height, image, source: image, factor: 1 };
    const found = await runInWorker('reopen', { path, plan }, silent, signal);
    const wanted = { width, height, ppi, profile: into.name, bits, format };
    const checks = verifyPrintFile(
      { ...wanted, channels: into.channels, title: work.title },
      found,
    );
    progress('writing the PDF', 0.85);
    const shape = { path: drawnTo, width, height, channels: into.channels, bits };
    const deflated = await runInWorker('deflatedSamples', shape, silent, signal);
    const page = { width, height, ppi, channels: into.channels, deflated, icc: into.icc };
    const pdf = await rasterPdf(page, about);
    progress('taking its checksum', 0.97);
    const sha256 = await runInWorker('hash', { path }, silent, signal);
    const { size: bytes } = await stat(path);
    return await keeping(open, async ({ keep, keepBytes }) => {
      const pdfSha256 = await keepBytes(pdf);
      await keep({ path, sha256, bytes });
      const kept = await runInWorker('hash', { path: paths.file(sha256) }, silent, signal);
      checks.push(checksumCheck(sha256, kept));
      return open.db.write(async (tx) =>
        addSheetFile(
          tx,
          {
            kind: content.kind,
            name: nameOf(order, work.title, 1 + (await sheetFilesOf(tx, workId)).length),
            sha256,
            pdfSha256,
            bytes,
            width,
            height,
            ppi,
            content,
            checks,
            at,
          },
          [{ workId, masterId }],
        ),
      );
    });
  } catch (error) {
    await rm(path, { force: true });
    throw error;
  } finally {
    await Promise.all([rm(reduced, { force: true }), rm(patches, { force: true })]);
    if (drawnTo !== path) await rm(drawnTo, { force: true });
  }
}

/** The same as a job. */
async function sheetRun(
  open: Studio,
  order: SheetOrder,
  progress: Progress,
  signal: AbortSignal,
): Promise<void> {
  const id = await writeSheetFile(open, order, progress, signal);
  const file = await getSheetFile(open.db.read, id);
  const thing = file && ofSheetFile(file);
  if (thing) await estimateNew(open, { ...thing, target: thing.target ?? '' }, signal);
}

export const sheet: JobDefinition<SheetOrder> = {
  called: 'Writing a sheet',
  run: sheetRun,
};
