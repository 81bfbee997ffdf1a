import { startPrice, thirdOfOriginal } from '@/core/price';
import type { KnownCosts } from '@/core/price';
import { ownCaptureCost } from '@/core/capture/plan';
import { referenceProof } from '@/core/proof';
import { sum } from '@/core/units';
import { editionsOf, getPaper, pricesOf, proofsOf } from '@/data';
import type { BenchSettings, Proof, Reading } from '@/data';
import { loadWorkPage, offeredRungs } from '@/studio';

/** What the studio knows of the costs of a size, in the currency of the bench. */
async function knownCosts(
  db: Reading,
  proofs: readonly Proof[],
  { sizeKey, editionSize }: { sizeKey: string; editionSize: number | null },
  { currency, hire }: BenchSettings,
): Promise<KnownCosts> {
  const own = proofs.filter((p) => p.sizeKey === sizeKey);
  const reference = referenceProof(own, { sizeKey }) ?? own.at(-1);
  const paper = reference && (await getPaper(db, reference.paperId));
  const costs = own.filter((p) => p.currency === currency).map((p) => p.cost);
  const [first, ...rest] = costs;
  return {
    currency,
    paper: paper?.currency === currency ? paper.price : null,
    // Said in another currency it is not known in this one.
    capture: hire.currency === currency ? ownCaptureCost(hire) : null,
    proofs: first === undefined ? null : sum(first, ...rest),
    editionSize,
  };
}

/** The price station: the last reckoning of a size, or what is known and usual. */
export async function loadPrice(id: string, query: Record<string, string | undefined>) {
  const page = await loadWorkPage(id);
  const { work, db, settings } = page;
  const { offered, picked } = await offeredRungs(page, query.size);
  const [prices, proofs, editions] = await Promise.all([
    pricesOf(db, work.id),
    proofsOf(db, work.id),
    editionsOf(db, work.id),
  ]);
  const edition =
    editions.find((e) => e.sizeKey === picked?.key) ??
    editions.find((e) => e.sizeKey === 'all');
  const set = prices.find((p) => p.sizeKey === picked?.key) ?? null;
  const { currency } = settings;
  const known = await knownCosts(
    db,
    proofs,
    { sizeKey: picked?.key ?? '', editionSize: edition?.declaration.size || null },
    settings,
  );
  return {
    work: { id: work.id, title: work.title },
    /** Rule of thumb, in the currency of the original's price. */
    third: work.price > 0 ? thirdOfOriginal(work.price) : null,
    workCurrency: work.currency,
    picked: picked && { key: picked.key, label: picked.label },
    currency,
    set: set && { price: set.price, currency: set.currency, at: set.at },
    start: set?.currency === currency ? set.values : startPrice(known),
    ladder: offered.map((o) => {
      const own = prices.find((p) => p.sizeKey === o.key);
      return {
        key: o.key,
        label: o.label,
        price: own ? { amount: own.price, currency: own.currency } : null,
      };
    }),
  };
}

export type PriceView = Awaited<ReturnType<typeof loadPrice>>;
