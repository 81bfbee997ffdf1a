'use server';
import { promisedDay } from '@/core/days';
import { mergeCustomers, takeOrder as takeOrderRow } from '@/data';
import { act, refuse, weekOf } from '@/studio';
import type { Answer } from '@/core/input';
import { mergeForm } from './customers/mergeForm';
import { newOrderForm } from './orderForms';
import { readLine } from './readLine';
import { WORDS } from './words';

/** Takes an order with its first line; answers with its number. */
export async function takeOrder(typed: unknown): Promise<Answer<{ number: string }>> {
  return act(newOrderForm, typed, WORDS, async (v, { settings, write, at, today }) =>
    write(async (tx) => {
      const read = await readLine(tx, v, settings.currency);
      if (!read.ok) return refuse(read.message, { [read.field]: read.message });
      const { name, street, town, country, channel, wish, note, extras } = v;
      const order = {
        customer: { name, street, town, country },
        channel,
        wish,
        note,
        extras,
        placedAt: at,
        dueOn: promisedDay(today, settings.handlingDays, weekOf(settings)),
      };
      return { number: (await takeOrderRow(tx, order, read.line)).number };
    }),
  );
}

/** Merges a customer into another, by hand. */
export async function merge(typed: unknown): Promise<Answer<null>> {
  return act(mergeForm, typed, WORDS, async (v, { write, at }) => {
    await write((tx) => mergeCustomers(tx, { ...v, at }));
    return null;
  });
}
