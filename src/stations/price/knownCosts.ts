import { measuredSpoilage } from '@/core/price';
import type { KnownCosts } from '@/core/price';
import { ownCaptureCost } from '@/core/capture/plan';
import { referenceProof } from '@/core/proof';
import { sum } from '@/core/units';
import type { Minor } from '@/core/units';
import { getPaper, printFilesOf, printsHere, spoiledSoFar } from '@/data';
import type { BenchSettings, PaperRow, Proof, Reading } from '@/data';
import {
  inkCost,
  nominalExtent,
  ofPrintFile,
  paperCost,
  printedExtent,
  studio,
  todayOf,
} from '@/studio';
import type { InkCost, PaperCost } from '@/studio';
import { finishingCost } from './finishingCost';
import type { FinishingCost } from './finishingCost';
import { packingCost, postageCost } from './packingCost';
import type { PackingCost, PostageCost } from './packingCost';

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
export async function knownCosts(
  db: Reading,
  proofs: readonly Proof[],
  size: { workId: number; sizeKey: string; editionSize: number | null },
  settings: BenchSettings,
): Promise<{
  known: KnownCosts;
  rests: Awaited<ReturnType<typeof printCosts>>;
  /** What packing, spoilage and proofs rest on; null where they are rules of thumb. */
  made: {
    packing: PackingCost | null;
    finishing: FinishingCost | null;
    postage: PostageCost | null;
    printed: { good: number; spoiled: number } | null;
    rounds: number;
  };
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
  const { home } = await studio();
  const [packing, postage, finishing, printed] = await Promise.all([
    paper ? packingCost(db, sizeKey, paper, settings) : null,
    paper ? postageCost(db, home, { sizeKey, paper }, settings) : null,
    finishingCost(db, size, settings),
    spoiledSoFar(db),
  ]);
  const everyFramed = finishing?.every ? finishing : null;
  const spoilage = measuredSpoilage(printed);
  const rate = hire.currency === currency && hire.hourlyRate > 0 ? hire.hourlyRate : null;
  const known = {
    currency,
    packing: packing?.amount ?? null,
    finishing: inBench(everyFramed),
    finishingHours: everyFramed?.hours ?? null,
    spoilage,
    hourlyRate: rate,
    printing: inBench(rests.ink),
    paper: inBench(rests.paper),
    // Said in another currency it is not known in this one.
    capture: hire.currency === currency ? ownCaptureCost(hire) : null,
    proofs: first === undefined ? null : sum(first, ...rest),
    editionSize,
  };
  const made = {
    packing,
    postage,
    finishing,
    printed: spoilage === null ? null : printed,
    rounds: costs.length,
  };
  return { known, rests, made, paper: paper?.name ?? '' };
}
