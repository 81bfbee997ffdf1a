import { editionsNow, readSettings, titlesOf, paperNames } from '@/data';
import type { LogLine, Reading } from '@/data';
import type { LogContext } from '../words/logWords';

const numbers = (values: unknown[]): number[] => [
  ...new Set(values.map(Number).filter((v) => Number.isInteger(v) && v > 0)),
];

/** Reads what the given lines of the log book need to be said. */
export async function logContext(db: Reading, lines: LogLine[]): Promise<LogContext> {
  const [works, papers, editions, settings] = await Promise.all([
    titlesOf(db, numbers(lines.map((l) => l.workId))),
    paperNames(db, numbers(lines.map((l) => l.detail.paperId))),
    editionsNow(db, numbers(lines.map((l) => l.editionId))),
    readSettings(db),
  ]);
  return {
    works,
    papers,
    declarations: editions,
    currency: settings.currency,
    locale: settings.locale,
    timeZone: settings.timeZone,
  };
}
