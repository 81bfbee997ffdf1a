import { ASPECT_NAMES } from '@/core/log';
import { recipeLine } from '@/studio/words/recipeWords';
import { dayIn } from '@/core/days';
import { currencyDigits, formatDay } from '@/core/units';
import { readEntries, readSettings } from '@/data';
import { csvText, logBookPdf, printable } from '@/documents';
import { now, studio } from '@/studio';
import { filterOf, withWords } from './prints';
import type { PrintRow } from './prints';
import { ENTRY_KINDS, SOURCES, scaleWord } from './words';

const MOST_CSV = 100_000;
const MOST_PDF = 400;

const HEADS = [
  'day',
  'kind',
  'what',
  'work',
  'size',
  'enlarged',
  'source',
  'detail',
  'paper',
  'route',
  'setting',
  'cost',
  'currency',
  'recipe',
  ...ASPECT_NAMES,
  'remarks',
];

const cellsOf = (r: PrintRow, zone: string): (string | number | null)[] => [
  dayIn(r.at, zone),
  ENTRY_KINDS[r.kind],
  r.what,
  r.title,
  r.size,
  r.factor === null ? null : Number(r.factor.toFixed(3)),
  r.source ? (SOURCES[r.source] ?? r.source) : '',
  r.detail,
  r.paper,
  r.route,
  r.setting,
  r.cost === null ? null : r.cost / 10 ** currencyDigits(r.currency || 'EUR'),
  r.currency,
  r.recipe ? recipeLine(r.recipe) : '',
  ...ASPECT_NAMES.map((a) => r.thought?.opinion[a] ?? null),
  r.thought?.remarks.join(' · ') ?? '',
];

/** The log book as it is filtered, as CSV or to be printed. */
export async function logDocument(
  query: Record<string, string | undefined>,
): Promise<{ bytes: Uint8Array; type: string; name: string }> {
  const db = (await studio()).db.read;
  const filter = filterOf(query);
  const settings = await readSettings(db);
  if (query.form !== 'pdf') {
    const rows = await withWords(db, await readEntries(db, filter, MOST_CSV));
    const csv = csvText([HEADS, ...rows.map((r) => cellsOf(r, settings.timeZone))]);
    return {
      bytes: Buffer.from(csv),
      type: 'text/csv; charset=utf-8',
      name: 'log-book.csv',
    };
  }
  const rows = await withWords(db, await readEntries(db, filter, MOST_PDF));
  const day = (at: string) => formatDay(at, settings.locale, settings.timeZone);
  const bytes = await logBookPdf({
    studio: settings.studio,
    made: day(now()),
    rows: rows.map((r) => ({
      day: day(r.at),
      what: printable(`${r.title}${r.size ? `, ${r.size}` : ''}: ${r.what}`),
      made: printable(
        [
          r.factor === null ? '' : `${r.factor.toFixed(2)} x`,
          r.source ? (SOURCES[r.source] ?? r.source) : '',
          r.paper,
          r.route,
        ]
          .filter(Boolean)
          .join(', '),
      ),
      recipe: r.recipe ? printable(recipeLine(r.recipe)) : '',
      thought: printable(
        [
          ...ASPECT_NAMES.flatMap((a) => {
            const word = scaleWord(a, r.thought?.opinion[a] ?? null);
            return word ? [`${a} ${word}`] : [];
          }),
          ...(r.thought?.remarks ?? []),
        ].join('; '),
      ),
    })),
  });
  return { bytes, type: 'application/pdf', name: 'log-book.pdf' };
}
