import { inArray, max } from 'drizzle-orm';
import type { InkStats } from '@/core/ink';
import type { Reading, Writing } from '../reading';
import { inkDemands } from '../schema';

/** A picture as it is printed: its file, and the profile (empty: none is known). */
export interface InkedPicture {
  sha256: string;
  profile: string;
}

const SOME = 400;

export const pictureKey = ({ sha256, profile }: InkedPicture): string =>
  `${sha256} ${profile}`;

/** What pictures take, as far as that was estimated, by `pictureKey`. */
export async function inkDemandsOf(
  db: Reading,
  pictures: readonly InkedPicture[],
): Promise<Map<string, InkStats>> {
  const hashes = [...new Set(pictures.map((p) => p.sha256))];
  const found = new Map<string, InkStats>();
  for (let i = 0; i < hashes.length; i += SOME) {
    const rows = await db
      .select()
      .from(inkDemands)
      .where(inArray(inkDemands.sha256, hashes.slice(i, i + SOME)));
    for (const row of rows) found.set(pictureKey(row), row.stats);
  }
  return found;
}

/** Keeps what a picture takes; what was kept meanwhile stays. */
export async function addInkDemand(
  tx: Writing,
  demand: InkedPicture & { stats: InkStats; at: string },
): Promise<void> {
  const known = await inkDemandsOf(tx, [demand]);
  if (!known.has(pictureKey(demand))) await tx.insert(inkDemands).values(demand);
}

/** The number of the last estimate that was kept; 0 where there is none. */
export async function lastInkDemand(db: Reading): Promise<number> {
  const [row] = await db.select({ last: max(inkDemands.id) }).from(inkDemands);
  return row?.last ?? 0;
}
