'use server';
import type { Answer } from '@/core/input';
import {
  addInkEvent,
  getPrinter,
  getPrinterInk,
  inkEventsOf,
  inksOfPrinters,
  undoInkEvent,
} from '@/data';
import type { PrinterInkRow, Reading } from '@/data';
import { act, refuse, rowId, studio } from '@/studio';
import {
  boughtForm,
  changedForm,
  cleanedForm,
  estimateForm,
  firstSetForm,
  gaugeField,
  gaugeForm,
  takeBackForm,
} from './inkForms';
import { lookAtPrints } from './lookAtPrints';
import { INK_GONE, PRINTER_GONE } from './words';

const WORDS: Record<string, string> = {
  changedLater:
    'On: this ink was changed on that day, or after it. Cartridges come one after the other: give a later day, or take the other change back first.',
  gone: 'This was taken back already, or never noted.',
  backAlready: 'This was taken back already.',
};

/** What is to come cannot be noted. */
function notYet(day: string, today: string) {
  if (day <= today) return null;
  const message = `On: ${day} is still to come. Note it on the day, or put the day right.`;
  return refuse(message, { day: message });
}

/** An ink of that very printer; null where it is not. */
async function inkOf(
  db: Reading,
  of: { printerId: number; inkId: number },
): Promise<PrinterInkRow | null> {
  const ink = await getPrinterInk(db, of.inkId);
  return ink && ink.printerId === of.printerId ? ink : null;
}

const noInk = () => refuse(INK_GONE, { inkId: INK_GONE });

/** Notes that a cartridge was put in. */
export async function noteChange(typed: unknown): Promise<Answer<number>> {
  return act(changedForm, typed, WORDS, async (v, { write, at, today }) => {
    const { wasLeft, firstFill, ...rest } = v;
    const fault = notYet(v.day, today);
    if (fault) return fault;
    return write(async (tx) => {
      const ink = await inkOf(tx, v);
      if (!ink) return noInk();
      const { price, currency } = ink;
      return addInkEvent(tx, {
        ...rest,
        kind: 'changed',
        share: wasLeft,
        firstFill: firstFill === 'yes',
        price,
        currency,
        at,
      });
    });
  });
}

/** Notes the first set of inks: one of each that was never changed. */
export async function noteFirstSet(typed: unknown): Promise<Answer<number>> {
  return act(firstSetForm, typed, WORDS, async ({ printerId, day }, tools) => {
    const { write, at, today } = tools;
    const fault = notYet(day, today);
    if (fault) return fault;
    return write(async (tx) => {
      const [inks, events] = [
        await inksOfPrinters(tx, [printerId]),
        await inkEventsOf(tx, printerId),
      ];
      const fresh = inks.filter(
        (i) => !events.some((e) => e.inkId === i.id && e.kind === 'changed'),
      );
      if (fresh.length === 0)
        return refuse(
          'Every ink of this printer was put in before. Note a change instead.',
        );
      for (const { id: inkId, ml, price, currency, role } of fresh)
        await addInkEvent(tx, {
          printerId,
          inkId,
          kind: 'changed',
          day,
          ml,
          firstFill: role !== 'wasteBox',
          price,
          currency,
          at,
        });
      return fresh.length;
    });
  });
}

/** Notes what the gauges say. */
export async function noteGauges(typed: unknown): Promise<Answer<number>> {
  const { printerId } = Object(typed) as { printerId?: unknown };
  const { db } = await studio();
  const of = typeof printerId === 'string' ? rowId(printerId) : 0;
  const inks = await inksOfPrinters(db.read, [of]);
  return act(gaugeForm(inks), typed, WORDS, async (v, { write, at, today }) => {
    const fault = notYet(v.day, today);
    if (fault) return fault;
    const values = v as unknown as Record<string, number | null>;
    const read = inks.flatMap(({ id }) => {
      const share = values[gaugeField(id)];
      return typeof share === 'number' ? [{ inkId: id, share }] : [];
    });
    if (read.length === 0)
      return refuse('No gauge was read. Type what one of them says, in per cent.');
    return write(async (tx) => {
      const { printerId, day } = v as { printerId: number; day: string };
      for (const gauge of read)
        await addInkEvent(tx, { printerId, day, kind: 'gauge', ...gauge, at });
      return read.length;
    });
  });
}

/** Notes that the heads were cleaned. */
export async function noteCleaning(typed: unknown): Promise<Answer<number>> {
  return act(cleanedForm, typed, WORDS, async (v, { write, at, today }) => {
    const fault = notYet(v.day, today);
    if (fault) return fault;
    return write(async (tx) =>
      (await getPrinter(tx, v.printerId))
        ? addInkEvent(tx, { ...v, inkId: null, kind: 'cleaned', at })
        : refuse(PRINTER_GONE),
    );
  });
}

/** Notes cartridges that were bought. */
export async function noteBought(typed: unknown): Promise<Answer<number>> {
  return act(boughtForm, typed, WORDS, async (v, { settings, write, at, today }) => {
    const { pieces, price, ...rest } = v;
    const fault = notYet(v.day, today);
    if (fault) return fault;
    return write(async (tx) => {
      if (!(await inkOf(tx, v))) return noInk();
      return addInkEvent(tx, {
        ...rest,
        kind: 'bought',
        times: pieces,
        price,
        currency: price === null ? '' : settings.currency,
        at,
      });
    });
  });
}

/** Takes back what was noted by mistake. */
export async function takeBackNoted(typed: unknown): Promise<Answer<null>> {
  return act(takeBackForm, typed, WORDS, async ({ eventId }, { write, at }) => {
    await write((tx) => undoInkEvent(tx, { id: eventId, at }));
    return null;
  });
}

/** Looks at the pictures that were printed and nobody has looked at, as work in the background. */
export async function estimatePrints(typed: unknown): Promise<Answer<number>> {
  return act(estimateForm, typed, WORDS, ({ printerId }, { studio: open, at }) =>
    lookAtPrints(open, printerId, at),
  );
}
