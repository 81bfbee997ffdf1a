import { currencyDigits } from '@/core/units';
import { tablePdf } from '@/documents';
import type { CsvCell } from '@/documents';
import { formatOf } from '@/shell/figures/format';
import { formatName } from '@/studio/words/formatWords';
import { KIND_WORDS, leftWords, orderedName, quantityWords, supplierWords } from './words';
import { loadPurchases } from './view';

/** What is to be ordered, a line each; amounts in the currency of the line. */
export async function purchasesCsv(query: Record<string, string | undefined>) {
  const { lists, settings } = await loadPurchases(query);
  const format = formatOf(settings);
  return {
    heads: [
      'line',
      'supplier',
      'what',
      'name',
      'comes as',
      'left',
      'order by',
      'quantity',
      'price of one',
      'price',
      'currency',
    ],
    rows: lists
      .flatMap((l) => l.lines)
      .map((p, i): CsvCell[] => {
        const whole = 10 ** currencyDigits(p.currency);
        return [
          i + 1,
          p.supplier,
          KIND_WORDS[p.kind],
          p.name,
          p.as ? formatName(p.as, format) : '',
          Number(p.left.toFixed(2)),
          p.orderBy ?? '',
          p.quantity,
          p.each / whole,
          (p.each * p.quantity) / whole,
          p.currency,
        ];
      }),
  };
}

/** The same on paper, a part for each supplier. */
export async function purchasesDocument(query: Record<string, string | undefined>) {
  const { lists, settings, today } = await loadPurchases(query);
  const format = formatOf(settings);
  const bytes = await tablePdf({
    title: 'To be ordered',
    about: [`${settings.studio}, ${format.day(today)}`],
    parts: lists.map((list) => ({
      title: supplierWords(list.supplier),
      heads: ['What', 'How many', 'On the shelf', 'To be ordered', 'Comes to'],
      widths: [0.38, 0.17, 0.14, 0.17, 0.14],
      figuresFrom: 4,
      total: list.totals.map((t) => format.money(t.amount, t.currency)).join(' + '),
      lines: list.lines.map((p) => [
        orderedName(p, format),
        quantityWords(p),
        leftWords(p),
        p.orderBy === null ? 'low' : `by ${format.day(p.orderBy)}`,
        format.money(p.each * p.quantity, p.currency),
      ]),
    })),
    said: lists.length === 0 ? ['Nothing is to be ordered.'] : [],
    signed: [],
    note: 'Quantities are rules of thumb: what twelve weeks take. Prices are the last that were noted.',
  });
  return { bytes, type: 'application/pdf', name: `to-be-ordered_${today}.pdf` };
}
