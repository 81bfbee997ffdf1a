import { getPaper, lastUses, lotsOf, receiveLot, takeFromLot } from '@/data';
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
    supplier: paper.maker,
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
