import { nominalSize, rung } from '@/core/size';
import type { FitResult, Layout, Rung } from '@/core/size';
import type { Size } from '@/core/units';
import { currentMaster, offeredSizes } from '@/data';
import type { Reading, SizeEvent } from '@/data';
import type { MasterView, WorkPage } from './workPage';

/** A size on offer, laid out with the master of now. */
export interface OfferedRung extends Rung {
  layout: Layout;
}

/** Sizes on offer that can be laid out, smallest sheet first. */
export function layOut(
  offered: SizeEvent[],
  master: Pick<MasterView, 'facts'>,
  settings: WorkPage['settings'],
): OfferedRung[] {
  return offered
    .flatMap(({ sizeKey, layout }) => {
      const nominal = nominalSize(sizeKey);
      const found = nominal && rung(nominal, master.facts, layout, settings.size);
      return found ? [{ ...found, layout }] : [];
    })
    .sort(
      (a, b) =>
        a.fit.sheet.width * a.fit.sheet.height - b.fit.sheet.width * b.fit.sheet.height,
    );
}

/** The sizes of a work on offer, and the one asked for (or the first). */
export async function offeredRungs(
  page: WorkPage,
  asked: string | undefined,
): Promise<{ offered: OfferedRung[]; picked: OfferedRung | null }> {
  const offered = page.master
    ? layOut(await offeredSizes(page.db, page.work.id), page.master, page.settings)
    : [];
  return { offered, picked: offered.find((r) => r.key === asked) ?? offered[0] ?? null };
}

/** One size on offer by its key; null when it is not on offer or there is no master. */
export async function offeredRung(
  db: Reading,
  workId: number,
  sizeKey: string,
  master: Pick<MasterView, 'facts'>,
  settings: WorkPage['settings'],
): Promise<OfferedRung | null> {
  return (
    layOut(await offeredSizes(db, workId), master, settings).find(
      (r) => r.key === sizeKey,
    ) ?? null
  );
}

/** A print of a size as it lies on the table. */
export interface LaidSheet {
  /** Name of the size; empty where it is not known. */
  label: string;
  sheet: Size | null;
  /** Null where the size is not on offer any more. */
  fit: FitResult | null;
  /** Hash of the picture it is drawn with. */
  picture: string | null;
}

/** The sheets of some works' prints, each laid out with the master of now. */
export async function sheetsOf(
  db: Reading,
  workIds: Iterable<number>,
  settings: WorkPage['settings'],
): Promise<(workId: number | null, sizeKey: string | null) => LaidSheet> {
  const laid = new Map(
    await Promise.all(
      [...new Set(workIds)].map(async (workId) => {
        const [master, offered] = await Promise.all([
          currentMaster(db, workId),
          offeredSizes(db, workId),
        ]);
        const rungs = master ? layOut(offered, master, settings) : [];
        return [workId, { rungs, picture: master?.picture ?? null }] as const;
      }),
    ),
  );
  return (workId, sizeKey) => {
    const work = workId === null ? undefined : laid.get(workId);
    const fit = work?.rungs.find((r) => r.key === sizeKey)?.fit ?? null;
    const nominal = sizeKey === null ? undefined : nominalSize(sizeKey);
    return {
      label: nominal?.label ?? '',
      sheet:
        fit?.sheet ?? (nominal ? { width: nominal.width, height: nominal.height } : null),
      fit,
      picture: work?.picture ?? null,
    };
  };
}
