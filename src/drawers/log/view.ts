import {
  PAGE_LINES,
  askedOf,
  countLog,
  getWork,
  offsetOf,
  readLog,
  workTitles,
} from '@/data';
import type { LogFilter } from '@/data';
import { logContext, sayLogLine, studio } from '@/studio';

/** Works in the choice list; more are found by the search. */
const CHOICES = 200;

/** `edition:series:number` of an address, as a filter. */
function filterOf(query: Record<string, string | undefined>): LogFilter {
  const [edition, series, number] = (query.impression ?? '').split(':');
  const one = series === 'number' || series === 'ap';
  return {
    ...(query.work && /^\d+$/.test(query.work) ? { workId: Number(query.work) } : {}),
    ...(one
      ? { editionId: Number(edition), series: series, impression: Number(number) }
      : {}),
  };
}

/** The log book: all of it, or the story of one work or impression. */
export async function loadLog(query: Record<string, string | undefined>) {
  const db = (await studio()).db.read;
  const filter = filterOf(query);
  const asked = askedOf(query);
  const [lines, total, titles] = await Promise.all([
    readLog(db, filter, PAGE_LINES, offsetOf(asked)),
    countLog(db, filter),
    workTitles(db, CHOICES),
  ]);
  const context = await logContext(db, lines);
  const said = lines.map((line) => sayLogLine(line, context));
  const rows = filter.impression ? said.reverse() : said;
  return {
    page: { rows, total, page: asked.page },
    asked,
    of: filter.impression
      ? `${said[0]?.work ?? ''} ${said.find((s) => s.impression)?.impression ?? ''}`
      : filter.workId
        ? ((await getWork(db, filter.workId))?.title ?? '')
        : null,
    works: titles,
    workId: filter.workId ?? null,
  };
}

export type LogView = Awaited<ReturnType<typeof loadLog>>;
