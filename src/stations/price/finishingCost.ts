import { finishCost, planFinish } from '@/core/finish';
import type { Minor } from '@/core/units';
import { currentMaster, finishesOf } from '@/data';
import type { BenchSettings, Reading } from '@/data';
import { offeredRung } from '@/studio';

/** What mat and frame of a size cost, as they were kept at Finish. */
export interface FinishingCost {
  amount: Minor;
  currency: string;
  hours: number;
  /** Whether every print is sold so. */
  every: boolean;
}

/** The same; null where none was kept, nobody said what it costs, or it leaves no opening any more. */
export async function finishingCost(
  db: Reading,
  { workId, sizeKey }: { workId: number; sizeKey: string },
  settings: BenchSettings,
): Promise<FinishingCost | null> {
  const kept = (await finishesOf(db, workId)).find((f) => f.sizeKey === sizeKey)?.values;
  if (!kept?.prices) return null;
  const master = await currentMaster(db, workId);
  const rung = master && (await offeredRung(db, workId, sizeKey, master, settings));
  const found = rung && planFinish(rung.fit, kept);
  if (!found) return null;
  const { currency, hours, every } = kept.prices;
  return { amount: finishCost(found.plan, kept.prices).total, currency, hours, every };
}
