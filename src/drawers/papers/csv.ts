import type { CsvCell } from '@/documents';
import { loadPapers } from './view';
import { paperForm, paperWritten } from './paperForm';

/** Papers as they can be brought in again: columns and figures as on the form, then the stock. */
export async function papersCsv(query: Record<string, string | undefined>, lines: number) {
  const { page, settings } = await loadPapers(
    { ...query, paper: undefined, new: undefined },
    lines,
  );
  const names = Object.keys(paperForm.titles);
  return {
    heads: ['paper', ...names.map((n) => paperForm.titles[n]!), 'currency', 'sheets left'],
    rows: page.rows.map((paper): CsvCell[] => {
      const written = paperWritten(paper, { ...settings, currency: paper.currency });
      return [
        paper.id,
        ...names.map((n) => written[n] ?? ''),
        paper.currency,
        paper.sheets,
      ];
    }),
  };
}

/** The heads of a list of papers, to be written under. */
export const papersTemplate = () => {
  const names = Object.keys(paperForm.titles);
  return [names.map((n) => paperForm.titles[n]!)];
};
