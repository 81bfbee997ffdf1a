'use server';
import { addPrice, readSettings } from '@/data';
import { act, refuse, studio } from '@/studio';
import type { ActionResult } from '@/studio';
import { NOTHING_LEFT, priceInput, reckon, reckonTyped } from './reckon';
import type { Reckoning } from './reckon';

/** Reckons without keeping: what the numbers typed so far come to. */
export async function reckonPrice(typed: unknown): Promise<ActionResult<Reckoning>> {
  return reckonTyped(typed, await readSettings((await studio()).db.read));
}

/** Keeps the price of a size with everything it was reckoned from. */
export async function keepPrice(typed: unknown): Promise<ActionResult<null>> {
  return act(priceInput, typed, {}, async (v, { write, at }) => {
    const { cost, sale } = reckon(v);
    if (!sale) return refuse(NOTHING_LEFT, { margin: NOTHING_LEFT });
    const { workId, sizeKey, channel } = v;
    await write((tx) =>
      addPrice(tx, {
        workId,
        sizeKey,
        channel,
        input: typed as Record<string, unknown>,
        cost: cost.total,
        fees: sale.fees,
        price: sale.gross,
        net: sale.net,
        at,
      }),
    );
    return null;
  });
}
