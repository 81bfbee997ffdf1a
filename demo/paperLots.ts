import { minor, mm } from '@/core/units';
import {
  addPaperFormat,
  getPaper,
  lastUses,
  lotsOf,
  receiveLot,
  takeFromLot,
} from '@/data';
import type { Studio } from '@/studio/open/open';

type Writing = Parameters<Parameters<Studio['db']['write']>[0]>[0];

const dayMonth = new Intl.DateTimeFormat('en-GB', {
  day: 'numeric',
  month: 'long',
  timeZone: 'UTC',
});

/** Sheets of the usual size, at the usual price. */
export async function deliver(tx: Writing, paperId: number, pieces: number, at: string) {
  const paper = (await getPaper(tx, paperId))!;
  await receiveLot(tx, {
    paperId,
    kind: 'sheet',
    name: `of ${dayMonth.format(new Date(at))}`,
    width: paper.sheetWidth,
    height: paper.sheetHeight,
    pieces,
    price: paper.price,
    currency: paper.currency,
    supplier: paper.supplier || paper.maker,
    leftOver: false,
    at,
  });
}

/** One sheet of the oldest lot, where the print that was just noted took none by itself. */
export async function takeSheet(tx: Writing, paperId: number, at: string) {
  const [last] = await lastUses(tx, paperId, 1);
  if (last?.at === at && last.kind === 'print') return;
  const lot = (await lotsOf(tx, paperId)).find((l) => l.left >= 1);
  if (lot)
    await takeFromLot(tx, {
      lotId: lot.id,
      amount: 1,
      kind: 'other',
      reason: 'printed',
      at,
    });
}

const ROLL = { kind: 'roll', core: 76 } as const;
const SHEET = { kind: 'sheet', core: null } as const;
/** What else the papers of the drawer are sold as, in its order: mm, cents, how many days ago that was read. */
const SOLD_AS = [
  [0, ROLL, 610, 12_000, 9400, 210],
  [0, ROLL, 610, 12_000, 9800, 40],
  [0, SHEET, 329, 483, 275, 40],
  [1, ROLL, 610, 15_000, 14_700, 95],
  [1, SHEET, 329, 483, 290, 95],
  [2, SHEET, 297, 420, 118, 130],
] as const;

/** Notes what the papers are sold as beside their usual sheets. */
export async function noteFormats(
  tx: Writing,
  ids: readonly number[],
  day: (ago: number) => string,
) {
  for (const [i, as, width, height, price, ago] of SOLD_AS)
    await addPaperFormat(tx, {
      ...{ paperId: ids[i]!, kind: as.kind, width: mm(width), height: mm(height) },
      ...{
        core: as.core === null ? null : mm(as.core),
        price: minor(price),
        currency: 'EUR',
      },
      ...{
        supplier: 'Saltreach Paper Loft',
        sold: true,
        day: day(ago).slice(0, 10),
        at: day(ago),
      },
    });
}
