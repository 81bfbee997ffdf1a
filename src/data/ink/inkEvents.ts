import { and, asc, eq, sql } from 'drizzle-orm';
import type { Reading, Writing } from '../reading';
import { Refused } from '../refused';
import { record } from '../log/log';
import { inkEvents, printerInks, printers } from '../schema';

export type InkEventRow = typeof inkEvents.$inferSelect;

/** What is noted of an ink; what is not said of its kind is nothing. */
export type NewInkEvent = Pick<InkEventRow, 'printerId' | 'inkId' | 'kind' | 'day' | 'at'> &
  Partial<
    Pick<
      InkEventRow,
      'ml' | 'share' | 'firstFill' | 'times' | 'price' | 'currency' | 'note'
    >
  >;

/** Events that were not taken back. */
const STANDS = sql.raw(`ink_event.kind <> 'undone' AND NOT EXISTS
  (SELECT 1 FROM ink_event b WHERE b.undoes = ink_event.id)`);

/** What was noted of a printer's inks and still stands, by day. */
export const inkEventsOf = (db: Reading, printerId: number): Promise<InkEventRow[]> =>
  db
    .select()
    .from(inkEvents)
    .where(and(eq(inkEvents.printerId, printerId), STANDS))
    .orderBy(asc(inkEvents.day), asc(inkEvents.id));

/** The last change of an ink that stands; null where none was noted. */
export async function lastChange(db: Reading, inkId: number): Promise<InkEventRow | null> {
  const rows = await db
    .select()
    .from(inkEvents)
    .where(and(eq(inkEvents.inkId, inkId), eq(inkEvents.kind, 'changed'), STANDS))
    .orderBy(sql`${inkEvents.day} DESC`, sql`${inkEvents.id} DESC`)
    .limit(1);
  return rows[0] ?? null;
}

const names = async (tx: Reading, { printerId, inkId }: NewInkEvent) => ({
  printer:
    (await tx.query.printers.findFirst({ where: eq(printers.id, printerId) }))?.name ?? '',
  ink:
    inkId === null
      ? ''
      : ((await tx.query.printerInks.findFirst({ where: eq(printerInks.id, inkId) }))
          ?.name ?? ''),
});

/**
 * Notes what happened to an ink. Throws Refused `changedLater` where a change is not after the
 * last one of the ink: cartridges come one after the other.
 */
export async function addInkEvent(tx: Writing, event: NewInkEvent): Promise<number> {
  const { inkId, kind, day } = event;
  if (kind === 'changed' && inkId !== null) {
    const last = await lastChange(tx, inkId);
    if (last && last.day >= day) throw new Refused('changedLater');
  }
  const row = {
    ml: null,
    share: null,
    firstFill: false,
    times: null,
    price: null,
    currency: '',
    note: '',
    undoes: null,
    ...event,
  };
  const { share, times, ml } = row;
  const detail = { ...(await names(tx, event)), day, share, times, ml };
  return (await record(tx, inkEvents, row, { at: event.at, what: `ink.${kind}`, detail }))
    .id;
}

/** Takes back what was noted by mistake. Throws Refused `gone`, `backAlready`. */
export async function undoInkEvent(
  tx: Writing,
  { id, at }: { id: number; at: string },
): Promise<void> {
  const event = await tx.query.inkEvents.findFirst({ where: eq(inkEvents.id, id) });
  if (!event || event.kind === 'undone') throw new Refused('gone');
  const before = await tx.query.inkEvents.findFirst({ where: eq(inkEvents.undoes, id) });
  if (before) throw new Refused('backAlready');
  const { printerId, inkId, day } = event;
  const detail = { ...(await names(tx, { ...event, at })), day, kind: event.kind };
  await record(
    tx,
    inkEvents,
    {
      printerId,
      inkId,
      kind: 'undone',
      day,
      currency: '',
      note: '',
      undoes: id,
      at,
    },
    { at, what: 'ink.undone', detail },
  );
}
