'use server';
import { SHARES_TAKE_ALL } from './channelsWords';
import { addChannelTerms } from '@/data';
import { act, refuse } from '@/studio';
import type { Answer } from '@/core/input';
import { takesAll } from '@/core/price';
import { termsForm } from './channelForms';

/** Keeps what a channel asks from now on; sales that are written down stay as they are. */
export async function keepTerms(typed: unknown): Promise<Answer<null>> {
  return act(termsForm, typed, {}, async (v, { settings, write, at }) => {
    const { channel, saleOrReturn, ...asked } = v;
    // What a channel that prints asks for a size stands in its price list.
    const terms = { ...asked, saleOrReturn: saleOrReturn === 'yes', basePrice: null };
    if (takesAll(terms)) return refuse(SHARES_TAKE_ALL, { commission: SHARES_TAKE_ALL });
    const { currency } = settings;
    await write((tx) => addChannelTerms(tx, { channel, terms, currency, at }));
    return null;
  });
}
