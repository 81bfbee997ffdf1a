import { USUAL_RULES, cutPlan, isFault, sheetJob } from '@/core/cut';
import type { SheetPlanState } from '@/core/cut';
import { minor, mm } from '@/core/units';
import { addSheetPlan, printFilesOf, receiveLot } from '@/data';
import { waitingPiecesOf, wantedPieces } from '@/drawers/papers/sheets/wantedPieces';
import { stockToCut } from '@/studio';
import type { Studio } from '@/studio/open/open';
import { unnumberedOrder } from './orderSteps';
import { daysAgo } from './tradeSteps';
import { SMALL, WEED } from './year';

/** What customers wait for unnumbered: work, size, price, how many, days ago. */
const WANTED: readonly (readonly [string, string, number, number, number])[] = [
  ['tideLines', SMALL, 5500, 1, 3],
  ['coiledLines', 'isoA-A4', 3200, 2, 2],
  ['moonOverMere', 'metricFrames-24x30', 3900, 1, 1],
];

/** A roll comes, and three orders, two numbers and a proof wait to be cut from it and from sheets. */
export async function sheetsToCut(
  open: Studio,
  of: (name: string) => number,
  paperId: number,
): Promise<void> {
  const db = open.db.read;
  for (const [i, [name, sizeKey, price, quantity, placed]] of WANTED.entries())
    await unnumberedOrder(open, {
      workId: of(name),
      sizeKey,
      paperId,
      price,
      quantity,
      placed,
      index: i + 1,
    });
  const at = daysAgo(2, 9);
  await open.db.write((tx) =>
    receiveLot(tx, {
      paperId,
      kind: 'roll',
      name: 'roll 7',
      width: mm(610),
      height: mm(12_000),
      core: mm(76),
      pieces: 1,
      price: minor(9800),
      currency: 'EUR',
      supplier: 'Ragwater Mill',
      leftOver: false,
      at,
    }),
  );
  const file = async (name: string, sizeKey: string) =>
    (await printFilesOf(db, of(name))).find((f) => f.sizeKey === sizeKey)!.id;
  const waiting = await waitingPiecesOf(db, paperId);
  const wanted = [
    ...waiting.map(({ id, count }) => ({ id, count, mayTurn: true })),
    { id: `edition:${await file('featherWeed', WEED)}`, count: 2, mayTurn: true },
    { id: `edition:${await file('pearBranch', SMALL)}`, count: 2, mayTurn: true },
    { id: `proof:${await file('coiledLines', 'isoA-A3')}`, count: 1, mayTurn: true },
  ];
  const pieces = await wantedPieces(db, paperId, [], wanted);
  if (typeof pieces === 'string') throw new Error(pieces);
  const state: SheetPlanState = {
    pieces,
    lots: null,
    rules: USUAL_RULES,
    begun: [],
    locks: [],
    stock: await stockToCut(db, paperId, null),
    plan: null,
    stopped: false,
  };
  const plan = cutPlan(sheetJob(state));
  if (isFault(plan)) throw new Error(`no plan of sheets: ${plan.what}`);
  await open.db.write((tx) =>
    addSheetPlan(tx, { paperId, state: { ...state, plan }, at: daysAgo(0, 8) }),
  );
}
