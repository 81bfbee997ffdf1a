import { pendingBookings, voidBooking } from '@/data';
import type { OpenDatabase } from '@/data';
import { carriersOf } from '@/standins';
import { now } from '../running/studio';

/**
 * Voids every booking that a stopped server left without its parcel: at the carrier first, so
 * that a crash in between finds it again. It is written down, and the table says it.
 */
export async function voidLeftBookings(home: string, db: OpenDatabase): Promise<void> {
  const carriers = carriersOf(home);
  for (const booking of await pendingBookings(db.read)) {
    await carriers.find((c) => c.name === booking.carrier)?.void(booking.reference);
    await db.write((tx) => voidBooking(tx, booking, 'stopped', now()));
  }
}
