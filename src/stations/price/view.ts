import { startPrice, thirdOfOriginal } from '@/core/price';
import type { KnownCosts } from '@/core/price';
import { ownCaptureCost } from '@/core/capture/plan';
import { referenceProof } from '@/core/proof';
import { sum } from '@/core/units';
import type { Minor } from '@/core/units';
import { editionsOf, getPaper, pricesOf, printFilesOf, printsHere, proofsOf } from '@/data';
import type { BenchSettings, PaperRow, Proof, Reading } from '@/data';
import {
  inkCost,
  loadWorkPage,
  nominalExtent,
  ofPrintFile,
  offeredRungs,
  paperCost,
  printedExtent,
  todayOf,
} from '@/studio';
import type { InkCost, PaperCost } from '@/studio';
import { channelPace } from './channels/channelPace';
import { knownChannels } from './channels/knownChannels';
import { comparedRoutes } from './routes/comparedRoutes';
import { numbersLeft, soldOf } from './many/soldOf';
import { sheetOf } from './sheetNames';

/** What paper and ink of one print of a size cost, where that is known, in whatever currency. */
async function printCosts(
  db: Reading,
  { workId, sizeKey }: { workId: number; sizeKey: string },
  { paper, route }: { paper: PaperRow; route: string },
  today: string,
): Promise<{ paper: PaperCost | null; ink: InkCost | null }> {
  const file = (await printFilesOf(db, workId)).find((f) => f.sizeKey === sizeKey) ?? null;
  const thing = file && ofPrintFile(file);
  const extent = thing ? printedExtent(thing, thing.ppi) : nominalExtent(sizeKey);
  return {
    paper: await paperCost(db, { workId, sizeKey }, paper, extent),
    // Who prints elsewhere uses ink of their own.
    ink: (await printsHere(db, route))
      ? await inkCost(db, { file, sizeKey, paper }, today)
      : null,
  };
}

/** What the studio knows of the costs of a size, in the currency of the bench. */
async function knownCosts(
  db: Reading,
  proofs: readonly Proof[],
  size: { workId: number; sizeKey: string; editionSize: number | null },
  settings: BenchSettings,
): Promise<{
  known: KnownCosts;
  rests: Awaited<ReturnType<typeof printCosts>>;
  /** Name of the paper of its reference; '' where there is none. */
  paper: string;
}> {
  const { sizeKey, editionSize } = size;
  const { currency, hire } = settings;
  const own = proofs.filter((p) => p.sizeKey === sizeKey);
  const reference = referenceProof(own, { sizeKey }) ?? own.at(-1);
  const paper = reference && (await getPaper(db, reference.paperId));
  const costs = own.filter((p) => p.currency === currency).map((p) => p.cost);
  const [first, ...rest] = costs;
  const rests =
    paper && reference
      ? await printCosts(db, size, { paper, route: reference.route }, todayOf(settings))
      : { paper: null, ink: null };
  const inBench = (cost: { amount: Minor; currency: string } | null) =>
    cost?.currency === currency ? cost.amount : null;
  const known = {
    currency,
    printing: inBench(rests.ink),
    paper: inBench(rests.paper),
    // Said in another currency it is not known in this one.
    capture: hire.currency === currency ? ownCaptureCost(hire) : null,
    proofs: first === undefined ? null : sum(first, ...rest),
    editionSize,
  };
  return { known, rests, paper: paper?.name ?? '' };
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
  const { known, rests, paper } = await knownCosts(
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
