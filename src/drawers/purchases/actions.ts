'use server';
import type { Answer } from '@/core/input';
import { addPurchase, endPurchase, getMaterial, getPaper, getPrinterInk } from '@/data';
import type { Reading } from '@/data';
import { act, purchases, refuse } from '@/studio';
import { formatOf } from '@/shell/figures/format';
import type { BoughtKind } from '@/core/paper';
import { daysAfter } from '@/core/days';
import { allOrderedForm, notComingForm, orderedForm } from './orderedForm';
import { listSeen, orderedName } from './words';

const WORDS = {
  onItsWay:
    'It was ordered already, and is on its way. What you typed is still here; note there that it does not come, or wait for it.',
  gone: 'This is not there any more. What you typed is still here.',
  ended: 'It is not on its way any more: it came, or somebody noted that it does not come.',
};

const there = (db: Reading, kind: BoughtKind, ref: number) =>
  ({ paper: getPaper, ink: getPrinterInk, material: getMaterial })[kind](db, ref);

/** Notes that something was ordered: until a delivery of it is noted it is on its way. */
export async function noteOrdered(typed: unknown): Promise<Answer<number>> {
  return act(orderedForm, typed, WORDS, async (v, { write, at, today }) => {
    if (v.orderedOn > today) {
      const message = `Ordered on: ${v.orderedOn} is still to come.`;
      return refuse(message, { orderedOn: message });
    }
    if (v.comesOn !== null && v.comesOn < v.orderedOn) {
      const message = `Is to come on: ${v.comesOn} is before it was ordered.`;
      return refuse(message, { comesOn: message });
    }
    return write(async (tx) =>
      (await there(tx, v.kind, v.ref)) ? addPurchase(tx, { ...v, at }) : refuse(WORDS.gone),
    );
  });
}

/** Notes that all of a supplier's list was ordered today, as many as it says; refused where it is another by now. */
export async function noteAllOrdered(typed: unknown): Promise<Answer<number>> {
  return act(allOrderedForm, typed, WORDS, async (v, { settings, write, at, today }) =>
    write(async (tx) => {
      const lists = await purchases(tx, today, Number(v.within));
      const list = lists.find((l) => l.supplier === v.supplier);
      if (!list || listSeen(list.lines) !== v.seen)
        return refuse(
          'This list is another by now: see what it asks for, and press again.',
        );
      const format = formatOf(settings);
      for (const p of list.lines) {
        const { kind, quantity, supplier, deliveryDays } = p;
        const comesOn = deliveryDays === null ? null : daysAfter(today, deliveryDays);
        const days = { orderedOn: today, comesOn, at };
        const name = orderedName(p, format);
        await addPurchase(tx, { kind, ref: p.id, name, quantity, supplier, ...days });
      }
      return list.lines.length;
    }),
  );
}

/** Notes that what was ordered does not come. */
export async function noteNotComing(typed: unknown): Promise<Answer<null>> {
  return act(notComingForm, typed, WORDS, async ({ purchaseId: id }, { write, at }) => {
    await write((tx) => endPurchase(tx, { id, at }));
    return null;
  });
}
