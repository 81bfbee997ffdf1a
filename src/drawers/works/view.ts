import { notFound } from 'next/navigation';
import { nextStation } from '@/core/work';
import { countWorks, readSettings } from '@/data';
import { storePaths } from '@/engine';
import { markedWorks, now, studio } from '@/studio';
import type { MarkedWork } from '@/studio';
import { access } from 'node:fs/promises';

async function all(): Promise<{ marked: MarkedWork[]; home: string }> {
  const open = await studio();
  return { marked: await markedWorks(open.db.read, now().slice(0, 10)), home: open.home };
}

/** The rule of one work: its marks, and the station to go to next. */
export async function loadRule(id: string) {
  const { marked } = await all();
  const found = marked.find((m) => String(m.work.id) === id);
  if (!found) notFound();
  return { workId: found.work.id, marks: found.marks, next: nextStation(found.marks) };
}

/** All works as they lie in the drawer. */
export async function loadWorks() {
  const { marked, home } = await all();
  const works = await Promise.all(
    marked.map(async ({ work, master, offered, facts, marks }) => ({
      work,
      marks,
      next: nextStation(marks),
      sizes: offered.length,
      ordersOpen: facts.ordersOpen,
      sold: facts.ordersShipped,
      megapixels: master ? (master.facts.width * master.facts.height) / 1e6 : null,
      preview: master
        ? await access(storePaths(home).preview(master.sha256)).then(
            () => `/api/previews/${master.sha256}`,
            () => null,
          )
        : null,
    })),
  );
  return { works };
}

export type WorksView = Awaited<ReturnType<typeof loadWorks>>;

export async function loadNewWork() {
  const db = (await studio()).db.read;
  const [settings, count] = await Promise.all([readSettings(db), countWorks(db)]);
  return {
    currency: settings.currency,
    first: count === 0,
    year: new Date().getFullYear(),
  };
}
