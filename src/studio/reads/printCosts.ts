import { coverages, inkOfPrint, isGlossy, loadBetween, usualStats } from '@/core/ink';
import { boughtFor, costOf, sheetShareOf, takenBy } from '@/core/paper';
import type { Extent } from '@/core/paper';
import { daysAfter } from '@/core/days';
import { minor } from '@/core/units';
import type { Minor } from '@/core/units';
import {
  atHand,
  formatsOf,
  inkDemandsOf,
  lotsOf,
  ownPrinterOf,
  paperOfEntries,
  pictureKey,
  printsOfSize,
} from '@/data';
import type { PaperRow, PrintFile, Reading } from '@/data';
import { inksStanding } from './inksKept';
import { pictureProfile } from './inkPictures';
import { nominalExtent, ofPrintFile, printedExtent } from './printedThing';

/** A cost with what it rests on. */
export interface KnownCost {
  amount: Minor;
  currency: string;
}

/**
 * What it rests on: the last print itself, a lot that it would be taken of, the cheapest size that the
 * paper is sold as, or its part of the usual sheet.
 */
export type PaperCost = KnownCost & { from: 'print' | 'lot' | 'sold' | 'sheet' };

/** The paper that a print would take: of a lot that has enough, else as it is sold; null: a whole sheet. */
export async function paperWouldCost(
  db: Reading,
  paper: PaperRow,
  extent: Extent | null,
): Promise<PaperCost> {
  const whole = { amount: paper.price, currency: paper.currency, from: 'sheet' as const };
  if (!extent) return whole;
  const lots = await lotsOf(db, paper.id);
  const would = takenBy(extent, lots.map(atHand));
  const lot =
    typeof would === 'string' ? undefined : lots.find((l) => l.id === would.lotId);
  if (lot && typeof would !== 'string')
    return {
      amount: costOf(atHand(lot), would.amount),
      currency: lot.currency,
      from: 'lot',
    };
  const bought = boughtFor(extent, (await formatsOf(db, [paper])).get(paper.id)!);
  if (bought)
    return { amount: bought.cost, currency: bought.format.currency, from: 'sold' };
  const sheet = { width: paper.sheetWidth, height: paper.sheetHeight };
  return { ...whole, amount: minor(Math.round(paper.price * sheetShareOf(extent, sheet))) };
}

/** The paper of one print of a size: what the last one took of its lot, else what it would take. */
export async function paperCost(
  db: Reading,
  size: { workId: number; sizeKey: string },
  paper: PaperRow,
  extent: Extent | null,
): Promise<PaperCost> {
  const entries = await printsOfSize(db, { ...size, paperId: paper.id });
  const taken = await paperOfEntries(db, entries);
  const last = entries.map((id) => taken.get(id)).find((t) => t !== undefined);
  return last
    ? { amount: last.cost, currency: last.currency, from: 'print' }
    : paperWouldCost(db, paper, extent);
}

/** What the ink of one print costs, on which printer, and how well that is known. */
export interface InkCost extends KnownCost {
  printer: string;
  /** ml laid on paper, and its part of cleaning and idle days. */
  laid: number;
  beside: number;
  /** Whether the picture itself was looked at; else it counts as prints do on average. */
  estimated: boolean;
  /** Cartridges that the printer's use was learned from; of none, rules of thumb. */
  cartridges: number;
}

/** Days of which a print carries its part of cleaning and standing idle. */
const LATELY = 365;

/** What the ink of a print costs on the own printer; null where none is described, or none of its inks. */
export async function inkCost(
  db: Reading,
  print: { file: PrintFile | null; sizeKey: string; paper: PaperRow },
  today: string,
): Promise<InkCost | null> {
  const printer = await ownPrinterOf(db);
  if (!printer) return null;
  const { rows, inks, printed } = await inksStanding(db, printer, today);
  const thing = print.file && ofPrintFile(print.file);
  const extent = thing ? printedExtent(thing, thing.ppi) : nominalExtent(print.sizeKey);
  const currencies = new Set(rows.map((r) => r.currency));
  if (rows.length === 0 || !extent || currencies.size > 1) return null;
  const picture = thing && {
    sha256: thing.sha256,
    profile: await pictureProfile(db, thing, {
      paperId: print.paper.id,
      route: printer.route,
    }),
  };
  const known = picture && (await inkDemandsOf(db, [picture])).get(pictureKey(picture));
  const stats = known ?? usualStats(printed);
  const covered = coverages(rows, stats, isGlossy(print.paper.surface));
  const since = daysAfter(today, -LATELY);
  const found = inkOfPrint(
    (extent.width * extent.height) / 1e6,
    rows.map(({ ml, price }, i) => ({
      fit: inks[i]!.fit,
      coverage: covered[i]!,
      ml,
      price,
      lately: loadBetween(inks[i]!.facts, since, daysAfter(today, 1)),
    })),
  );
  const add = (all: readonly number[]) => all.reduce((sum, v) => sum + v, 0);
  return {
    amount: found.cost,
    currency: rows[0]!.currency,
    printer: printer.name,
    laid: add(found.laid),
    beside: add(found.beside),
    estimated: known !== undefined && known !== null,
    cartridges: Math.max(0, ...inks.map((i) => i.fit.cartridges)),
  };
}
