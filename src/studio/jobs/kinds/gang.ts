import { mkdir, rm, stat } from 'node:fs/promises';
import { checksumCheck, verifyPrintFile } from '@/core/prepare';
import { addSheetFile, getPrintFile, getWork, sheetItemOf } from '@/data';
import type { Reading } from '@/data';
import { partOf, runInWorker, storePaths } from '@/engine';
import type { Progress } from '@/engine';
import { cutListPdf } from '@/documents';
import { keeping } from '../../keeping/keeping';
import { now } from '../../running/studio';
import type { Studio } from '../../running/studio';
import { targetFor } from '../../reads/targets';
import { cutListOf } from '../../reads/cutList';
import type { JobDefinition } from '../definition';
import { gangThings, laidGang, layoutText } from '../gangOrder';
import type { GangOrder } from '../gangOrder';

/** Pictures that lie on a sheet, each once. */
async function itemsOf(db: Reading, { pieces }: GangOrder) {
  const items = new Map<number, number>();
  for (const { fileId, sheetId, workId } of pieces) {
    if (workId === null) continue;
    const file = fileId === null ? undefined : await getPrintFile(db, fileId);
    const item = sheetId === null ? undefined : await sheetItemOf(db, sheetId, workId);
    const masterId = file?.masterId ?? item?.masterId;
    if (masterId !== undefined) items.set(workId, masterId);
  }
  return [...items].map(([workId, masterId]) => ({ workId, masterId }));
}

/** Centimetres of a sheet, as its file is named. */
const cm = (mm: number) => Math.round(mm / 10);

/**
 * Writes a sheet of several prints, each as in its own file; reopens and checks it, keeps it with
 * its list of cuts and notes it down. Cancelled or failed, it leaves nothing.
 */
export async function writeGangFile(
  open: Studio,
  order: GangOrder,
  progress: Progress,
  signal: AbortSignal,
): Promise<number> {
  const { planId, sheet, pieces, paper } = order;
  const paths = storePaths(open.home);
  const db = open.db.read;
  const common = await gangThings(db, order);
  if (typeof common === 'string') throw new Error(common);
  const { things, ppi, bits } = common;
  const at = order.at ?? now();
  const target = paths.temporary();
  const silent = () => undefined;
  try {
    const into = await targetFor(open, common.target);
    const laid = laidGang(order, common);
    const { width, height, marks: black, words } = laid;
    const works = [...new Set(pieces.flatMap((p) => p.workId ?? []))];
    const of = works.length === 0 ? undefined : await getWork(db, works[0]!);
    const title = `${sheet.places.length} prints on ${paper}`;
    const artist = of?.artist ?? '';
    const about = { title, artist, copyright: `© ${artist}` };
    await mkdir(paths.tmp, { recursive: true });
    const lying = sheet.places.map(({ turned }, i) => ({
      path: paths.file(things[i]!.sha256),
      ...laid.places[i]!,
      turned,
    }));
    const drawn = { pieces: lying, words, black, width, height, ppi, bits, into, about };
    await runInWorker(
      'gang',
      { ...drawn, target, scratch: paths.temporary('') },
      partOf(progress, 0, 0.85),
      signal,
    );
    progress('reopening and checking', 0.88);
    const image = { left: 0, top: 0, width, height };
    const plan = { width, height, image, source: image, factor: 1 };
    const found = await runInWorker('reopen', { path: target, plan }, silent, signal);
    const wanted = {
      width,
      height,
      ppi,
      profile: into.name,
      bits,
      format: 'tiff' as const,
    };
    const checks = verifyPrintFile({ ...wanted, channels: into.channels, title }, found);
    progress('writing the list of cuts', 0.93);
    const pdf = await cutListPdf([await cutListOf(db, order)]);
    progress('taking its checksum', 0.96);
    const sha256 = await runInWorker('hash', { path: target }, silent, signal);
    const { size: bytes } = await stat(target);
    const items = await itemsOf(db, order);
    return await keeping(open, async ({ keep, keepBytes }) => {
      const pdfSha256 = await keepBytes(pdf);
      await keep({ path: target, sha256, bytes });
      const kept = await runInWorker('hash', { path: paths.file(sha256) }, silent, signal);
      checks.push(checksumCheck(sha256, kept));
      const content = {
        kind: 'gang' as const,
        planId,
        layout: layoutText(order),
        sheet: { width: sheet.width, height: sheet.length },
        pieces: sheet.places.map(({ piece }) => {
          const { title, size } = pieces.find((p) => p.id === piece)!;
          return { title, size };
        }),
      };
      const name = `${cm(sheet.width)}x${cm(sheet.length)}cm_sheet_plan-${planId}_${sha256.slice(0, 6)}.tif`;
      const row = {
        kind: content.kind,
        name,
        sha256,
        pdfSha256,
        bytes,
        width,
        height,
        ppi,
      };
      return open.db.write((tx) =>
        addSheetFile(tx, { ...row, content, checks, at }, items),
      );
    });
  } catch (error) {
    await rm(target, { force: true });
    throw error;
  }
}

/** The same as a job. */
async function gangRun(
  open: Studio,
  order: GangOrder,
  progress: Progress,
  signal: AbortSignal,
): Promise<void> {
  await writeGangFile(open, order, progress, signal);
}

export const gang: JobDefinition<GangOrder> = {
  called: 'Writing a sheet of prints',
  run: gangRun,
};
