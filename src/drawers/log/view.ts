import { readLog } from '@/data';
import type { LogFilter } from '@/data';
import { logContext, sayLogLine, studio } from '@/studio';

/** Lines read at once; the newest of them. */
const LINES = 1000;

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
  const [lines, context] = await Promise.all([readLog(db, filter, LINES), logContext(db)]);
  const said = lines.map((line) => sayLogLine(line, context));
  return {
    lines: filter.impression ? said.reverse() : said,
    of: filter.impression
      ? `${said[0]?.work ?? ''} ${said.find((s) => s.impression)?.impression ?? ''}`
      : filter.workId
        ? (context.works.get(filter.workId) ?? '')
        : null,
    works: [...context.works].map(([id, title]) => ({ id, title })),
    workId: filter.workId ?? null,
  };
}

export type LogView = Awaited<ReturnType<typeof loadLog>>;
