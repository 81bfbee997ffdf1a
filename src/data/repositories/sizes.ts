import { and, asc, eq } from 'drizzle-orm';
import type { Reading, Writing } from '../database';
import { sizeEvents } from '../schema';
import { sizeNow } from '../schema';
import { addLogLine } from './log';

export type SizeEvent = typeof sizeEvents.$inferSelect;

export async function addSizeEvent(
  tx: Writing,
  event: Omit<SizeEvent, 'id'>,
): Promise<void> {
  await tx.insert(sizeEvents).values(event);
  await addLogLine(tx, {
    at: event.at,
    what: `size.${event.kind}`,
    workId: event.workId,
    sizeKey: event.sizeKey,
    detail: { reason: event.reason, borderMm: event.border, fit: event.fit },
  });
}

/** Sizes of a work that are on offer now: the last word on each size. */
export async function offeredSizes(db: Reading, workId: number): Promise<SizeEvent[]> {
  const rows = await db
    .select({ event: sizeEvents })
    .from(sizeNow)
    .innerJoin(sizeEvents, eq(sizeEvents.id, sizeNow.eventId))
    .where(and(eq(sizeNow.workId, workId), eq(sizeNow.kind, 'offered')))
    .orderBy(asc(sizeEvents.id));
  return rows.map((r) => r.event);
}

/** The last word on one size of a work; undefined when nothing was ever said of it. */
export async function sizeStands(
  db: Reading,
  workId: number,
  sizeKey: string,
): Promise<Pick<SizeEvent, 'sizeKey' | 'kind' | 'fit' | 'border'> | undefined> {
  const [row] = await db
    .select({
      sizeKey: sizeEvents.sizeKey,
      kind: sizeEvents.kind,
      fit: sizeEvents.fit,
      border: sizeEvents.border,
    })
    .from(sizeNow)
    .innerJoin(sizeEvents, eq(sizeEvents.id, sizeNow.eventId))
    .where(and(eq(sizeNow.workId, workId), eq(sizeNow.sizeKey, sizeKey)));
  return row;
}
