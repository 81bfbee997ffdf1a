'use server';
import { costOfImpression, feesOf, saleAt } from '@/core/price';
import { addPrice, addPriceLadder, getWork } from '@/data';
import { act, refuse, sizeFault } from '@/studio';
import type { Answer } from '@/core/input';
import { loadPrice } from '../view';
import { keepLadderForm } from './ladderForm';
import { ladderKnown } from './ladderKnown';
import { ladderShown, ladderTerms } from './ladderShown';

/**
 * Keeps the prices of all sizes by one rule: the rule, and a dated price for each size that
 * has another one now. Answers how many prices are new. What was sold stays as it was.
 */
export async function keepLadder(typed: unknown): Promise<Answer<number>> {
  return act(keepLadderForm, typed, {}, async (v, { studio, write, at }) => {
    const { workId, hand, ...asked } = v;
    if (!(await getWork(studio.db.read, workId)))
      return refuse('This work is not there any more. What you typed is still here.');
    const view = await loadPrice(String(workId), {});
    const known = ladderKnown(view);
    const { currency } = known;
    const { rows } = ladderShown(asked, hand, known);
    const changed = rows.flatMap((row) => {
      // Of what is sold beside the plain print the rule is kept, from which its price follows.
      const size = known.sizes.find((s) => s.key === row.id);
      return size && row.price !== null && row.price !== size.kept
        ? [{ size, price: row.price }]
        : [];
    });
    if (rows.every((r) => r.price === null))
      return refuse(
        'No size has a price by this rule. Choose another, or type them by hand.',
      );
    return write(async (tx) => {
      for (const { size } of changed) {
        const fault = await sizeFault(tx, workId, size.key);
        if (fault) return fault;
      }
      const terms = ladderTerms(asked, known);
      await addPriceLadder(tx, { workId, terms, currency, at });
      for (const { size, price } of changed) {
        const values = { ...size.values, asked: price };
        const cost = costOfImpression(values).total;
        const { fees, net } = saleAt(price, cost, feesOf(values));
        await addPrice(tx, {
          workId,
          sizeKey: size.key,
          channel: values.channel,
          values,
          currency,
          cost,
          fees,
          price,
          net,
          at,
        });
      }
      return changed.length;
    });
  });
}
