import { LASTING_RULES, sheetShareOf, stockLasts } from '@/core/paper';
import type { Lasting } from '@/core/paper';
import { daysAfter } from '@/core/days';
import { printsToCome, usesOfPapers } from '@/data';
import type { Paper, PrintsToCome, Reading } from '@/data';
import { nominalExtent } from './printedThing';

type Shelved = Pick<Paper, 'id' | 'sheets' | 'deliveryDays' | 'sheetWidth' | 'sheetHeight'>;

/** How many sheets of its usual size a paper is promised to. */
function promised(paper: Shelved, prints: readonly PrintsToCome[]): number {
  const sheet = { width: paper.sheetWidth, height: paper.sheetHeight };
  return prints
    .filter((p) => p.paperId === paper.id)
    .reduce((sum, { sizeKey, count }) => {
      const extent = nominalExtent(sizeKey);
      return extent ? sum + count * sheetShareOf(extent, sheet) : sum;
    }, 0);
}

/** How long each of some papers lasts, with what it is promised to taken off; null where that cannot be told. */
export async function lastingOf(
  db: Reading,
  papers: readonly Shelved[],
  today: string,
): Promise<Map<number, Lasting | null>> {
  const since = daysAfter(today, -7 * LASTING_RULES.weeks);
  const ids = papers.map((p) => p.id);
  const [uses, prints] = await Promise.all([
    usesOfPapers(db, ids, since),
    printsToCome(db, ids),
  ]);
  return new Map(
    papers.map((paper) => [
      paper.id,
      stockLasts(
        {
          left: paper.sheets,
          coming: promised(paper, prints),
          uses: uses.get(paper.id) ?? [],
          deliveryDays: paper.deliveryDays,
        },
        today,
      ),
    ]),
  );
}
