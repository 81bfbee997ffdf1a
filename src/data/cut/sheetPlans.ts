import { and, desc, eq, sql } from 'drizzle-orm';
import type { SheetPlanState } from '@/core/cut';
import type { Reading, Writing } from '../reading';
import { record } from '../log/log';
import { papers, sheetPlanStates, sheetPlans } from '../schema';

export interface SheetPlan {
  id: number;
  paperId: number;
  at: string;
  /** The state that counts, and since when. */
  stateId: number;
  state: SheetPlanState;
  changedAt: string;
}

/** Keeps how a plan was changed; the log book tells of what is printed, not of every try. */
export async function keepPlanState(
  tx: Writing,
  planId: number,
  state: SheetPlanState,
  at: string,
): Promise<number> {
  const row = await record(tx, sheetPlanStates, { planId, state, at }, null);
  return row.id;
}

/** Begins a plan of sheets of one paper. */
export async function addSheetPlan(
  tx: Writing,
  { paperId, state, at }: { paperId: number; state: SheetPlanState; at: string },
): Promise<number> {
  const paper = await tx.query.papers.findFirst({ where: eq(papers.id, paperId) });
  const { id } = await record(
    tx,
    sheetPlans,
    { paperId, at },
    { at, what: 'sheetPlan.begun', detail: { paper: paper?.name ?? '' } },
  );
  await keepPlanState(tx, id, state, at);
  return id;
}

const newest = sql`${sheetPlanStates.id} = (SELECT max(s.id) FROM sheet_plan_state s WHERE s.plan_id = ${sheetPlans.id})`;

const withState = (db: Reading) =>
  db
    .select({ plan: sheetPlans, state: sheetPlanStates })
    .from(sheetPlans)
    .innerJoin(sheetPlanStates, and(eq(sheetPlanStates.planId, sheetPlans.id), newest));

type Row = {
  plan: typeof sheetPlans.$inferSelect;
  state: typeof sheetPlanStates.$inferSelect;
};

const asPlan = ({ plan, state }: Row): SheetPlan => ({
  ...plan,
  stateId: state.id,
  state: state.state,
  changedAt: state.at,
});

export async function getSheetPlan(
  db: Reading,
  id: number,
): Promise<SheetPlan | undefined> {
  const [row] = await withState(db).where(eq(sheetPlans.id, id));
  return row && asPlan(row);
}

/** A plan as it was at one of its states; undefined where that is none of it. */
export async function getPlanState(
  db: Reading,
  planId: number,
  stateId: number,
): Promise<SheetPlanState | undefined> {
  const row = await db.query.sheetPlanStates.findFirst({
    where: and(eq(sheetPlanStates.id, stateId), eq(sheetPlanStates.planId, planId)),
  });
  return row?.state;
}

/** The newest plans of a paper; how they stand. */
export const sheetPlansOf = async (
  db: Reading,
  paperId: number,
  limit: number,
): Promise<SheetPlan[]> =>
  (
    await withState(db)
      .where(eq(sheetPlans.paperId, paperId))
      .orderBy(desc(sheetPlans.id))
      .limit(limit)
  ).map(asPlan);

/** The plan that was changed last: a new one begins with its rules. */
export async function lastPlanState(db: Reading): Promise<SheetPlanState | null> {
  const [row] = await db
    .select({ state: sheetPlanStates.state })
    .from(sheetPlanStates)
    .orderBy(desc(sheetPlanStates.id))
    .limit(1);
  return row?.state ?? null;
}
