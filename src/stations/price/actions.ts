'use server';
import { reckonPrice } from '@/core/price';
import { addExpense, addPrice } from '@/data';
import { act, refuse, sizeFault } from '@/studio';
import type { Answer } from '@/core/input';
import { mishapForm } from './mishapForm';
import { NOTHING_LEFT, keepPriceForm } from './priceForm';

/** Keeps the price of a size with everything it was reckoned from. */
export async function keepPrice(typed: unknown): Promise<Answer<null>> {
  return act(keepPriceForm, typed, {}, async (v, { settings, write, at }) => {
    const { workId, sizeKey, ...values } = v;
    const { cost, sale } = reckonPrice(values);
    if (!sale) return refuse(NOTHING_LEFT, { margin: NOTHING_LEFT });
    return write(async (tx) => {
      const fault = await sizeFault(tx, workId, sizeKey);
      if (fault) return fault;
      await addPrice(tx, {
        workId,
        sizeKey,
        channel: values.channel,
        values,
        currency: settings.currency,
        cost: cost.total,
        fees: sale.fees,
        price: sale.gross,
        net: sale.net,
        at,
      });
      return null;
    });
  });
}

/** Notes what went wrong with a size of a work, and what it cost: in no price. */
export async function noteMishap(typed: unknown): Promise<Answer<null>> {
  return act(mishapForm, typed, {}, async (v, { settings, write, at, today }) => {
    if (v.onDay > today) {
      const message = 'On: it is still to come. Note it once it happened.';
      return refuse(message, { onDay: message });
    }
    return write(async (tx) => {
      const fault = await sizeFault(tx, v.workId, v.sizeKey);
      if (fault) return fault;
      const { currency } = settings;
      await addExpense(tx, { ...v, kind: 'mishap', channel: '', currency, at });
      return null;
    });
  });
}
