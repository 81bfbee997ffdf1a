import { editionsOf, pricesOf, proofsOf } from '@/data';
import { reckonTyped } from './reckon';
import { startPrice } from './startPrice';
import { loadWorkPage, offeredRungs } from '@/studio';

/** The price station: the last reckoning of a size, or sensible blanks from what is known. */
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
  const proofCost = proofs
    .filter((p) => p.sizeKey === picked?.key)
    .reduce((total, p) => total + p.cost, 0);
  const editionSize = edition?.declaration.size ?? 0;
  const { currency } = settings;
  const start = startPrice(set?.input, { proofCost, editionSize, currency });
  const fixed = { workId: String(work.id), sizeKey: picked?.key ?? '' };
  return {
    work,
    offered,
    picked,
    currency,
    set,
    start,
    first: reckonTyped({ ...start, ...fixed }, settings),
    ladder: offered.map((o) => ({
      key: o.key,
      label: o.label,
      area: o.fit.image.width * o.fit.image.height,
      price: prices.find((p) => p.sizeKey === o.key)?.price ?? null,
    })),
  };
}

export type PriceView = Awaited<ReturnType<typeof loadPrice>>;
