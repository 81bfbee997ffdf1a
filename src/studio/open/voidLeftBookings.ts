import { pendingBookings, voidBooking } from '@/data';
import type { Booking, OpenDatabase, VoidReason } from '@/data';
import { carriersOf } from '@/standins';
import { now } from '../running/studio';

/**
 * Voids a booking: at its carrier first, then it is written down, so that a crash in between
 * leaves one that the next start finds again.
 */
async function unbook(
  { home, db }: { home: string; db: OpenDatabase },
  booking: Booking,
  why: VoidReason,
): Promise<void> {
  await carriersOf(home)
    .find((c) => c.name === booking.carrier)
    ?.void(booking.reference);
  await db.write((tx) => voidBooking(tx, booking, why, now()));
}

/**
 * Voids bookings that are not wanted any more. Answers the carriers that could not be told:
 * what was written stands, and they are told at the next start.
 */
export async function unbookAll(
  open: { home: string; db: OpenDatabase },
  bookings: readonly Booking[],
  why: VoidReason,
): Promise<string[]> {
  const untold = new Set<string>();
  for (const booking of bookings)
    await unbook(open, booking, why).catch(() => untold.add(booking.carrier));
  return [...untold];
}

/**
 * Voids every booking that a stopped server left without its parcel; the table says it. A
 * carrier that does not answer keeps nothing shut: its booking waits for the start after.
 */
export async function voidLeftBookings(home: string, db: OpenDatabase): Promise<void> {
  for (const { booking, why } of await pendingBookings(db.read))
    await unbookAll({ home, db }, [booking], why ?? 'stopped');
}
