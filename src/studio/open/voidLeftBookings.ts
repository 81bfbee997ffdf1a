import { pendingBookings, voidBooking } from '@/data';
import type { Booking, OpenDatabase, VoidReason } from '@/data';
import { carriersOf } from '@/standins';
import { now } from '../running/studio';

/**
 * Voids a booking: at its carrier first, then it is written down, so that a crash in between
 * leaves one that the next start finds again.
 */
export async function unbook(
  { home, db }: { home: string; db: OpenDatabase },
  booking: Booking,
  why: VoidReason,
): Promise<void> {
  await carriersOf(home)
    .find((c) => c.name === booking.carrier)
    ?.void(booking.reference);
  await db.write((tx) => voidBooking(tx, booking, why, now()));
}

/** Voids every booking that a stopped server left without its parcel; the table says it. */
export async function voidLeftBookings(home: string, db: OpenDatabase): Promise<void> {
  for (const { booking, why } of await pendingBookings(db.read))
    await unbook({ home, db }, booking, why ?? 'stopped');
}
