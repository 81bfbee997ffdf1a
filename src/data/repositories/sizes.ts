import { asc, eq } from 'drizzle-orm';
import type { Reading, Writing } from '../database';
import { sizeEvents } from '../schema';
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

const latest = (events: SizeEvent[]): SizeEvent[] => {
  const last = new Map<string, SizeEvent>();
  for (const event of events) last.set(`${event.workId}:${event.sizeKey}`, event);
  return [...last.values()].filter((e) => e.kind === 'offered');
};

/** Sizes of a work that are on offer now: the last word on each size. */
export async function offeredSizes(db: Reading, workId: number): Promise<SizeEvent[]> {
  return latest(
    await db
      .select()
      .from(sizeEvents)
      .where(eq(sizeEvents.workId, workId))
      .orderBy(asc(sizeEvents.id)),
  );
}

/** Sizes on offer over all works. */
export async function allOfferedSizes(db: Reading): Promise<SizeEvent[]> {
  return latest(await db.select().from(sizeEvents).orderBy(asc(sizeEvents.id)));
}
