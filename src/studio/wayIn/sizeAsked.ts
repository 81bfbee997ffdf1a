import { sizeStands } from '@/data';
import type { Writing } from '@/data';
import type { Answer } from '@/core/input';
import { refuse } from './action';

/** Why a size that a page sends cannot be written down; null where the work was offered at it. */
export async function sizeFault(
  tx: Writing,
  workId: number,
  sizeKey: string,
): Promise<Answer<never> | null> {
  if (await sizeStands(tx, workId, sizeKey)) return null;
  const message =
    'Size: this work was never offered at this size. Offer it at Size, then come back.';
  return refuse(message, { sizeKey: message });
}
