import { eq } from 'drizzle-orm';
import type { MasterFacts } from '@/core/image';
import type { Reading, Writing } from '../database';
import { files, masters, works } from '../schema';
import { masterNow } from '../schema';
import { addLogLine } from './log';

export type Master = typeof masters.$inferSelect & { facts: MasterFacts };
export type NewMaster = Omit<typeof masters.$inferInsert, 'id'>;

/** Takes a stored file as the newest master of a work. */
export async function addMaster(
  tx: Writing,
  master: NewMaster,
  facts: MasterFacts,
): Promise<number> {
  await tx
    .insert(files)
    .values({ ...facts, sha256: master.sha256, storedAt: master.at })
    .onConflictDoNothing();
  const [row] = await tx.insert(masters).values(master).returning({ id: masters.id });
  await addLogLine(tx, {
    at: master.at,
    what: master.assumedSpace ? 'master.space' : 'master.taken',
    workId: master.workId,
    detail: {
      name: master.name,
      pixels: `${facts.width} × ${facts.height}`,
      space: master.assumedSpace ?? facts.iccDescription,
      sha256: master.sha256,
    },
  });
  return row!.id;
}

const joined = (db: Reading) =>
  db.select().from(masters).innerJoin(files, eq(files.sha256, masters.sha256));

const asMaster = (row: {
  master: typeof masters.$inferSelect;
  file: typeof files.$inferSelect;
}): Master => ({
  ...row.master,
  facts: row.file,
});

/** The newest master of a work. */
export async function currentMaster(
  db: Reading,
  workId: number,
): Promise<Master | undefined> {
  const [row] = await joined(db)
    .innerJoin(masterNow, eq(masterNow.masterId, masters.id))
    .where(eq(masterNow.workId, workId));
  return row && asMaster(row);
}

export async function getMaster(db: Reading, id: number): Promise<Master | undefined> {
  const [row] = await joined(db).where(eq(masters.id, id));
  return row && asMaster(row);
}

/** The file of every work's newest master. */
export const currentMasterFiles = (
  db: Reading,
): Promise<Pick<Master, 'workId' | 'sha256' | 'assumedSpace'>[]> =>
  db
    .select({
      workId: masters.workId,
      sha256: masters.sha256,
      assumedSpace: masters.assumedSpace,
    })
    .from(masterNow)
    .innerJoin(masters, eq(masters.id, masterNow.masterId));

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
