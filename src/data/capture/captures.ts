import { and, asc, desc, eq, lt } from 'drizzle-orm';
import { READING_VERSION } from '@/core/capture/reading';
import type { MasterReading } from '@/core/capture/reading';
import type { GivenVerdict } from '@/core/capture/specks';
import type { Reading, Writing } from '../reading';
import {
  boardShots,
  devices,
  files,
  printWishes,
  readings,
  signatures,
  speckEvents,
} from '../schema';
import { record, tell } from '../log/log';

export type DeviceRow = typeof devices.$inferSelect;
export type PrintWish = typeof printWishes.$inferSelect;
export type BoardShot = typeof boardShots.$inferSelect;
export type SignatureFact = typeof signatures.$inferSelect;

/** What was read of a file by the reading of now; undefined until it was. */
export async function masterReading(
  db: Reading,
  sha256: string,
): Promise<MasterReading | undefined> {
  const [row] = await db
    .select({ reading: readings.reading })
    .from(readings)
    .where(and(eq(readings.sha256, sha256), eq(readings.version, READING_VERSION)));
  return row?.reading;
}

/** Keeps a reading; of one file and version there is one. */
export async function saveReading(
  tx: Writing,
  {
    sha256,
    reading,
    workId,
    at,
  }: {
    sha256: string;
    reading: MasterReading;
    workId: number;
    at: string;
  },
): Promise<void> {
  const version = READING_VERSION;
  const detail = reading.detail.fraction;
  const told = {
    at,
    what: 'master.inspected',
    workId,
    detail: { detail, specks: reading.specks.found.length, sha256 },
  };
  if (await masterReading(tx, sha256)) return tell(tx, told);
  await record(tx, readings, { sha256, version, detail, reading, at }, told);
}

/** Everything said of the specks of a work's masters, in order. */
export const speckVerdicts = (db: Reading, workId: number): Promise<GivenVerdict[]> =>
  db
    .select({
      x: speckEvents.x,
      y: speckEvents.y,
      diameter: speckEvents.diameter,
      verdict: speckEvents.verdict,
      width: files.width,
      height: files.height,
    })
    .from(speckEvents)
    .innerJoin(files, eq(files.sha256, speckEvents.sha256))
    .where(eq(speckEvents.workId, workId))
    .orderBy(asc(speckEvents.id));

export async function addSpeckVerdict(
  tx: Writing,
  event: Omit<typeof speckEvents.$inferInsert, 'id'>,
): Promise<void> {
  const { at, workId, verdict, x, y } = event;
  await record(tx, speckEvents, event, {
    at,
    what: 'speck.judged',
    workId,
    detail: { verdict, x: Math.round(x), y: Math.round(y) },
  });
}

const newest = async <T>(rows: Promise<T[]>): Promise<T | null> => (await rows)[0] ?? null;

export const signatureOf = (db: Reading, workId: number): Promise<SignatureFact | null> =>
  newest(
    db
      .select()
      .from(signatures)
      .where(eq(signatures.workId, workId))
      .orderBy(desc(signatures.id))
      .limit(1),
  );

export async function addSignature(
  tx: Writing,
  fact: Omit<typeof signatures.$inferInsert, 'id'>,
): Promise<void> {
  const { at, workId, present } = fact;
  await record(tx, signatures, fact, {
    at,
    what: 'signature.noted',
    workId,
    detail: { present },
  });
}

export const boardShotOf = (db: Reading, workId: number): Promise<BoardShot | null> =>
  newest(
    db
      .select()
      .from(boardShots)
      .where(eq(boardShots.workId, workId))
      .orderBy(desc(boardShots.id))
      .limit(1),
  );

/** The same photograph as it was read by an earlier rule; null when it never was. */
export const boardReadBefore = (
  db: Reading,
  { workId, sha256, rule }: Pick<BoardShot, 'workId' | 'sha256' | 'rule'>,
): Promise<BoardShot | null> =>
  newest(
    db
      .select()
      .from(boardShots)
      .where(
        and(
          eq(boardShots.workId, workId),
          eq(boardShots.sha256, sha256),
          lt(boardShots.rule, rule),
        ),
      )
      .orderBy(desc(boardShots.id))
      .limit(1),
  );

export async function addBoardShot(
  tx: Writing,
  shot: Omit<typeof boardShots.$inferInsert, 'id'>,
): Promise<void> {
  const { at, workId, name } = shot;
  await record(tx, boardShots, shot, { at, what: 'board.taken', workId, detail: { name } });
}

export const printWishOf = (db: Reading, workId: number): Promise<PrintWish | null> =>
  newest(
    db
      .select()
      .from(printWishes)
      .where(eq(printWishes.workId, workId))
      .orderBy(desc(printWishes.id))
      .limit(1),
  );

export async function addPrintWish(
  tx: Writing,
  wish: Omit<typeof printWishes.$inferInsert, 'id'>,
): Promise<void> {
  await tx.insert(printWishes).values(wish);
}

export const listDevices = (db: Reading): Promise<DeviceRow[]> =>
  db.select().from(devices).orderBy(asc(devices.kind), asc(devices.name));

export const getDevice = (db: Reading, id: number): Promise<DeviceRow | undefined> =>
  db.query.devices.findFirst({ where: eq(devices.id, id) });

export async function addDevice(
  tx: Writing,
  device: Omit<DeviceRow, 'id'>,
  at: string,
): Promise<number> {
  const row = await record(tx, devices, device, {
    at,
    what: 'device.new',
    detail: { name: device.name },
  });
  return row.id;
}
