import { impressionLabel } from '@/core/edition';
import { daysUntil } from '@/core/packing';
import { nominalSize } from '@/core/sizing';
import { formatAmount } from '@/core/units';
import {
  askedOf,
  freeImpressions,
  listPapers,
  offeredSizes,
  orderCounts,
  ordersPage,
  pricesOf,
  proofsOf,
  readSettings,
} from '@/data';
import type { BenchSettings, FreeImpression, OrdersShown, Reading } from '@/data';
import { now, studio } from '@/studio';

/** Impressions offered to a new order at once; more are found by typing. */
const CHOICES = 60;
const SHOWN: OrdersShown[] = ['all', 'open', 'shipped'];

/** What a work's impressions were printed on and cost, by size. */
async function knownOf(db: Reading, workId: number) {
  const [sizes, prices, proofs] = await Promise.all([
    offeredSizes(db, workId),
    pricesOf(db, workId),
    proofsOf(db, workId),
  ]);
  return { sizes, prices, proofs };
}

/** Each free impression at each size it can be of, with its price and paper as far as known. */
async function choices(db: Reading, free: FreeImpression[], settings: BenchSettings) {
  const ids = [...new Set(free.map((f) => f.workId))];
  const known = new Map(
    await Promise.all(ids.map(async (id) => [id, await knownOf(db, id)] as const)),
  );
  return free.flatMap((f) => {
    const { sizes, prices, proofs } = known.get(f.workId)!;
    const declared = { kind: f.kind, size: f.of, artistsProofs: f.aps };
    const keys = f.sizeKey === 'all' ? sizes.map((s) => s.sizeKey) : [f.sizeKey];
    return keys.map((sizeKey) => {
      const price = prices.find((p) => p.sizeKey === sizeKey);
      const proofed = proofs
        .filter((p) => p.sizeKey === sizeKey && p.verdict === 'approved')
        .at(-1);
      return {
        key: `${f.editionId}:${f.series}:${f.number}:${sizeKey}`,
        label: `${f.work}, ${impressionLabel(declared, f.series, f.number)}, ${nominalSize(sizeKey)?.label ?? ''}`,
        sizeKey,
        impression: `${f.series}:${f.number}`,
        price: price
          ? formatAmount(price.price, settings.currency, 'en-GB').replace(/,/g, '')
          : '',
        paperId: proofed?.paperId ?? null,
      };
    });
  });
}

/** What a new order can take. */
async function newOrder(
  db: Reading,
  query: Record<string, string | undefined>,
  settings: BenchSettings,
) {
  const workId = Number(query.work) || undefined;
  const item = (query.item ?? '').trim().slice(0, 100);
  const [free, papers] = await Promise.all([
    freeImpressions(db, { workId, find: item }, CHOICES + 1),
    listPapers(db),
  ]);
  const listed = await choices(db, free.slice(0, CHOICES), settings);
  const wanted = listed.find(
    (f) =>
      (!query.impression || f.impression === query.impression) &&
      (!query.size || f.sizeKey === query.size),
  );
  return {
    free: listed,
    more: free.length > CHOICES,
    item,
    start: wanted?.key ?? listed[0]?.key ?? '',
    papers: papers.map((p) => ({ id: p.id, name: p.name })),
  };
}

/** The orders drawer: a page of orders, and what a new one can take. */
export async function loadOrders(query: Record<string, string | undefined>) {
  const db = (await studio()).db.read;
  const today = now().slice(0, 10);
  const asked = askedOf(query);
  const shown = SHOWN.find((s) => s === query.show) ?? 'all';
  const settings = await readSettings(db);
  const [page, counts] = await Promise.all([
    ordersPage(db, asked, shown),
    orderCounts(db, today),
  ]);
  const rows = page.rows.map(
    ({ series, impression, editionKind, artistsProofs, of, ...o }) => ({
      ...o,
      impression: impressionLabel(
        { kind: editionKind, size: of, artistsProofs },
        series,
        impression,
      ),
      days: daysUntil(o.dueOn, today),
      sealed: Boolean(o.sealed),
    }),
  );
  return {
    page: { ...page, rows },
    asked,
    shown,
    counts,
    adding: query.new === '1' ? await newOrder(db, query, settings) : null,
    currency: settings.currency,
    handlingDays: settings.handlingDays,
  };
}

export type OrdersView = Awaited<ReturnType<typeof loadOrders>>;
