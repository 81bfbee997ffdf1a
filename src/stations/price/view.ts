import { recordOf, startPrice, thirdOfOriginal } from '@/core/price';
import type { RouteRecord } from '@/core/price';
import {
  MOST_CHOICES,
  editionsOf,
  expensesOf,
  papersToPrintOn,
  priceLadderOf,
  pricesOf,
  proofsOf,
} from '@/data';
import type { BenchSettings, Reading } from '@/data';
import { loadWorkPage, offeredRungs, routeRecords, todayOf } from '@/studio';
import { knownCosts } from './knownCosts';
import { editionOf, ladderSizes } from './ladder/ladderItems';
import { channelPace } from './channels/channelPace';
import { knownChannels } from './channels/knownChannels';
import { comparedRoutes } from './routes/comparedRoutes';
import { numbersLeft, soldOf } from './many/soldOf';
import { sheetOf } from './sheetNames';

/** The record of each who prints, as far as it was paid in the currency of the bench. */
async function recordsBy(
  db: Reading,
  { timeZone, currency }: BenchSettings,
): Promise<Record<string, RouteRecord>> {
  const found = await routeRecords(db, timeZone);
  return Object.fromEntries(
    [...found].flatMap(([name, came]) => {
      const record = recordOf(came.filter((c) => c.currency === currency));
      return record ? [[name, record]] : [];
    }),
  );
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
  const edition = editionOf(editions, picked?.key ?? '');
  const set = prices.find((p) => p.sizeKey === picked?.key) ?? null;
  const { currency } = settings;
  const { known, rests, made, paper } = await knownCosts(
    db,
    proofs,
    {
      workId: work.id,
      sizeKey: picked?.key ?? '',
      editionSize: edition?.declaration.size || null,
    },
    settings,
  );
  const start = set?.currency === currency ? set.values : startPrice(known);
  const limited = known.editionSize !== null;
  const size = { sizeKey: picked?.key ?? '', paper, limited };
  const lastLadder = await priceLadderOf(db, work.id);
  const compared = await comparedRoutes(db, size, start, currency);
  return {
    sheet: sheetOf(query.sheet),
    compared,
    ...(await knownChannels(db, { currency, limited, routes: compared.routes })),
    /** Pieces that the studio sold a month through each channel, of late. */
    channelPace: await channelPace(db, todayOf(settings)),
    /** The paper that it is compared on. */
    paper,
    editionSize: known.editionSize,
    /** Numbers that can still be printed; null of an open edition. */
    numbersLeft: numbersLeft(edition),
    /** Ordered of this size in each whole month since it was offered. */
    sold: await soldOf(db, { workId: work.id, sizeKey: size.sizeKey }, todayOf(settings)),
    work: { id: work.id, title: work.title },
    /** Rule of thumb, in the currency of the original's price. */
    third: work.price > 0 ? thirdOfOriginal(work.price) : null,
    workCurrency: work.currency,
    picked: picked && { key: picked.key, label: picked.label },
    currency,
    set: set && { price: set.price, net: set.net, currency: set.currency, at: set.at },
    start,
    /** What paper and ink of a print are known to cost, and what that rests on. */
    rests,
    /** What its packing, spoilage and proofs rest on. */
    made,
    today: todayOf(settings),
    /** What came of what was handed over, beside what was promised: by who prints. */
    records: await recordsBy(db, settings),
    /** A local tax, shown apart. */
    tax: settings.tax,
    /** What went wrong with this size, the newest first; and whether one is being noted. */
    mishaps: (await expensesOf(db, { workId: work.id, limit: 50 })).filter(
      (e) => e.kind === 'mishap' && e.sizeKey === picked?.key,
    ),
    noting: query.mishap === '1',
    /** What is known, to be said beside what was typed. */
    known,
    master: page.master && { preview: page.master.preview },
    sizes: await ladderSizes(page, offered),
    original: { width: work.width, height: work.height },
    /** Papers that can be printed on, with what their usual sheet costs in the currency of the bench. */
    otherPapers: (await papersToPrintOn(db, MOST_CHOICES))
      .filter((p) => p.currency === currency)
      .map(({ name, price, sheetWidth, sheetHeight }) => ({
        ...{ name, price, sheetWidth, sheetHeight },
      })),
    /** By which rule the prices were made last, in the currency of the bench. */
    keptLadder: lastLadder?.currency === currency ? lastLadder.terms : null,
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
