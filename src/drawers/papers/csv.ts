import type { CsvCell } from '@/documents';
import { sameFormat, usualFormat } from '@/core/paper';
import { mm } from '@/core/units';
import { formatsOf } from '@/data';
import { studio } from '@/studio';
import { loadPapers } from './view';
import { paperListForm } from './paperListForm';
import { paperWritten } from './paperForm';

const NAMES = Object.keys(paperListForm.titles);
const TITLES = NAMES.map((n) => paperListForm.titles[n]!);

/**
 * Papers as they can be brought in again: columns and figures as on the form, then the stock; under
 * each what else it is sold as.
 */
export async function papersCsv(query: Record<string, string | undefined>, lines: number) {
  const { page, settings } = await loadPapers(
    { ...query, paper: undefined, new: undefined },
    lines,
  );
  const formats = await formatsOf((await studio()).db.read, page.rows);
  return {
    heads: ['paper', ...TITLES, 'currency', 'sheets left'],
    rows: page.rows.flatMap((paper): CsvCell[][] => {
      const usual = {
        ...paperWritten(paper, { ...settings, currency: paper.currency }),
        kind: 'sheet',
      };
      const line = (written: Record<string, string>, currency: string, left: CsvCell) => [
        paper.id,
        ...NAMES.map((n) => written[n] ?? ''),
        currency,
        left,
      ];
      return [
        line(usual, paper.currency, paper.sheets),
        ...formats
          .get(paper.id)!
          .filter((f) => !sameFormat(f, usualFormat(paper)))
          .map((f) => {
            const context = { ...settings, currency: f.currency };
            const written = paperListForm.write(
              {
                ...{ name: paper.name, maker: paper.maker, kind: f.kind, price: f.price },
                ...{
                  sheetWidth: mm(f.width),
                  sheetHeight: mm(f.height),
                  weight: paper.weight,
                },
                ...{ core: f.core === null ? null : mm(f.core), supplier: f.supplier },
              },
              context,
            );
            return line(written, f.currency, '');
          }),
      ];
    }),
  };
}

/** The heads of a list of papers, to be written under. */
export const papersTemplate = () => [TITLES];
