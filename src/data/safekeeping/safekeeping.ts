import { getTableColumns, getTableName, inArray, is, sql } from 'drizzle-orm';
import type { SQL } from 'drizzle-orm';
import { SQLiteTable } from 'drizzle-orm/sqlite-core';
import type { Database, Reading, Writing } from '../reading';
import { REGISTER } from '../register';
import * as schema from '../schema';
import { documents, masters, orders, printFiles, works } from '../schema';

/** Writes a consistent copy of the whole database into a new file, while it is in use. */
export async function snapshotDatabase(db: Database, path: string): Promise<void> {
  await db.run(sql`VACUUM INTO ${path}`);
}

/** Every column that names stored files, as the register says. */
const fileColumns = () =>
  Object.entries(REGISTER).flatMap(([table, { files = [] }]) =>
    files.map((column) => ({ table, column })),
  );

/** Whether some fact refers to a file of the store. */
export async function isNamed(db: Reading, sha256: string): Promise<boolean> {
  const each = fileColumns().map(
    ({ table, column }) =>
      sql`SELECT 1 FROM ${sql.identifier(table)} WHERE ${sql.identifier(column)} = ${sha256}`,
  );
  const rows = await db.all(sql`${sql.join(each, sql` UNION ALL `)} LIMIT 1`);
  return rows.length > 0;
}

/** Hashes of every file of the store that some fact refers to, once each; which columns do, the register says. */
export async function referredFiles(db: Reading): Promise<string[]> {
  const each = fileColumns().map(
    ({ table, column }) =>
      sql`SELECT ${sql.identifier(column)} AS sha256 FROM ${sql.identifier(table)} WHERE ${sql.identifier(column)} IS NOT NULL`,
  );
  const rows = await db.all<{ sha256: string }>(
    sql`${sql.join(each, sql` UNION `)} ORDER BY sha256`,
  );
  return rows.map((r) => r.sha256);
}

/** Bytes of the store by what they are. */
export async function storedBytes(db: Reading): Promise<{
  masters: number;
  masterBytes: number;
  printFiles: number;
  printBytes: number;
}> {
  const [row] = await db.all<Awaited<ReturnType<typeof storedBytes>>>(sql`
    SELECT (SELECT count(*) FROM file) AS masters,
      (SELECT coalesce(sum(bytes), 0) FROM file) AS masterBytes,
      (SELECT count(*) FROM print_file) AS printFiles,
      (SELECT coalesce(sum(bytes), 0) FROM print_file) AS printBytes`);
  return row!;
}

/**
 * A backup holds itself as a job that still runs; in the restored studio it does not. No backup
 * of another folder is taken up again here, nor swept away.
 */
export async function settleRestored(tx: Writing): Promise<void> {
  await tx.run(sql`UPDATE job SET state = 'cancelled', error = 'restored from this backup'
    WHERE kind = 'backup' AND state IN ('queued', 'running', 'cutOff')`);
}

