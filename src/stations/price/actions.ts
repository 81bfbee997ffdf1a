'use server';
import { reckonPrice } from '@/core/price';
import { addPrice } from '@/data';
import { act, refuse, sizeFault } from '@/studio';
import type { Answer } from '@/core/input';
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
