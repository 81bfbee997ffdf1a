import { notFound } from 'next/navigation';
import { nextStation } from '@/core/work';
import { askedOf, countWorks, getWork, readSettings, worksPage } from '@/data';
import { storePaths } from '@/engine';
import { isThere, markedWorks, rowId, studio, todayOf } from '@/studio';
import { workWritten } from './workForm';

/** The rule of one work: its marks, and the station to go to next. */
export async function loadRule(id: string) {
  const db = (await studio()).db.read;
  const today = todayOf(await readSettings(db));
  const [found] = await markedWorks(db, [rowId(id)], today);
  if (!found) notFound();
  const { work, marks, why } = found;
  return { workId: work.id, marks, why, next: nextStation(marks) };
}

/** Works as they lie in the drawer. */
export async function loadWorks(query: Record<string, string | undefined>, lines?: number) {
  const open = await studio();
  const asked = askedOf(query, lines);
  const today = todayOf(await readSettings(open.db.read));
  const page = await worksPage(open.db.read, asked);
  const marked = await markedWorks(open.db.read, page.rows, today);
  const rows = await Promise.all(
    marked.map(async ({ work, master, facts, marks, why }) => ({
      work: {
        id: work.id,
        title: work.title,
        medium: work.medium,
        year: work.year,
        width: work.width,
        height: work.height,
      },
      marks,
      why,
      next: nextStation(marks),
      sizes: facts.offered,
      ordersOpen: facts.ordersOpen,
      sold: facts.ordersShipped,
      megapixels: master ? (master.facts.width * master.facts.height) / 1e6 : null,
      preview:
        master && (await isThere(storePaths(open.home).preview(master.picture)))
          ? `/api/previews/${master.picture}`
          : null,
    })),
  );
  return { page: { ...page, rows }, asked, works: await countWorks(open.db.read) };
}

export type WorksView = Awaited<ReturnType<typeof loadWorks>>;

export async function loadNewWork() {
  const db = (await studio()).db.read;
  const count = await countWorks(db);
  return { first: count === 0, year: new Date().getFullYear() };
}

/** A work as it stands in its form. */
export async function loadEditWork(id: string) {
  const db = (await studio()).db.read;
  const work = await getWork(db, rowId(id));
  if (!work) notFound();
  return { workId: work.id, stored: workWritten(work, await readSettings(db)) };
}

export type EditWorkView = Awaited<ReturnType<typeof loadEditWork>>;
