import { parse } from 'csv-parse/sync';
import { bareCell, delimiterOf } from '@/core/csv';
import type { InputContext } from '@/core/input';
import { paperForm, usualPaper } from './paperForm';
import type { PaperInput } from './paperForm';

/** Lines of a list at most. */
const MOST = 500;
/** Problems said at once; the rest is counted. */
const SAID = 5;
/** Columns that a list must have; the others are taken as empty, or as is usual. */
const NEEDED = ['name', 'maker', 'weight', 'sheetWidth', 'sheetHeight', 'price'];

export type PaperList =
  { ok: true; papers: PaperInput[] } | { ok: false; problems: string[] };

/** Columns that go along in a list of ours, and say nothing of a new paper. */
const ALONG = ['paper', 'sheetsleft', 'currency'];

const no = (...problems: string[]): PaperList => ({ ok: false, problems });
const plain = (head: string) => head.toLowerCase().replace(/[^a-z]/g, '');

/** The field that a column's head names, by its title or its name. */
function fieldOf(head: string): string | undefined {
  const wanted = plain(head);
  return Object.entries(paperForm.titles).find(
    ([name, title]) => plain(name) === wanted || plain(title) === wanted,
  )?.[0];
}

function rowsOf(text: string): string[][] | string {
  try {
    return parse(text, {
      bom: true,
      delimiter: delimiterOf(text, (head) => fieldOf(head) !== undefined) ?? ',',
      skip_empty_lines: true,
      relax_column_count: true,
      trim: true,
      max_record_size: 20_000,
    });
  } catch (error) {
    return (error as Error).message.split('\n')[0]!.slice(0, 160);
  }
}

/**
 * Reads a list of papers: CSV (RFC 4180; comma, semicolon or tab), the first line naming the
 * columns as on the form. Every problem names its line and its field; nothing is guessed.
 */
export function readPaperList(text: string, context: InputContext): PaperList {
  const rows = rowsOf(text);
  if (typeof rows === 'string')
    return no(`This cannot be read as a list: ${rows}. Save it as CSV again.`);
  const [head, ...lines] = rows;
  if (!head || lines.length === 0)
    return no(
      'The list is empty. Its first line names the columns, each further one a paper.',
    );
  if (lines.length > MOST)
    return no(`The list has ${lines.length} lines; ${MOST} are taken at once. Divide it.`);
  const fields = head.map(fieldOf);
  const foreign = head.filter((h, i) => !fields[i] && !ALONG.includes(plain(h)));
  if (foreign.length > 0)
    return no(
      `The list has columns that are not known here: ${foreign.map((h) => `“${h.slice(0, 40)}”`).join(', ')}. Known are ${Object.values(paperForm.titles).join(', ')}. Take the others out, or name them so; nothing of the list was taken in.`,
    );
  const missing = NEEDED.filter((name) => !fields.includes(name));
  if (missing.length > 0)
    return no(
      `The list has no column ${missing.map((m) => `“${paperForm.titles[m]}”`).join(', ')}. Its first line must name them.`,
    );
  const problems: string[] = [];
  const papers: PaperInput[] = [];
  const names = new Set<string>();
  lines.forEach((cells, i) => {
    const typed = usualPaper(context);
    fields.forEach((name, k) => {
      const cell = bareCell(cells[k] ?? '');
      if (name && (cell !== '' || NEEDED.includes(name))) typed[name] = cell;
    });
    const read = paperForm.read(typed, context);
    const line = `Line ${i + 2}`;
    const money = cells[head.findIndex((h) => plain(h) === 'currency')];
    if (money !== undefined && money !== '' && money !== context.currency) {
      problems.push(
        `${line}: Currency: “${money.slice(0, 20)}”; amounts are in ${context.currency} here.`,
      );
      return;
    }
    if (!read.ok) problems.push(`${line}: ${Object.values(read.fields)[0]}`);
    else if (names.has(read.value.name.toLowerCase()))
      problems.push(`${line}: Name: “${read.value.name}” is in the list twice.`);
    else {
      names.add(read.value.name.toLowerCase());
      papers.push(read.value);
    }
  });
  if (problems.length === 0) return { ok: true, papers };
  const more = problems.length - SAID;
  return no(
    ...problems.slice(0, SAID),
    ...(more > 0 ? [`… and ${more} more. Nothing of the list was taken in.`] : []),
  );
}
