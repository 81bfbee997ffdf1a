import { listEditions, listPapers, listWorks, readSettings } from '@/data';
import type { Reading } from '@/data';
import type { LogContext } from './logWords';

/** Reads what the log book's lines need to be said. */
export async function logContext(db: Reading): Promise<LogContext> {
  const [works, papers, editions, settings] = await Promise.all([
    listWorks(db),
    listPapers(db),
    listEditions(db),
    readSettings(db),
  ]);
  return {
    works: new Map(works.map((w) => [w.id, w.title])),
    papers: new Map(papers.map((p) => [p.id, p.name])),
    declarations: new Map(editions.map((e) => [e.id, e.declaration])),
    currency: settings.currency,
    locale: settings.locale,
  };
}
