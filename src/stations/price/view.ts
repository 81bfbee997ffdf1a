import { editionsOf, pricesOf, proofsOf } from '@/data';
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
  return {
    work,
    offered,
    picked,
    currency: settings.currency,
    set: prices.find((p) => p.sizeKey === picked?.key) ?? null,
    ladder: offered.map((o) => ({
      key: o.key,
      label: o.label,
      area: o.fit.image.width * o.fit.image.height,
      price: prices.find((p) => p.sizeKey === o.key)?.price ?? null,
    })),
    proofCost: proofs
      .filter((p) => p.sizeKey === picked?.key)
      .reduce((total, p) => total + p.cost, 0),
    editionSize: edition?.declaration.size ?? 0,
  };
}

export type PriceView = Awaited<ReturnType<typeof loadPrice>>;
