import { takesPlaceOf } from '@/core/paper';
import type { Lasting, PaperStation, Replaced, StockLevel } from '@/core/paper';
import { lastsSentence, sheetsSaid as sheets } from '@/studio/words/lastingWords';
import { STATION_WORDS } from './lifeWords';

interface Shelf {
  sheets: number;
  reorderPoint: number;
  level: StockLevel;
  discontinuedAt: string | null;
}

const LEVELS = { enough: 'enough', low: '▲ low', out: '▲ out' } as const;
/** The stock of a paper in a word or two; of one that was never bought, how far it got. */
export const stockWords = (
  paper: Shelf & { station: PaperStation; toCome: boolean },
): string => {
  if (paper.discontinuedAt !== null) return '▲ discontinued';
  return paper.toCome ? STATION_WORDS[paper.station] : LEVELS[paper.level];
};

/** What takes the place of a paper, also where that is no longer made either; null where none is named. */
export function replacementWords(
  id: number,
  papers: readonly (Replaced & { name: string })[],
): string | null {
  const { via, end } = takesPlaceOf(id, papers);
  const name = (of: number) => papers.find((p) => p.id === of)!.name;
  if (via.length === 0) return end === null ? null : `${name(end)} takes its place.`;
  const gone = `${via.map(name).join(', then ')} took its place and is no longer made either`;
  return end === null
    ? `${gone}: choose another.`
    : `${gone}: ${name(end)} takes its place now.`;
}

/** What the stock of a paper means, and what to do. */
export function stockSentence(
  paper: Shelf,
  replacement: string | null,
  day: (at: string) => string,
): string {
  const { level, discontinuedAt } = paper;
  if (discontinuedAt !== null) {
    const left = paper.sheets > 0 ? `${sheets(paper.sheets)} left, then` : 'None left:';
    return `No longer made, noted ${day(discontinuedAt)}. ${left} ${replacement ?? 'choose what takes its place.'}`;
  }
  if (level === 'out') return 'None left. Order before the next print is promised.';
  return level === 'low'
    ? `At or under the reorder point of ${paper.reorderPoint}: order now.`
    : `Enough: ${sheets(paper.sheets - paper.reorderPoint)} above the reorder point.`;
}

/** What the shelf says of a paper: by the day to order where that is known, else by the count. */
export function shelfWords(
  paper: Shelf & { deliveryDays: number | null },
  known: { lasting: Lasting | null; replacement: string | null; soon: string },
  day: (at: string) => string,
): { sentence: string; caution: boolean; more: string } {
  const { lasting, replacement, soon } = known;
  const counted = stockSentence(paper, replacement, day);
  const pace =
    paper.discontinuedAt === null ? lastsSentence(lasting, paper.deliveryDays, day) : '';
  const orderBy = lasting?.orderBy ?? null;
  if (pace === '' || orderBy === null || paper.sheets <= 0)
    return {
      sentence: counted,
      caution: paper.level !== 'enough' || paper.discontinuedAt !== null,
      more: pace,
    };
  return {
    sentence: pace,
    caution: orderBy <= soon,
    more: `Reorder point ${paper.reorderPoint}; by this pace ${lasting!.reorderPoint} would do (rule of thumb: what goes until a delivery is there, and a week’s).`,
  };
}
