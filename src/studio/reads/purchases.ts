import { boughtAs, proposedOrder, runsOut } from '@/core/paper';
import { takesPlaceOf, usualFormat } from '@/core/paper';
import type { BoughtKind, PaperFormat, Replaced } from '@/core/paper';
import { daysAfter } from '@/core/days';
import type { Minor } from '@/core/units';
import {
  MOST_CHOICES,
  formatsOf,
  inksOfPrinters,
  listPrinters,
  papersLow,
  papersToPrintOn,
  purchasesOnTheWay,
  replacedPapers,
} from '@/data';
import type { Paper, Reading } from '@/data';
import { boughtHref } from '../words/boughtWords';
import { inksToBuy } from './inksToBuy';
import { materialsLasting } from './materialLasting';
import { lastingOf } from './paperLasting';

/** Something to be bought: what, from whom, how many, by which day, and what that comes to. */
export interface Purchase {
  kind: BoughtKind;
  /** Its row, and where it is looked at. */
  id: number;
  href: string;
  name: string;
  supplier: string;
  left: number;
  /** The last day on which it comes in time; null where that cannot be told. */
  orderBy: string | null;
  /** How many days one takes to come; null where nobody said. */
  deliveryDays: number | null;
  /** A rule of thumb. */
  quantity: number;
  each: Minor;
  currency: string;
  /** Of paper: the size that is meant. */
  as?: PaperFormat;
  /** As what else as much of it costs less: how many of these, and what they come to. */
  instead?: { format: PaperFormat; quantity: number; price: Minor } | null;
}

/** A paper that is bought, with those that it takes the place of: they are used up as one. */
interface Bought {
  paper: Paper;
  before: Paper[];
}

function boughtPapers(all: readonly Paper[], replaced: readonly Replaced[]): Bought[] {
  const inPlace = new Map(replaced.map(({ id }) => [id, takesPlaceOf(id, replaced).end]));
  return all
    .filter((p) => p.discontinuedAt === null)
    .map((paper) => ({
      paper,
      before: all.filter(
        (p) => p.discontinuedAt !== null && inPlace.get(p.id) === paper.id,
      ),
    }));
}

async function papers(db: Reading, today: string, until: string): Promise<Purchase[]> {
  const [low, usable] = await Promise.all([
    papersLow(db, MOST_CHOICES),
    papersToPrintOn(db, MOST_CHOICES),
  ]);
  const all = [...usable, ...low.filter((l) => !usable.some((u) => u.id === l.id))];
  const [lasting, formats, replaced] = await Promise.all([
    lastingOf(db, all, today),
    formatsOf(db, all),
    replacedPapers(db),
  ]);
  const sum = (of: readonly Paper[], figure: (p: Paper) => number) =>
    of.reduce((total, p) => total + figure(p), 0);
  return boughtPapers(all, replaced).flatMap(({ paper, before }): Purchase[] => {
    const both = [paper, ...before];
    const left = sum(both, (p) => p.sheets);
    const perWeek = sum(both, (p) => lasting.get(p.id)?.perWeek ?? 0);
    const coming = sum(both, (p) => lasting.get(p.id)?.coming ?? 0);
    const { deliveryDays, reorderPoint } = paper;
    const orderBy =
      perWeek > 0
        ? runsOut({ free: left - coming, perWeek, deliveryDays }, today).orderBy
        : null;
    const atReorder = low.some((l) => l.id === paper.id);
    if (!(orderBy === null || left <= 0 ? atReorder : orderBy <= until)) return [];
    const quantity = proposedOrder({
      left,
      perWeek: perWeek || null,
      coming,
      reorderPoint,
    });
    const as = boughtAs(quantity, usualFormat(paper), formats.get(paper.id)!);
    return [
      {
        kind: 'paper',
        id: paper.id,
        href: boughtHref('paper', paper.id, null),
        name: paper.name,
        supplier: paper.supplier || as.usual.supplier || paper.maker,
        left: paper.sheets,
        orderBy,
        deliveryDays,
        quantity,
        each: as.usual.price,
        currency: as.usual.currency,
        as: as.usual,
        instead: as.instead,
      },
    ];
  });
}

async function inks(db: Reading, today: string, until: string): Promise<Purchase[]> {
  const printers = await listPrinters(db);
  const rows = await inksOfPrinters(
    db,
    printers.map((p) => p.id),
  );
  return (await inksToBuy(db, today))
    .filter((i) => i.orderBy === null || i.orderBy <= until)
    .map((i): Purchase => {
      const row = rows.find((r) => r.id === i.inkId)!;
      const printer = printers.find((p) => p.id === i.printerId)!;
      return {
        kind: 'ink',
        id: i.inkId,
        href: boughtHref('ink', i.inkId, i.printerId),
        name: `${i.ink}, ${i.printer}`,
        supplier: printer.supplier,
        left: i.spares,
        orderBy: i.orderBy,
        deliveryDays: printer.deliveryDays,
        quantity: 1,
        each: row.price,
        currency: row.currency,
      };
    });
}

async function materials(db: Reading, today: string, until: string): Promise<Purchase[]> {
  return (await materialsLasting(db, today)).flatMap((m): Purchase[] => {
    const orderBy = m.lasting?.orderBy ?? null;
    const isLow =
      orderBy === null || m.pieces <= 0
        ? m.reorderPoint > 0 && m.pieces <= m.reorderPoint
        : orderBy <= until;
    if (!isLow) return [];
    return [
      {
        kind: 'material',
        id: m.id,
        href: boughtHref('material', m.id, null),
        name: m.name,
        supplier: m.supplier,
        left: m.pieces,
        orderBy,
        deliveryDays: m.deliveryDays,
        quantity: proposedOrder({
          left: m.pieces,
          perWeek: m.lasting?.perWeek ?? null,
          coming: 0,
          reorderPoint: m.reorderPoint,
        }),
        each: m.cost,
        currency: m.currency,
      },
    ];
  });
}

/** What a supplier is asked for, what is to be ordered first at the top. */
export interface SupplierList {
  /** Empty: nobody said who. */
  supplier: string;
  lines: Purchase[];
}

/** Everything that is to be ordered within some days and is not on its way, by supplier: whoever is to be asked first comes first. */
export async function purchases(
  db: Reading,
  today: string,
  withinDays: number,
): Promise<SupplierList[]> {
  const until = daysAfter(today, withinDays);
  const [coming, ...low] = await Promise.all([
    purchasesOnTheWay(db),
    papers(db, today, until),
    inks(db, today, until),
    materials(db, today, until),
  ]);
  const all = low
    .flat()
    .filter((p) => !coming.some((c) => c.kind === p.kind && c.ref === p.id));
  // Without a day it is low already.
  const day = (p: Purchase) => p.orderBy ?? today;
  all.sort((a, b) => day(a).localeCompare(day(b)) || a.name.localeCompare(b.name));
  const lists = new Map<string, SupplierList>();
  for (const line of all) {
    const key = line.supplier.toLowerCase();
    const list = lists.get(key);
    if (list) list.lines.push(line);
    else lists.set(key, { supplier: line.supplier, lines: [line] });
  }
  return [...lists.values()];
}
