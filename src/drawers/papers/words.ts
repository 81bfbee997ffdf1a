import type { StockLevel } from '@/core/paper';

interface Shelf {
  sheets: number;
  reorderPoint: number;
  level: StockLevel;
  discontinuedAt: string | null;
}

const LEVELS = { enough: 'enough', low: '▲ low', out: '▲ out' } as const;
/** Parts of sheets are said to a tenth. */
const sheets = (n: number) => {
  const figure = Number(n.toFixed(1));
  return `${figure} ${figure === 1 ? 'sheet' : 'sheets'}`;
};

/** The stock of a paper in a word or two. */
export const stockWords = (paper: Shelf): string =>
  paper.discontinuedAt === null ? LEVELS[paper.level] : '▲ discontinued';

/** What the stock of a paper means, and what to do. */
export function stockSentence(
  paper: Shelf,
  replacement: string | null,
  day: (at: string) => string,
): string {
  const { level, discontinuedAt } = paper;
  if (discontinuedAt !== null) {
    const left = paper.sheets > 0 ? `${sheets(paper.sheets)} left, then` : 'None left:';
    return `No longer made, noted ${day(discontinuedAt)}. ${left} ${
      replacement ? `${replacement} takes its place.` : 'choose what takes its place.'
    }`;
  }
  if (level === 'out') return 'None left. Order before the next print is promised.';
  return level === 'low'
    ? `At or under the reorder point of ${paper.reorderPoint}: order now.`
    : `Enough: ${sheets(paper.sheets - paper.reorderPoint)} above the reorder point.`;
}
