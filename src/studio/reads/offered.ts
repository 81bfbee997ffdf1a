import { nominalSize, rung } from '@/core/size';
import type { Layout, Rung } from '@/core/size';
import { offeredSizes } from '@/data';
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
