import { desc, eq, inArray, sql } from 'drizzle-orm';
import type { SQL } from 'drizzle-orm';
import type { Reading, Writing } from '../reading';
import type { NewLogLine } from '../log/log';
import {
  errandAnswers,
  errandItems,
  errandSheets,
  errands,
  printFiles,
  routes,
  sheetItems,
} from '../schema';
import { record } from '../log/log';

export type Route = typeof routes.$inferSelect;
export type Errand = typeof errands.$inferSelect;
type ErrandItem = typeof errandItems.$inferSelect;

/** Keeps a route, or what it asks for from now on. */
export async function addRoute(tx: Writing, route: Omit<Route, 'id'>): Promise<number> {
  const row = await record(tx, routes, route, {
    at: route.at,
    what: 'route.kept',
    detail: { name: route.name },
  });
  return row.id;
}

/** The routes as they stand, in the order of their names. */
export const routesNow = (db: Reading): Promise<Route[]> =>
  db
    .select()
    .from(routes)
    .where(sql`${routes.id} IN (SELECT max(id) FROM route GROUP BY name)`)
    .orderBy(sql`lower(${routes.name})`);

export const getRoute = (db: Reading, id: number): Promise<Route | undefined> =>
  db.query.routes.findFirst({ where: eq(routes.id, id) });

/** The number that the next errand gets; asked inside the write that takes it. */
export async function nextErrandNumber(tx: Writing): Promise<string> {
  const [row] = await tx
    .select({ most: sql<number>`coalesce(max(${errands.id}), 0)` })
    .from(errands);
  return errandNumber(1 + (row?.most ?? 0));
}

const errandNumber = (n: number) => `H-${String(n).padStart(4, '0')}`;

/** The number after one. */
export const numberAfter = (number: string): string =>
  errandNumber(1 + Number(number.slice(2)));

/** One line of the log book for each work of which there is one of these files, or a picture on one of these sheets. */
async function forEachWork(
  tx: Writing,
  ofFiles: SQL,
  ofSheets: SQL,
  line: Omit<NewLogLine, 'workId'>,
): Promise<NewLogLine[]> {
  const rows = [
    ...(await tx
      .selectDistinct({ workId: printFiles.workId })
      .from(printFiles)
      .where(ofFiles)),
    ...(await tx
      .selectDistinct({ workId: sheetItems.workId })
      .from(sheetItems)
      .where(ofSheets)),
  ];
  return [...new Set(rows.map((r) => r.workId))].map((workId) => ({ ...line, workId }));
}

/** Writes an errand down with its files, of one work or of several. */
export async function addErrand(
  tx: Writing,
  errand: Omit<Errand, 'id'>,
  items: Omit<ErrandItem, 'id' | 'errandId'>[],
  sheets: Omit<typeof errandSheets.$inferSelect, 'id' | 'errandId'>[] = [],
): Promise<number> {
  const files = inArray(
    printFiles.id,
    items.map((i) => i.printFileId),
  );
  const onSheets = inArray(
    sheetItems.sheetId,
    sheets.map((s) => s.sheetId),
  );
  const told = await forEachWork(tx, files, onSheets, {
    at: errand.at,
    what: 'errand.handedOver',
    detail: {
      number: errand.number,
      to: errand.manifest.to,
      files: errand.manifest.items.length,
    },
  });
  const { id } = await record(tx, errands, errand, told);
  for (const item of items) await tx.insert(errandItems).values({ ...item, errandId: id });
  for (const item of sheets)
    await tx.insert(errandSheets).values({ ...item, errandId: id });
  return id;
}

export async function addErrandAnswer(
  tx: Writing,
  errand: Pick<Errand, 'id' | 'number'>,
  answer: unknown,
  said: { accepted: number; refused: number; stage: string },
  at: string,
): Promise<void> {
  const files = inArray(
    printFiles.id,
    tx
      .select({ id: errandItems.printFileId })
      .from(errandItems)
      .where(eq(errandItems.errandId, errand.id)),
  );
  const onSheets = inArray(
    sheetItems.sheetId,
    tx
      .select({ id: errandSheets.sheetId })
      .from(errandSheets)
      .where(eq(errandSheets.errandId, errand.id)),
  );
  const told = await forEachWork(tx, files, onSheets, {
    at,
    what: 'errand.answered',
    detail: { number: errand.number, ...said },
  });
  await record(tx, errandAnswers, { errandId: errand.id, answer, at }, told);
}

export interface ErrandNow extends Errand {
  answer: unknown;
  answeredAt: string | null;
  /** What its route was when it was handed over. */
  routeKind: Route['kind'];
}

/** Errands with files of a work, with the newest answer to each, newest first. */
export async function errandsOf(db: Reading, workId: number): Promise<ErrandNow[]> {
  const newest = sql`${errandAnswers.id} = (SELECT max(a.id) FROM errand_answer a WHERE a.errand_id = ${errands.id})`;
  const rows = await db
    .select({ errand: errands, answer: errandAnswers, routeKind: routes.kind })
    .from(errands)
    .innerJoin(routes, eq(routes.id, errands.routeId))
    .leftJoin(errandAnswers, newest)
    .where(
      sql`${errands.id} IN (SELECT i.errand_id FROM print_file f JOIN errand_item i ON i.print_file_id = f.id
        WHERE f.work_id = ${workId})`,
    )
    .orderBy(desc(errands.id));
  return rows.map(({ errand, answer, routeKind }) => ({
    ...errand,
    routeKind,
    answer: answer?.answer ?? null,
    answeredAt: answer?.at ?? null,
  }));
}

export const getErrand = (db: Reading, id: number): Promise<Errand | undefined> =>
  db.query.errands.findFirst({ where: eq(errands.id, id) });

/** The number of the newest errand that a sheet went with, and to whom; null for none. */
export async function errandOfSheet(
  db: Reading,
  sheetId: number,
): Promise<{ number: string; to: string } | null> {
  const [row] = await db
    .select({ number: errands.number, manifest: errands.manifest })
    .from(errandSheets)
    .innerJoin(errands, eq(errands.id, errandSheets.errandId))
    .where(eq(errandSheets.sheetId, sheetId))
    .orderBy(desc(errands.id))
    .limit(1);
  return row ? { number: row.number, to: row.manifest.to } : null;
}
