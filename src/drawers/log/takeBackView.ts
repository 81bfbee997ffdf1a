import { undoables } from '@/data';
import { now, studio } from '@/studio';

/** Steps in the list at most. */
const MOST = 40;

/** What can be taken back, newest first, and why a step cannot any more. */
export async function loadTakeBack() {
  const { db } = await studio();
  return { steps: await undoables(db, MOST, now()), most: MOST };
}

export type TakeBackView = Awaited<ReturnType<typeof loadTakeBack>>;
