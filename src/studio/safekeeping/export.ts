import { mkdir, open, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { csvText } from '@/documents';
import { exportTables } from '@/data';
import type { OddValue, Reading } from '@/data';

/** The list of values that stand in the tables in another form than they are stored in. */
export const ODD = 'values-in-another-form.csv';

type Row = Record<string, string | number | null>;

/**
 * Writes every table of facts into a folder, as CSV (RFC 4180, UTF-8, guarded against
 * formulas) and as JSON (one array of objects, values as stored). Values that cannot be given
 * out as they are stored are named in a list of their own. Answers the row counts.
 */
export async function exportEverything(
  db: Reading,
  folder: string,
): Promise<Record<string, number>> {
  await mkdir(folder, { recursive: true });
  const counts: Record<string, number> = {};
  const found: OddValue[] = [];
  for (const { name, columns, rows, odd } of exportTables(db)) {
    found.push(...(await odd()));
    const csv = await open(join(folder, `${name}.csv`), 'w');
    const json = await open(join(folder, `${name}.json`), 'w');
    let count = 0;
    try {
      await csv.writeFile(csvText([columns]));
      await json.writeFile('[');
      for await (const part of rows()) {
        await csv.writeFile(
          csvText(part.map((row: Row) => columns.map((c) => row[c] ?? null))),
        );
        await json.writeFile(
          part
            .map((row, i) => `${count + i === 0 ? '' : ','}\n${JSON.stringify(row)}`)
            .join(''),
        );
        count += part.length;
      }
      await json.writeFile('\n]\n');
      await Promise.all([csv.sync(), json.sync()]);
    } finally {
      await Promise.all([csv.close(), json.close()]);
    }
    counts[name] = count;
  }
  if (found.length > 0)
    await writeFile(
      join(folder, ODD),
      csvText([
        Object.keys(found[0]!),
        ...found.map((odd) => Object.values<string | number | null>({ ...odd })),
      ]),
    );
  return counts;
}
