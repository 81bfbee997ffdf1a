import { monthCounts } from '@/core/price';
import { orderedByMonth, sizeStands } from '@/data';
import type { EditionState, Reading } from '@/data';

/** Months that are looked back at. */
const MONTHS = 24;

/** What was ordered of a size, month by month since it was offered. */
export async function soldOf(
  db: Reading,
  size: { workId: number; sizeKey: string },
  today: string,
): Promise<number[]> {
  const [ordered, offered] = await Promise.all([
    orderedByMonth(db, size.workId, size.sizeKey),
    sizeStands(db, size.workId, size.sizeKey),
  ]);
  return monthCounts(ordered, offered?.at ?? today, today, MONTHS);
}

/** Numbers of an edition that can still be printed and sold; null of an open one, or of none. */
export function numbersLeft(edition: EditionState | undefined): number | null {
  if (!edition?.declaration.size) return null;
  const gone = edition.impressions.filter(
    (i) => i.series === 'number' && !['spoiled', 'damaged'].includes(i.state),
  );
  return Math.max(0, edition.declaration.size - gone.length);
}
