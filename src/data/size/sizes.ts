import { and, asc, eq, sql } from 'drizzle-orm';
import type { CropChoice, CropRect, Layout } from '@/core/size';
import type { Reading, Writing } from '../reading';
import { cropChoices, keptAreas, sizeEvents, sizeNow } from '../schema';
import { record } from '../log/log';

export type SizeEvent = typeof sizeEvents.$inferSelect;

const say = ({ above, right, below, left }: Layout['borders']): number | string =>
  [right, below, left].every((b) => b === above)
    ? above
    : [above, right, below, left].join(' / ');

export async function addSizeEvent(
  tx: Writing,
  event: Omit<SizeEvent, 'id'>,
): Promise<void> {
  await record(tx, sizeEvents, event, {
    at: event.at,
    what: `size.${event.kind}`,
    workId: event.workId,
    sizeKey: event.sizeKey,
    detail: {
      reason: event.reason,
      borderMm: say(event.layout.borders),
      fit: event.layout.fit,
    },
  });
}

/** The last word on each size of a work that anything was ever said of, in the order of the words. */
export async function decidedSizes(db: Reading, workId: number): Promise<SizeEvent[]> {
  const rows = await db
    .select({ event: sizeEvents })
    .from(sizeNow)
    .innerJoin(sizeEvents, eq(sizeEvents.id, sizeNow.eventId))
    .where(eq(sizeNow.workId, workId))
    .orderBy(asc(sizeEvents.id));
  return rows.map((r) => r.event);
}

/** Sizes of a work that are on offer now. */
export const offeredSizes = async (db: Reading, workId: number): Promise<SizeEvent[]> =>
  (await decidedSizes(db, workId)).filter((e) => e.kind === 'offered');

/** The last word on one size of a work; undefined when nothing was ever said of it. */
export async function sizeStands(
  db: Reading,
  workId: number,
  sizeKey: string,
): Promise<SizeEvent | undefined> {
  const [row] = await db
    .select({ event: sizeEvents })
    .from(sizeNow)
    .innerJoin(sizeEvents, eq(sizeEvents.id, sizeNow.eventId))
    .where(and(eq(sizeNow.workId, workId), eq(sizeNow.sizeKey, sizeKey)));
  return row?.event;
}

/** Keeps a crop for a ratio of a work, or that none is chosen any more. */
export async function addCropChoice(
  tx: Writing,
  crop: Omit<typeof cropChoices.$inferInsert, 'id'>,
): Promise<void> {
  const { choice } = crop;
  const per = (share: number) => Math.round(share * 1000) / 10;
  await record(tx, cropChoices, crop, {
    at: crop.at,
    what: choice ? 'crop.kept' : 'crop.dropped',
    workId: crop.workId,
    detail: choice
      ? {
          ratio: crop.ratio,
          across: per(choice.x),
          down: per(choice.y),
          zoom: per(choice.zoom),
        }
      : { ratio: crop.ratio },
  });
}

export type CropChoiceRow = Omit<typeof cropChoices.$inferSelect, 'choice'> & {
  choice: CropChoice;
};

/** The crops that are chosen now, of some works or of all. */
export async function cropChoicesNow(
  db: Reading,
  workIds: readonly number[] | null,
): Promise<CropChoiceRow[]> {
  const of = workIds === null ? sql`` : sql`WHERE work_id IN ${workIds}`;
  const newest = sql`${cropChoices.id} IN (SELECT max(id) FROM crop_choice ${of} GROUP BY work_id, ratio)`;
  const rows = await db.select().from(cropChoices).where(newest);
  return rows.flatMap((row) => (row.choice ? [{ ...row, choice: row.choice }] : []));
}

/** Keeps the part of a picture that no crop may lose; null: nothing is. */
export async function addKeptArea(
  tx: Writing,
  kept: Omit<typeof keptAreas.$inferInsert, 'id'>,
): Promise<void> {
  await record(tx, keptAreas, kept, {
    at: kept.at,
    what: kept.area ? 'area.kept' : 'area.freed',
    workId: kept.workId,
  });
}

/** The part of a work's picture that no crop may lose. */
export async function keptAreaOf(db: Reading, workId: number): Promise<CropRect | null> {
  const [row] = await db
    .select()
    .from(keptAreas)
    .where(eq(keptAreas.workId, workId))
    .orderBy(sql`id DESC`)
    .limit(1);
  return row?.area ?? null;
}
