'use server';
import { addPrice, readSettings } from '@/data';
import { act, refuse, studio } from '@/studio';
import type { ActionResult } from '@/studio';
import { priceInput, reckon } from './reckon';

export interface Reckoning {
  cost: { part: string; amount: number }[];
  total: number;
  gross: number;
  fees: number;
  net: number;
  margin: number;
}

/** Nothing would be left of any price: said at the margin. */
const NOTHING_LEFT =
  'Target margin: margin and fees together take the whole price, so no price can be found. Lower one of them.';

/** Reckons without keeping: what the numbers typed so far come to. */
export async function reckonPrice(typed: unknown): Promise<ActionResult<Reckoning>> {
  const settings = await readSettings((await studio()).db.read);
  const read = priceInput.read(typed, settings);
  if (!read.ok) return refuse('', read.fields);
  const { cost, sale } = reckon(read.value);
  if (!sale) return refuse(NOTHING_LEFT, { margin: NOTHING_LEFT });
  const { gross, fees, net, margin } = sale;
  return {
    ok: true,
    value: { cost: cost.parts, total: cost.total, gross, fees, net, margin },
  };
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
