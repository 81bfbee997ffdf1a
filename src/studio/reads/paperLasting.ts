import { LASTING_RULES, stockLasts } from '@/core/paper';
import type { Lasting } from '@/core/paper';
import { daysAfter } from '@/core/days';
import { usesOfPapers } from '@/data';
import type { Paper, Reading } from '@/data';

/** How long each of some papers lasts; null where that cannot be told. */
export async function lastingOf(
  db: Reading,
  papers: readonly Pick<Paper, 'id' | 'sheets' | 'deliveryDays'>[],
  today: string,
): Promise<Map<number, Lasting | null>> {
  const since = daysAfter(today, -7 * LASTING_RULES.weeks);
  const uses = await usesOfPapers(
    db,
    papers.map((p) => p.id),
    since,
  );
  return new Map(
    papers.map(({ id, sheets, deliveryDays }) => [
      id,
      stockLasts(
        { left: sheets, coming: 0, uses: uses.get(id) ?? [], deliveryDays },
        today,
      ),
    ]),
  );
}
