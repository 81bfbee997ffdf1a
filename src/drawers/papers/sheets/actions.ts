'use server';
import { USUAL_RULES, cutFault, locksOf, planFault, sheetJob, toldPlan } from '@/core/cut';
import type { SheetPlanState, SheetRules } from '@/core/cut';
import type { Answer } from '@/core/input';
import { addSheetPlan, getPaper, keepPlanState, lastPlanState, ownPrinterOf } from '@/data';
import type { Reading, SheetPlan, Writing } from '@/data';
import { act, refuse, stockToCut } from '@/studio';
import { cutFaultWords } from '@/studio/words/cutWords';
import { beginForm, foundForm, piecesForm, rulesForm, rulesOf } from './sheetForms';
import { wantedPieces, waitingPiecesOf } from './wantedPieces';
import { decidedPlan, foundTooLate, planShown } from './planShown';
import { pieceName } from './words';

/** Nothing stays in its place. */
const FREE = { begun: [], locks: [] };

/** Why a plan cannot be made of this, in a sentence; null where it can. */
function faultOf(state: SheetPlanState): string | null {
  if (state.pieces.length === 0 || state.stock.length === 0) return null;
  const fault = cutFault(sheetJob(state));
  return fault && cutFaultWords({ ...fault, of: pieceName(state, fault.of) });
}

/** Keeps a changed state that is still to be planned. */
async function toBePlanned(
  tx: Writing,
  plan: SheetPlan,
  changed: Partial<SheetPlanState>,
  at: string,
): Promise<number | Answer<never>> {
  const lots = changed.lots === undefined ? plan.state.lots : changed.lots;
  const state: SheetPlanState = {
    ...plan.state,
    ...changed,
    stock: await stockToCut(tx, plan.paperId, lots),
    plan: null,
    stopped: false,
  };
  const fault = faultOf(state);
  return fault ? refuse(fault) : keepPlanState(tx, plan.id, state, at);
}

/** The rules of the plan before, but the margins of the own printer, where one is described. */
async function rulesToBegin(db: Reading): Promise<SheetRules> {
  const [before, printer] = [await lastPlanState(db), await ownPrinterOf(db)];
  const rules = before?.rules ?? USUAL_RULES;
  if (!printer) return rules;
  const { marginLeft: left, marginRight: right } = printer;
  const { marginTop: top, marginBottom: bottom } = printer;
  return { ...rules, margin: { left, right, top, bottom } };
}

/** Begins a plan of sheets of a paper, with what open orders wait for on it. */
export async function beginSheets(typed: unknown): Promise<Answer<number>> {
  return act(beginForm, typed, {}, async ({ paperId }, { write, at }) =>
    write(async (tx) => {
      if (!(await getPaper(tx, paperId)))
        return refuse('This paper is not in the drawer any more.');
      const [rules, pieces, stock] = [
        await rulesToBegin(tx),
        await waitingPiecesOf(tx, paperId),
        await stockToCut(tx, paperId, null),
      ];
      const empty = { begun: [], locks: [], plan: null, stopped: false };
      const state = { pieces, lots: null, rules, stock, ...empty };
      return addSheetPlan(tx, { paperId, state, at });
    }),
  );
}

/** Changes what is wanted of a plan, or what it is cut from. */
export async function keepPieces(typed: unknown): Promise<Answer<number>> {
  return act(
    piecesForm,
    typed,
    {},
    async ({ pieces: wanted, lots, ...of }, { write, at }) =>
      write(async (tx) => {
        const plan = await decidedPlan(tx, of);
        if ('ok' in plan) return plan;
        const pieces = await wantedPieces(tx, plan.paperId, plan.state.pieces, wanted);
        if (typeof pieces === 'string') return refuse(pieces);
        const locks = plan.state.locks.filter((l) =>
          pieces.some((p) => p.id === l.piece && l.copy < p.count),
        );
        // Sheets of a lot that is not cut from any more let go of what is locked on them.
        const same = JSON.stringify(lots.only) === JSON.stringify(plan.state.lots);
        const held = same ? locksOf({ ...plan.state, locks }) : FREE;
        return toBePlanned(tx, plan, { pieces, lots: lots.only, ...held }, at);
      }),
  );
}

/** Changes how sheets are cut. */
export async function keepRules(typed: unknown): Promise<Answer<number>> {
  return act(rulesForm, typed, {}, async (v, { write, at }) => {
    for (const [one, other, title] of [
      ['trimmerWidth', 'trimmerHeight', 'Largest sheet'],
      ['keepWidth', 'keepHeight', 'Kept from'],
    ] as const)
      if ((v[one] === null) !== (v[other] === null)) {
        const message = `${title}: give both sides, or none.`;
        return refuse(message, { [v[one] === null ? one : other]: message });
      }
    return write(async (tx) => {
      const plan = await decidedPlan(tx, v);
      if ('ok' in plan) return plan;
      return toBePlanned(tx, plan, { rules: rulesOf(v), ...FREE }, at);
    });
  });
}

/**
 * Keeps what the planning found, held against its job; or what stays where it is, still to be
 * planned around. Where the paper changed meanwhile, it is to be planned anew.
 */
export async function keepFound(typed: unknown): Promise<Answer<number>> {
  return act(foundForm, typed, {}, async ({ found, ...of }, { write, at }) =>
    write(async (tx) => {
      // What was found for pieces that are others by now is let go of: the page plans anew.
      if (await foundTooLate(tx, of, found)) return of.basedOn;
      const shown = await planShown(tx, of);
      if ('ok' in shown) return shown;
      const stock = await stockToCut(tx, shown.paperId, shown.state.lots);
      const state: SheetPlanState = { ...shown.state, ...found, stock };
      const job = sheetJob(state);
      const fault = cutFault(job);
      if (found.plan === null && fault) return refuse(cutFaultWords(fault));
      const stands = found.plan !== null && !fault && !planFault(job, found.plan);
      const plan = stands ? toldPlan(state.rules, found.plan!) : null;
      const free = stands || found.plan === null ? {} : { begun: [], locks: [] };
      return keepPlanState(tx, shown.id, { ...state, ...free, plan }, at);
    }),
  );
}
