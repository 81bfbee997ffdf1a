import { impressionLabel } from '@/core/edition';
import { daysUntil } from '@/core/packing';
import { nominalSize } from '@/core/sizing';
import { formatAmount } from '@/core/units';
import {
  listEditions,
  listOrders,
  listPapers,
  listWorks,
  allOfferedSizes,
  allPrices,
  allProofs,
  readSettings,
} from '@/data';
import { now, studio } from '@/studio';

/** The orders drawer: all orders, and what a new one can take. */
export async function loadOrders(query: Record<string, string | undefined>) {
  const db = (await studio()).db.read;
  const today = now().slice(0, 10);
  const [orders, editions, works, papers, sizes, prices, proofs, settings] =
    await Promise.all([
      listOrders(db),
      listEditions(db),
      listWorks(db),
      listPapers(db),
      allOfferedSizes(db),
      allPrices(db),
      allProofs(db),
      readSettings(db),
    ]);
  const titles = new Map(works.map((w) => [w.id, w.title]));
  const declared = new Map(editions.map((e) => [e.id, e.declaration]));
  const rows = orders.map((o) => {
    const d = declared.get(o.editionId);
    return {
      number: o.number,
      workId: o.workId,
      work: o.work,
      impression: d ? impressionLabel(d, o.series, o.impression) : String(o.impression),
      customer: o.customer.name,
      town: o.customer.town,
      price: o.price,
      placedAt: o.placedAt,
      dueOn: o.dueOn,
      days: daysUntil(o.dueOn, today),
      shippedAt: o.shippedAt,
      sealed: o.label !== null,
    };
  });
  const free = editions.flatMap((e) =>
    e.impressions
      .filter((i) => i.state === 'numbered')
      .flatMap((i) =>
        (e.sizeKey === 'all'
          ? sizes.filter((s) => s.workId === e.workId).map((s) => s.sizeKey)
          : [e.sizeKey]
        ).map((sizeKey) => {
          const price = prices
            .filter((p) => p.workId === e.workId && p.sizeKey === sizeKey)
            .at(-1);
          const proofed = proofs
            .filter(
              (p) =>
                p.workId === e.workId && p.sizeKey === sizeKey && p.verdict === 'approved',
            )
            .at(-1);
          return {
            key: `${e.id}:${i.series}:${i.number}:${sizeKey}`,
            workId: e.workId,
            label: `${titles.get(e.workId)}, ${impressionLabel(e.declaration, i.series, i.number)}, ${nominalSize(sizeKey)?.label ?? ''}`,
            sizeKey,
            impression: `${i.series}:${i.number}`,
            price: price
              ? formatAmount(price.price, settings.currency, 'en-GB').replace(/,/g, '')
              : '',
            paperId: proofed?.paperId ?? null,
          };
        }),
      ),
  );
  const wanted = free.filter(
    (f) =>
      (!query.work || String(f.workId) === query.work) &&
      (!query.impression || f.impression === query.impression) &&
      (!query.size || f.sizeKey === query.size),
  );
  return {
    rows,
    free,
    start: wanted[0]?.key ?? free[0]?.key ?? '',
    adding: query.new === '1',
    papers: papers.map((p) => ({ id: p.id, name: p.name })),
    today,
    currency: settings.currency,
    handlingDays: settings.handlingDays,
  };
}

export type OrdersView = Awaited<ReturnType<typeof loadOrders>>;
