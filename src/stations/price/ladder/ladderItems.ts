import { costOfImpression, startPrice } from '@/core/price';
import type { PriceValues } from '@/core/price';
import { editionsOf, pricesOf, proofsOf } from '@/data';
import type { EditionState, Proof } from '@/data';
import { nominalExtent } from '@/studio';
import type { WorkPage } from '@/studio';
import { finishingCost } from '../finishingCost';
import type { FinishingCost } from '../finishingCost';
import { knownCosts } from '../knownCosts';
import type { LadderSize } from './ladderTypes';

const SOLD = ['ordered', 'sold', 'lost'];

/** The edition that a size belongs to; undefined where it belongs to none. */
export const editionOf = (editions: readonly EditionState[], sizeKey: string) =>
  editions.find((e) => e.sizeKey === sizeKey) ?? editions.find((e) => e.sizeKey === 'all');

/** Numbers that are given away: ordered, sold, lost. */
const soldOf = (edition: EditionState | undefined): number =>
  edition?.impressions.filter((i) => i.series === 'number' && SOLD.includes(i.state))
    .length ?? 0;

/** What a size that has no price yet costs: what is known, and usual figures for the rest. */
async function startOf(
  { db, settings }: Pick<WorkPage, 'db' | 'settings'>,
  proofs: readonly Proof[],
  size: { workId: number; sizeKey: string; editionSize: number | null },
): Promise<{ values: PriceValues; costKnown: boolean }> {
  const { known } = await knownCosts(db, proofs, size, settings);
  return { values: startPrice(known), costKnown: known.paper !== null };
}

/** What framing one costs, with its time; null where nobody said, or every one is framed already. */
const framingOf = (
  found: FinishingCost | null,
  { hourlyRate }: PriceValues,
  currency: string,
): number | null =>
  found && !found.every && found.currency === currency
    ? Math.round(found.amount + found.hours * hourlyRate)
    : null;

/**
 * Every size of a work on offer, with what its ladder needs: its edition, what was sold of it, what
 * one costs (as its price was kept, else as is known and usual), the price that is kept.
 */
export async function ladderSizes(
  page: Pick<WorkPage, 'db' | 'settings' | 'work'>,
  offered: readonly { key: string; label: string }[],
): Promise<LadderSize[]> {
  const { db, settings, work } = page;
  const [prices, editions, proofs] = await Promise.all([
    pricesOf(db, work.id),
    editionsOf(db, work.id),
    proofsOf(db, work.id),
  ]);
  const found = await Promise.all(
    offered.map(async ({ key, label }): Promise<LadderSize | null> => {
      const extent = nominalExtent(key);
      if (!extent) return null;
      const edition = editionOf(editions, key);
      const editionSize = edition?.declaration.size || null;
      const own = prices.find((p) => p.sizeKey === key && p.currency === settings.currency);
      const size = { workId: work.id, sizeKey: key, editionSize };
      const { values, costKnown } = own
        ? { values: own.values, costKnown: true }
        : await startOf(page, proofs, size);
      return {
        key,
        label,
        width: extent.width,
        height: extent.height,
        edition: editionSize,
        sold: soldOf(edition),
        cost: costOfImpression(values).total,
        values,
        costKnown,
        framing: framingOf(
          await finishingCost(db, size, settings),
          values,
          settings.currency,
        ),
        kept: own?.price ?? null,
      };
    }),
  );
  return found.filter((s) => s !== null);
}
