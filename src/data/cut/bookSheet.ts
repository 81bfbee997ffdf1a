import { sheetShares, withoutSheet } from '@/core/cut';
import type { CutSheetPlan, PlannedPiece } from '@/core/cut';
import type { Minor } from '@/core/units';
import { minor, mm } from '@/core/units';
import type { Writing } from '../reading';
import { Refused } from '../refused';
import { record, tell } from '../log/log';
import { addPrintEntry, entryIdOf } from '../log/printEntries';
import { getLot, receiveLot, takeFromLot } from '../paper/lots';
import type { Lot } from '../paper/lots';
import { ownRoute } from '../paper/takePaper';
import { getPrintFile } from '../prepare/printFiles';
import { addProofRound } from '../proof/proofs';
import type { NewProofRound } from '../proof/proofs';
import { printedPieces, printedSheets } from '../schema';
import { keepPlanState } from './sheetPlans';
import type { SheetPlan } from './sheetPlans';

export type PrintedSheet = typeof printedSheets.$inferSelect;
export type PrintedPiece = typeof printedPieces.$inferSelect;

/** The lot that a plan's stock stands for. */
export const lotOfStock = (stock: string): number => Number(stock.replace(/^lot:/, ''));
export const stockOfLot = (lotId: number): string => `lot:${lotId}`;

/** What comes of a sheet: it was printed; or it was spoiled, and its pieces are to be printed again. */
export interface SheetToBook {
  plan: SheetPlan;
  /** Which of its sheets, from 0. */
  index: number;
  spoiled: boolean;
  reason: string;
  /** What a proof of a piece is as a round; null: there can be none now. */
  roundFor: (piece: PlannedPiece) => Promise<NewProofRound | null>;
  at: string;
}

const amountOf = (lot: Lot, layout: CutSheetPlan, share: number): number =>
  lot.kind === 'roll' ? layout.length * share : share;

/** Whole minor units for each share, which sum to those of all. */
function sharedOut(cost: Minor, shares: readonly number[]): Minor[] {
  let before = 0;
  let done = 0;
  return shares.map((share) => {
    before += share;
    const until = Math.round(cost * before);
    const part = minor(until - done);
    done = until;
    return part;
  });
}

/**
 * Notes a sheet of a plan as printed: its paper is taken from its lot, left-overs that are kept
 * come into the store room, each print is written down with its part of the cost; what is left
 * of the plan is kept. Throws Refused `gone`, `noLot`, `lotShort`.
 */
export async function bookSheet(tx: Writing, sheet: SheetToBook): Promise<number> {
  const { plan, index, spoiled, reason, at } = sheet;
  const layout = plan.state.plan?.sheets[index];
  if (!layout) throw new Refused('gone');
  const lot = await getLot(tx, lotOfStock(layout.stock));
  if (!lot || lot.paperId !== plan.paperId) throw new Refused('noLot');
  const pieces = plan.state.pieces.filter((p) =>
    layout.places.some((l) => l.piece === p.id),
  );
  const row = await record(
    tx,
    printedSheets,
    { planId: plan.id, lotId: lot.id, layout, pieces, spoiled, reason, at },
    null,
  );
  const shares = sheetShares(layout);
  const kept = spoiled ? 0 : shares.rests.reduce((a, b) => a + b, 0);
  const said = `sheet of plan ${plan.id}, ${layout.places.length} pieces`;
  const use = await takeFromLot(tx, {
    lotId: lot.id,
    amount: amountOf(lot, layout, 1 - kept),
    kind: spoiled ? 'spoiled' : 'print',
    reason: spoiled && reason !== '' ? `${said}: ${reason}` : said,
    printedSheetId: row.id,
    at,
  });
  if (spoiled) return row.id;
  if (kept > 0) await keepLeftOvers(tx, { lot, layout, shares: shares.rests, sheet: row });
  const costs = sharedOut(
    use.cost,
    shares.places.map((s) => s / (1 - kept)),
  );
  const route = await ownRoute(tx);
  for (const [i, place] of layout.places.entries()) {
    const piece = pieces.find((p) => p.id === place.piece)!;
    const cost = { amount: costs[i]!, currency: use.currency };
    const share = shares.places[i]!;
    await addPiece(tx, { sheet: row, lot, piece, share, cost, route, to: sheet });
  }
  const works = [...new Set(pieces.flatMap((p) => p.workId ?? []))];
  const detail = { plan: plan.id, lot: lot.name, pieces: layout.places.length };
  await tell(
    tx,
    works.map((workId) => ({ at, what: 'sheetPlan.printed', workId, detail })),
  );
  await keepPlanState(tx, plan.id, withoutSheet(plan.state, index), at);
  return row.id;
}

/** Left-overs come out of the lot, and into the store room as lots of their own. */
async function keepLeftOvers(
  tx: Writing,
  of: { lot: Lot; layout: CutSheetPlan; shares: readonly number[]; sheet: PrintedSheet },
): Promise<void> {
  const { lot, layout, shares, sheet } = of;
  const { at } = sheet;
  for (const [i, rest] of layout.rests.entries()) {
    if (!rest.kept) continue;
    const use = await takeFromLot(tx, {
      lotId: lot.id,
      amount: amountOf(lot, layout, shares[i]!),
      kind: 'leftOver',
      reason: `left over of plan ${sheet.planId}`,
      printedSheetId: sheet.id,
      at,
    });
    await receiveLot(tx, {
      paperId: lot.paperId,
      kind: 'sheet',
      name: lot.leftOver ? lot.name : `left over of ${lot.name}`.slice(0, 80),
      width: mm(rest.width),
      height: mm(rest.height),
      pieces: 1,
      price: use.cost,
      currency: lot.currency,
      supplier: lot.supplier,
      leftOver: true,
      printedSheetId: sheet.id,
      at,
    });
  }
}

/** One print of a sheet: with its entry of the log book, unless it gets that with its number. */
async function addPiece(
  tx: Writing,
  of: {
    sheet: PrintedSheet;
    lot: Lot;
    piece: PlannedPiece;
    share: number;
    cost: { amount: Minor; currency: string };
    route: string;
    to: SheetToBook;
  },
): Promise<void> {
  const { sheet, lot, piece, share, cost, route, to } = of;
  const { at } = sheet;
  const file = piece.fileId === null ? undefined : await getPrintFile(tx, piece.fileId);
  const round = piece.purpose === 'proof' ? await to.roundFor(piece) : null;
  let entryId: number | null = null;
  if (round)
    entryId = await entryIdOf(tx, 'proofRound', await addProofRound(tx, round, true));
  else if (piece.purpose !== 'edition')
    entryId = await addPrintEntry(tx, {
      kind: 'print',
      ref: sheet.id,
      what:
        piece.order === null ? `print, ${piece.size}` : `print for order ${piece.order}`,
      workIds: piece.workId === null ? [] : [piece.workId],
      masterId: file?.masterId ?? null,
      sizeKey: piece.sizeKey,
      recipe: file?.recipe ?? null,
      factor: file?.factor ?? null,
      paperId: lot.paperId,
      route,
      at,
    });
  const { purpose, workId, sizeKey, fileId, sheetId, lineId, title, size } = piece;
  await record(
    tx,
    printedPieces,
    {
      printedSheetId: sheet.id,
      purpose,
      workId,
      sizeKey,
      printFileId: fileId,
      sheetId,
      lineId,
      what: `${title}, ${size}`,
      entryId,
      share,
      cost: cost.amount,
      currency: cost.currency,
      at,
    },
    null,
  );
}
