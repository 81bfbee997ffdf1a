'use server';
import type { CutSheetPlan } from '@/core/cut';
import { nextRound } from '@/core/proof';
import type { Minor } from '@/core/units';
import type { Answer } from '@/core/input';
import {
  bookSheet,
  gangFileOf,
  getPaper,
  getRoute,
  getSheetPlan,
  keepPlanState,
  ownRoute,
  proofsOf,
  undoSheet,
} from '@/data';
import type { NewProofRound, Reading, SheetPlan } from '@/data';
import {
  OWN_PRINTER,
  act,
  dropFault,
  gangThings,
  layoutText,
  printedBy,
  refuse,
  sentFile,
  startJob,
} from '@/studio';
import type { GangOrder } from '@/studio';
import { planShown } from './planShown';
import { bookForm, handForm, undoForm, writeForm } from './sheetForms';
import { restored } from './restored';
import { SHEET_GONE, SHEET_WORDS } from './words';

const isRefusal = (plan: SheetPlan | Answer<never>): plan is Answer<never> => 'ok' in plan;

/** A sheet of a plan as it is written and handed over. */
async function gangOrder(
  db: Reading,
  plan: SheetPlan,
  sheet: CutSheetPlan,
): Promise<GangOrder> {
  const { pieces, rules } = plan.state;
  return {
    planId: plan.id,
    sheet,
    pieces: pieces.filter((p) => sheet.places.some((l) => l.piece === p.id)),
    rules: { margin: rules.margin, marks: rules.marks, labels: rules.labels },
    paper: (await getPaper(db, plan.paperId))?.name ?? '',
    roll: plan.state.stock.some((s) => s.id === sheet.stock && s.kind === 'roll'),
  };
}

/** Queues the print file of a whole sheet. */
export async function writeSheetOfPrints(typed: unknown): Promise<Answer<number>> {
  return act(writeForm, typed, SHEET_WORDS, async (v, { studio, at }) => {
    const db = studio.db.read;
    const plan = await planShown(db, v);
    if (isRefusal(plan)) return plan;
    const sheet = plan.state.plan?.sheets[v.index];
    if (!sheet) return refuse(SHEET_GONE);
    const spec = { ...(await gangOrder(db, plan, sheet)), at };
    const things = await gangThings(db, spec);
    if (typeof things === 'string') return refuse(things);
    return (await startJob(studio, { kind: 'gang', workId: null, spec, at })).id;
  });
}

/** Queues the hand-over of a sheet's file to who prints; of paper that is cut first, of its prints one by one. */
export async function handSheetOver(typed: unknown): Promise<Answer<number>> {
  return act(handForm, typed, SHEET_WORDS, async (v, { studio, at }) => {
    const db = studio.db.read;
    const plan = await planShown(db, v);
    if (isRefusal(plan)) return plan;
    const sheet = plan.state.plan?.sheets[v.index];
    if (!sheet) return refuse(SHEET_GONE);
    const to = await getRoute(db, v.routeId);
    if (!to) return refuse('Route: it is not there any more. Choose another.');
    const refused = await dropFault(studio.home, to);
    if (refused) return refuse(refused);
    const { paperId } = plan;
    const order = await gangOrder(db, plan, sheet);
    const { routeId } = v;
    if (plan.state.rules.school === 'cutThenPrint') {
      const things = new Map<number, number>();
      for (const { piece } of sheet.places) {
        const of = order.pieces.find((p) => p.id === piece)!;
        if (of.fileId === null)
          return refuse(
            `${of.title}, ${of.size}: no print file of it is written yet. Write it at Prepare first.`,
          );
        things.set(of.fileId, (things.get(of.fileId) ?? 0) + 1);
      }
      const items = [...things].map(([printFileId, quantity]) => ({
        printFileId,
        paperId,
        quantity,
        remarks: 'on paper that is cut to its size',
      }));
      const spec = { planId: plan.id, routeId, items };
      return (await startJob(studio, { kind: 'handOver', workId: null, spec, at })).id;
    }
    const file = await gangFileOf(db, plan.id, layoutText(order));
    if (!file) return refuse('This sheet has no file as it lies now. Write it first.');
    const failed = file.checks.filter((c) => !c.passed).length;
    if (failed > 0)
      return refuse(`${file.name} did not pass ${failed} of its checks. Write it again.`);
    const sheets = [{ sheetId: file.id, paperId, quantity: 1, remarks: 'at 100 %' }];
    const spec = { planId: plan.id, routeId, items: [], sheets };
    return (await startJob(studio, { kind: 'handOver', workId: null, spec, at })).id;
  });
}

/** The round that a proof on a sheet is; null where another on this paper is still out. */
async function roundOn(
  db: Reading,
  plan: SheetPlan,
  piece: SheetPlan['state']['pieces'][number],
  { at, currency }: { at: string; currency: string },
): Promise<NewProofRound | null> {
  const { workId, fileId, sizeKey } = piece;
  const sent = workId !== null && (await sentFile(db, workId, `print:${fileId}`));
  if (!sent || workId === null || sizeKey === null) return null;
  const { paperId } = plan;
  const { round, out } = nextRound(await proofsOf(db, workId), { paperId, sizeKey });
  if (out) return null;
  const setting = (await getPaper(db, paperId))?.printerSetting ?? '';
  const route = (await ownRoute(db)) || OWN_PRINTER;
  const by = { paperId, route, setting, intent: 'relative' as const };
  return {
    workId,
    sizeKey,
    paperId,
    round,
    route,
    cost: 0 as Minor,
    currency,
    remarks: `on a sheet of plan ${plan.id}`,
    sentAt: at,
    printFileId: sent.printFileId,
    masterId: sent.masterId,
    recipe: sent.recipe,
    ...(await printedBy(db, sent.recipe, by)),
    setting,
  };
}

/** Notes what became of a sheet: printed, with all that follows from it, or spoiled. */
export async function bookPrinted(typed: unknown): Promise<Answer<number>> {
  return act(bookForm, typed, SHEET_WORDS, async (v, { write, at, settings }) => {
    const spoiled = v.came === 'spoiled';
    if (spoiled && v.reason === '') {
      const message = 'Why: say what went wrong; the paper is gone all the same.';
      return refuse(message, { reason: message });
    }
    return write(async (tx) => {
      const plan = await planShown(tx, v);
      if (isRefusal(plan)) return plan;
      if (!plan.state.plan?.sheets[v.index]) return refuse(SHEET_GONE);
      const { currency } = settings;
      return bookSheet(tx, {
        plan,
        index: v.index,
        spoiled,
        reason: v.reason,
        roundFor: (piece) => roundOn(tx, plan, piece, { at, currency }),
        at,
      });
    });
  });
}

/** Takes back that a sheet was printed: its paper returns, its pieces are on the plan again. */
export async function undoPrinted(typed: unknown): Promise<Answer<null>> {
  return act(undoForm, typed, SHEET_WORDS, async ({ sheetId, reason }, { write, at }) =>
    write(async (tx) => {
      const sheet = await undoSheet(tx, { sheetId, reason, at });
      const plan = await getSheetPlan(tx, sheet.planId);
      if (plan && !sheet.spoiled)
        await keepPlanState(tx, plan.id, restored(plan.state, sheet), at);
      return null;
    }),
  );
}
