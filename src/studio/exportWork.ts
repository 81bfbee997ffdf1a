import { createWriteStream } from 'node:fs';
import { mkdir } from 'node:fs/promises';
import { join } from 'node:path';
import { once } from 'node:events';
import { stringify } from 'csv-stringify/sync';
import { guardCell } from '@/core/csv';
import { exportTables } from '@/data';
import type { Reading } from '@/data';

type Row = Record<string, string | number | null>;

/** A file that is written some lines at a time. */
function lines(path: string) {
  const stream = createWriteStream(path, { flush: true });
  return {
    async write(text: string) {
      if (!stream.write(text)) await once(stream, 'drain');
    },
    async end() {
      stream.end();
      await once(stream, 'close');
    },
  };
}

/**
 * Writes every table of facts into a folder, as CSV (RFC 4180, UTF-8, guarded against
 * formulas) and as JSON (one array of objects, values as stored). Answers the row counts.
 */
export async function exportEverything(
  db: Reading,
  folder: string,
): Promise<Record<string, number>> {
  await mkdir(folder, { recursive: true });
  const counts: Record<string, number> = {};
  for (const { name, columns, rows } of exportTables(db)) {
    const csv = lines(join(folder, `${name}.csv`));
    const json = lines(join(folder, `${name}.json`));
    await csv.write(stringify([columns]));
    await json.write('[');
    let count = 0;
    for await (const part of rows()) {
      await csv.write(
        stringify(part.map((row: Row) => columns.map((c) => guardCell(row[c] ?? null)))),
      );
      await json.write(
        part
          .map((row, i) => `${count + i === 0 ? '' : ','}\n${JSON.stringify(row)}`)
          .join(''),
      );
      count += part.length;
    }
    await json.write('\n]\n');
    await Promise.all([csv.end(), json.end()]);
    counts[name] = count;
  }
  return counts;
}
