import { daysAfter } from '@/core/days';
import { orderedByChannel } from '@/data';
import type { Reading } from '@/data';

const DAYS = 365;
const MONTHS = 12;

/** Pieces a month that came in through each channel over the last year, of all works. */
export async function channelPace(
  db: Reading,
  today: string,
): Promise<{ channel: string; perMonth: number }[]> {
  const found = await orderedByChannel(db, daysAfter(today, -DAYS));
  return found.map(({ channel, pieces }) => ({ channel, perMonth: pieces / MONTHS }));
}
