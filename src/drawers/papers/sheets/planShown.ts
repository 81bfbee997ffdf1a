import type { Answer } from '@/core/input';
import { getSheetPlan } from '@/data';
import type { Reading, SheetPlan } from '@/data';
import { refuse } from '@/studio';
import { PLAN_GONE, PLAN_MOVED } from './words';

/** The plan that a page shows; a sentence where it is gone, or was changed since. */
export async function planShown(
  db: Reading,
  { planId, basedOn }: { planId: number; basedOn: number },
): Promise<SheetPlan | Answer<never>> {
  const plan = await getSheetPlan(db, planId);
  if (!plan) return refuse(PLAN_GONE);
  return plan.stateId === basedOn ? plan : refuse(PLAN_MOVED);
}
