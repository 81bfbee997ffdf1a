import { factText } from '@/core/facts';
import type { SheetPlanState } from '@/core/cut';
import type { Answer } from '@/core/input';
import { getPlanState, getSheetPlan } from '@/data';
import type { Reading, SheetPlan } from '@/data';
import { refuse } from '@/studio';
import { PLAN_GONE, PLAN_MOVED } from './words';

interface Shown {
  planId: number;
  /** The state that the page shows. */
  basedOn: number;
}

/** What is wanted and how it is cut, as one text; how it lies is found from it. */
const decided = ({ pieces, lots, rules }: SheetPlanState): string =>
  factText({ pieces, lots, rules });

/** The plan that a page shows; a sentence where it is gone, or was changed since. */
export async function planShown(
  db: Reading,
  { planId, basedOn }: Shown,
): Promise<SheetPlan | Answer<never>> {
  const plan = await getSheetPlan(db, planId);
  if (!plan) return refuse(PLAN_GONE);
  return plan.stateId === basedOn ? plan : refuse(PLAN_MOVED);
}

/** The same for what is wanted, and how it is cut: that its pieces found or changed their places since is no change of that. */
export async function decidedPlan(
  db: Reading,
  { planId, basedOn }: Shown,
): Promise<SheetPlan | Answer<never>> {
  const plan = await getSheetPlan(db, planId);
  if (!plan) return refuse(PLAN_GONE);
  const shown = await getPlanState(db, planId, basedOn);
  return shown && decided(shown) === decided(plan.state) ? plan : refuse(PLAN_MOVED);
}

/** Whether something was only found, by the planning, for a state that is not the one of now. */
export async function foundTooLate(
  db: Reading,
  { planId, basedOn }: Shown,
  found: Pick<SheetPlanState, 'begun' | 'locks'>,
): Promise<boolean> {
  const plan = await getSheetPlan(db, planId);
  const shown = await getPlanState(db, planId, basedOn);
  if (!plan || !shown || plan.stateId === basedOn) return false;
  const held = ({ begun, locks }: typeof found) => factText({ begun, locks });
  return held(found) === held(shown);
}
