import { usualChanges } from '@/core/proof';
import type { UsualChanges } from '@/core/proof';
import { proofsOnPaper } from '@/data';
import type { Reading } from '@/data';

/** Rounds of a paper that are looked back at, of whatever work. */
const LOOKED_BACK = 60;
/** Notes of theirs that are shown. */
const NOTES = 4;

/** What other works on a paper needed. */
export interface UsualOnPaper {
  paperId: number;
  paper: string;
  /** What the last rounds were to change, newest first. */
  notes: string[];
  /** By which numbers their recipes were changed until one was approved. */
  changed: UsualChanges;
}

/** What other works needed on a paper; null where there was none. */
export async function usualOn(
  db: Reading,
  workId: number,
  paperId: number,
): Promise<UsualOnPaper | null> {
  const rounds = (await proofsOnPaper(db, paperId, LOOKED_BACK)).filter(
    (r) => r.workId !== workId,
  );
  const [newest] = rounds;
  if (!newest) return null;
  const notes = rounds.flatMap((r) => (r.toChange ? [r.toChange.replace(/\.$/, '')] : []));
  const changed = usualChanges([...rounds].reverse());
  return { paperId, paper: newest.paper, notes: notes.slice(0, NOTES), changed };
}
