import { and, desc, eq, sql } from 'drizzle-orm';
import { derivedSize } from '@/core/capture/derivation';
import { READING_VERSION } from '@/core/capture/reading';
import type { MasterFacts } from '@/core/image';
import type { CropChoice } from '@/core/size';
import type { Reading, Writing } from '../reading';
import { record } from '../log/log';
import { files, masterNow, masters, readings, works } from '../schema';
import { cropChoicesNow } from '../size/sizes';
import type { CropChoiceRow } from '../size/sizes';

type MasterRow = typeof masters.$inferSelect;

/** Facts of the picture that prints are made from: what is derived from the file, if anything is. */
export type PictureFacts = MasterFacts & {
  /** Measured detail fraction; null while it is not known or cannot be told. */
  detail: number | null;
  /** The crops chosen for the work, by the name of their ratio. */
  crops: Readonly<Record<string, CropChoice>>;
};

/** Crops by the name of their ratio, of one work out of those given. */
export const cropsOf = (
  workId: number,
  rows: readonly CropChoiceRow[],
): PictureFacts['crops'] =>
  Object.fromEntries(
    rows.filter((r) => r.workId === workId).map((r) => [r.ratio, r.choice]),
  );

export type Master = Omit<MasterRow, 'picture'> & {
  /** Hash under which pixels, tiles and preview lie. */
  picture: string;
  facts: PictureFacts;
  /** Facts of the stored file itself. */
  file: MasterFacts;
};
export type NewMaster = Omit<typeof masters.$inferInsert, 'id'>;

/** Takes a stored file as the newest master of a work. */
export async function addMaster(
  tx: Writing,
  master: NewMaster,
  facts: MasterFacts,
  what: 'master.taken' | 'master.space' | 'master.derived' = 'master.taken',
): Promise<number> {
  await tx
    .insert(files)
    .values({ ...facts, sha256: master.sha256, storedAt: master.at })
    .onConflictDoNothing();
  const size = master.derivation ? derivedSize(facts, master.derivation) : facts;
  const row = await record(tx, masters, master, {
    at: master.at,
    what,
    workId: master.workId,
    detail: {
      name: master.name,
      pixels: `${size.width} × ${size.height}`,
      space: master.assumedSpace ?? facts.iccDescription,
      sha256: master.sha256,
    },
  });
  return row.id;
}

/** A master's columns with its file and what was measured of it; joined by `withFile`. */
export const masterColumns = { master: masters, file: files, detail: readings.detail };

/** The reading that counts for a file. */
export const readingNow = and(
  eq(readings.sha256, masters.sha256),
  eq(readings.version, READING_VERSION),
);

export function asMaster(
  {
    master,
    file,
    detail,
  }: {
    master: MasterRow;
    file: typeof files.$inferSelect;
    detail: number | null;
  },
  crops: readonly CropChoiceRow[] = [],
): Master {
  const size = master.derivation ? derivedSize(file, master.derivation) : file;
  const { width, height } = size;
  return {
    ...master,
    picture: master.picture ?? master.sha256,
    facts: { ...file, width, height, detail, crops: cropsOf(master.workId, crops) },
    file,
  };
}

const joined = (db: Reading) =>
  db
    .select(masterColumns)
    .from(masters)
    .innerJoin(files, eq(files.sha256, masters.sha256))
    .leftJoin(readings, readingNow);

/** The newest master of a work. */
export async function currentMaster(
  db: Reading,
  workId: number,
): Promise<Master | undefined> {
  const [row] = await joined(db)
    .innerJoin(masterNow, eq(masterNow.masterId, masters.id))
    .where(eq(masterNow.workId, workId));
  return row && asMaster(row, await cropChoicesNow(db, [workId]));
}

export async function getMaster(db: Reading, id: number): Promise<Master | undefined> {
  const [row] = await joined(db).where(eq(masters.id, id));
  return row && asMaster(row);
}

/** Every master that a work has or had, newest first. */
export const mastersOf = async (db: Reading, workId: number): Promise<Master[]> =>
  (await joined(db).where(eq(masters.workId, workId)).orderBy(desc(masters.id))).map(
    (row) => asMaster(row),
  );

/**
 * Newest masters whose pixels were read when they were taken, and whether the reading that
 * counts is there: so many, of the works after one.
 */
export async function mastersReadOnce(
  db: Reading,
  afterWorkId: number,
  limit: number,
): Promise<{ master: Master; isRead: boolean }[]> {
  const rows = await db
    .select({ ...masterColumns, read: readings.version })
    .from(masterNow)
    .innerJoin(masters, eq(masters.id, masterNow.masterId))
    .innerJoin(files, eq(files.sha256, masters.sha256))
    .leftJoin(readings, readingNow)
    .where(
      sql`${masterNow.workId} > ${afterWorkId} AND 'done' = (SELECT j.state FROM job j
        WHERE j.work_id = ${masterNow.workId} AND j.kind = 'read' ORDER BY j.id DESC LIMIT 1)`,
    )
    .orderBy(masterNow.workId)
    .limit(limit);
  return rows.map((row) => ({ master: asMaster(row), isRead: row.read !== null }));
}

/** Titles of the works whose master this file is or was. */
export async function worksOfFile(
  db: Reading,
  sha256: string,
): Promise<{ workId: number; title: string }[]> {
  return db
    .selectDistinct({ workId: works.id, title: works.title })
    .from(masters)
    .innerJoin(works, eq(works.id, masters.workId))
    .where(eq(masters.sha256, sha256));
}
