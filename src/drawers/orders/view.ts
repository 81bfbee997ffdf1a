import { impressionLabel } from '@/core/edition';
import { daysUntil } from '@/core/pack';
import { nominalSize } from '@/core/size';
import { formatAmount } from '@/core/units';
import {
  MOST_CHOICES,
  askedOf,
  freeImpressions,
  papersToPrintOn,
  orderCounts,
  ordersPage,
  readSettings,
  sizesOfWorks,
} from '@/data';
import type { BenchSettings, FreeImpression, OrdersShown, Reading } from '@/data';
import { now, rowId, studio } from '@/studio';

/** Impressions offered to a new order at once; more are found by typing. */
const CHOICES = 60;
const SHOWN: OrdersShown[] = ['all', 'open', 'shipped'];

/** Each free impression at each size it can be of, with its price and paper as far as known. */
async function choices(db: Reading, free: FreeImpression[], settings: BenchSettings) {
  const sizes = await sizesOfWorks(db, [...new Set(free.map((f) => f.workId))]);
  return free.flatMap((f) => {
    const own = sizes.filter((s) => s.workId === f.workId);
    const declared = { kind: f.kind, size: f.of, artistsProofs: f.aps };
    const keys =
      f.sizeKey === 'all'
        ? own.filter((s) => s.offered).map((s) => s.sizeKey)
        : [f.sizeKey];
    return keys.map((sizeKey) => {
      const known = own.find((s) => s.sizeKey === sizeKey);
      return {
        key: `${f.editionId}:${f.series}:${f.number}:${sizeKey}`,
        label: `${f.work}, ${impressionLabel(declared, f.series, f.number)}, ${nominalSize(sizeKey)?.label ?? ''}`,
        sizeKey,
        impression: `${f.series}:${f.number}`,
        price:
          known?.price != null
            ? formatAmount(known.price, settings.currency, 'en-GB').replace(/,/g, '')
            : '',
        paperId: known?.paperId ?? null,
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
  const workId = rowId(query.work ?? '') || undefined;
  const item = (query.item ?? '').trim().slice(0, 100);
  const [free, papers] = await Promise.all([
    freeImpressions(db, { workId, find: item }, CHOICES + 1),
    papersToPrintOn(db, MOST_CHOICES),
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
