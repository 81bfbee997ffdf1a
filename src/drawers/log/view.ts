import {
  MOST_CHOICES,
  PAGE_LINES,
  askedOf,
  countLog,
  getOrder,
  getWork,
  offsetOf,
  readLog,
  workTitles,
} from '@/data';
import type { LogFilter } from '@/data';
import { logContext, rowId, sayLogLine, studio } from '@/studio';

/** `edition:series:number` of an address, as a filter. */
function filterOf(
  query: Record<string, string | undefined>,
  orderId: number | undefined,
): LogFilter {
  const [edition, series, number] = (query.impression ?? '').split(':');
  const workId = rowId(query.work ?? '');
  const one = series === 'number' || series === 'ap';
  const order = orderId ? { orderId } : {};
  return {
    ...order,
    ...(workId ? { workId } : {}),
    ...(one
      ? { editionId: rowId(edition ?? ''), series, impression: rowId(number ?? '') }
      : {}),
  };
}

/** The log book: all of it, or the story of one work or impression. */
export async function loadLog(query: Record<string, string | undefined>) {
  const db = (await studio()).db.read;
  const number = (query.order ?? '').trim().slice(0, 12);
  const order = number ? await getOrder(db, number) : undefined;
  const filter = filterOf(query, order?.id);
  const asked = askedOf(query);
  const [lines, total, titles] = await Promise.all([
    readLog(db, filter, PAGE_LINES, offsetOf(asked)),
    countLog(db, filter),
    workTitles(db, MOST_CHOICES),
  ]);
  const context = await logContext(db, lines);
  const said = lines.map((line) => sayLogLine(line, context));
  const rows = filter.impression || order ? said.reverse() : said;
  return {
    page: { rows, total, page: asked.page },
    asked,
    of: order
      ? `order ${order.number}`
      : filter.impression
        ? `${said[0]?.work ?? ''} ${said.find((s) => s.impression)?.impression ?? ''}`
        : filter.workId
          ? ((await getWork(db, filter.workId))?.title ?? '')
          : null,
    works: titles,
    workId: filter.workId ?? null,
  };
}

export type LogView = Awaited<ReturnType<typeof loadLog>>;