/** What is lost when a stored file is lost, in a few words each. */
export async function dependants(
  db: Reading,
  hashes: string[],
): Promise<{ sha256: string; what: string }[]> {
  const others = sql`SELECT sha256, 'the profile ' || name AS what FROM profile WHERE sha256 IN ${hashes}
    UNION ALL SELECT sha256, 'the sheet ' || name FROM sheet_file WHERE sha256 IN ${hashes}
    UNION ALL SELECT pdf_sha256, 'the PDF of the sheet ' || name FROM sheet_file WHERE pdf_sha256 IN ${hashes}
    UNION ALL SELECT o.photograph, 'a photograph of ' || e.what FROM print_opinion o
      JOIN print_entry e ON e.id = o.entry_id WHERE o.photograph IN ${hashes}
    UNION ALL SELECT sha256, 'the photograph of a proof ' || name FROM proof_photograph WHERE sha256 IN ${hashes}`;
  const [ofMasters, ofPrints, ofDocuments, ofOthers] = await Promise.all([
    db
      .selectDistinct({ sha256: masters.sha256, name: masters.name, title: works.title })
      .from(masters)
      .innerJoin(works, sql`${works.id} = ${masters.workId}`)
      .where(inArray(masters.sha256, hashes)),
    db
      .select({ sha256: printFiles.sha256, name: printFiles.name, title: works.title })
      .from(printFiles)
      .innerJoin(works, sql`${works.id} = ${printFiles.workId}`)
      .where(inArray(printFiles.sha256, hashes)),
    db
      .select({ sha256: documents.sha256, kind: documents.kind, number: orders.number })
      .from(documents)
      .innerJoin(orders, sql`${orders.id} = ${documents.orderId}`)
      .where(inArray(documents.sha256, hashes)),
    db.all<{ sha256: string; what: string }>(others),
  ]);
  return [
    ...ofMasters.map((m) => ({
      sha256: m.sha256,
      what: `the master ${m.name} of “${m.title}”`,
    })),
    ...ofPrints.map((p) => ({
      sha256: p.sha256,
      what: `the print file ${p.name} of “${p.title}”`,
    })),
    ...ofDocuments.map((d) => ({
      sha256: d.sha256,
      what: `the ${d.kind} of order ${d.number}`,
    })),
    ...ofOthers,
  ];
}

const tables = (): SQLiteTable[] =>
  Object.values<unknown>(schema).filter((entry): entry is SQLiteTable =>
    is(entry, SQLiteTable),
  );

const EXPORT_ROWS = 1000;

/** A value that cannot be given out as it is stored, and where it stands. */
export interface OddValue {
  table: string;
  row: number;
  column: string;
  value: string;
}

export interface ExportedTable {
  name: string;
  columns: string[];
  /**
   * Rows in order, some at a time; JSON columns as they are stored. A whole number beyond what
   * programs tell apart comes as its digits, bytes as hexadecimal.
   */
  rows: () => AsyncGenerator<Record<string, string | number | null>[]>;
  /** Those values, each with its row. */
  odd: () => Promise<OddValue[]>;
}

const MOST_EXACT = sql.raw(String(Number.MAX_SAFE_INTEGER));

const isOdd = (column: SQL) =>
  sql`(typeof(${column}) = 'blob' OR (typeof(${column}) = 'integer' AND ${column} NOT BETWEEN -${MOST_EXACT} AND ${MOST_EXACT}))`;

const asText = (column: SQL) =>
  sql`CASE typeof(${column}) WHEN 'blob' THEN hex(${column}) ELSE CAST(${column} AS TEXT) END`;

/** Every table of facts, to be written out. */
export const exportTables = (db: Reading): ExportedTable[] =>
  tables()
    .map((table) => ({ table, name: getTableName(table) }))
    .filter(({ name }) => REGISTER[name]?.exported)
    .sort((a, b) => (a.name < b.name ? -1 : 1))
    .map(({ table, name }) => {
      const columns = Object.values(getTableColumns(table)).map((c) => c.name);
      const each = columns.map((column) => ({
        column,
        at: sql`${sql.identifier(column)}`,
      }));
      const asked = each.map(
        ({ column, at }) =>
          sql`CASE WHEN ${isOdd(at)} THEN ${asText(at)} ELSE ${at} END AS ${sql.identifier(column)}`,
      );
      return {
        name,
        columns,
        async *rows() {
          for (let from = 0; ; from += EXPORT_ROWS) {
            const part = await db.all<Record<string, string | number | null>>(
              sql`SELECT ${sql.join(asked, sql`, `)} FROM ${table} ORDER BY rowid LIMIT ${EXPORT_ROWS} OFFSET ${from}`,
            );
            if (part.length > 0) yield part;
            if (part.length < EXPORT_ROWS) return;
          }
        },
        odd: () =>
          db.all<OddValue>(
            sql.join(
              each.map(
                ({ column, at }) =>
                  sql`SELECT ${name} AS "table", rowid AS "row", ${column} AS "column", ${asText(at)} AS "value" FROM ${table} WHERE ${isOdd(at)}`,
              ),
              sql` UNION ALL `,
            ),
          ),
      };
    });
