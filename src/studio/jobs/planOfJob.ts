import { getJob } from '@/data';
import type { Reading } from '@/data';

/** Kinds of work that may be of a plan of sheets. */
export const PLANNED: readonly string[] = ['gang', 'handOver'];

/** The plan of sheets that a job is of; null for none. */
export async function planOfJob(db: Reading, id: number): Promise<number | null> {
  const spec = (await getJob(db, id))?.spec as { planId?: number } | null | undefined;
  return spec?.planId ?? null;
}
