import { parse } from 'csv-parse/sync';
import { bareCell, delimiterOf } from '@/core/csv';
import type { FormDefinition, InputContext, Typed } from '@/core/input';

/** Lines of a list at most. */
const MOST = 500;
/** Problems said at once; the rest is counted. */
const SAID = 5;

/** One line of a list that was read, and where it stood. */
export interface ListLine<T> {
  /** Its number in the file, the heads being line 1. */
  line: number;
  value: T;
}

export type ReadList<T> =
  { ok: true; lines: ListLine<T>[] } | { ok: false; problems: string[] };

/** What a list is of, and how its lines are read. */
export interface ListForm<T> {
  form: FormDefinition<T>;
  /** What one line is of: “a paper”. */
  of: string;
  /** Fields without whose column there is no list. */
  needed: readonly string[];
  /** Columns, plainly written, that go along in a list of ours and say nothing here. */
  along: readonly string[];
  /** What a line begins with, where a column is missing or a cell is empty. */
  usual: (context: InputContext) => Typed;
}

const no = (...problems: string[]): ReadList<never> => ({ ok: false, problems });

/** Problems as they are said: the first ones, and how many there are beside them. */
export function problemsSaid(problems: readonly string[]): string[] {
  const more = problems.length - SAID;
  return [
    ...problems.slice(0, SAID),
    ...(more > 0 ? [`… and ${more} more. Nothing of the list was taken in.`] : []),
  ];
}

const plain = (head: string) => head.toLowerCase().replace(/[^a-z]/g, '');

/** The field that a column's head names, by its title or its name. */
const fieldsOf =
  (titles: Record<string, string>) =>
  (head: string): string | undefined => {
    const wanted = plain(head);
    return Object.entries(titles).find(
      ([name, title]) => plain(name) === wanted || plain(title) === wanted,
    )?.[0];
  };

function rowsOf(text: string, known: (head: string) => boolean): string[][] | string {
  try {
    return parse(text, {
      bom: true,
      delimiter: delimiterOf(text, known) ?? ',',
      skip_empty_lines: true,
      relax_column_count: true,
      trim: true,
      max_record_size: 20_000,
    });
  } catch (error) {
    return (error as Error).message.split('\n')[0]!.slice(0, 160);
  }
}

/** How many of a list's heads a form knows: which list it is. */
export function headsKnown(text: string, titles: Record<string, string>): number {
  const fieldOf = fieldsOf(titles);
  const known = (head: string) => fieldOf(head) !== undefined;
  const [first = ''] = text.split(/\r?\n|\r/, 1);
  const rows = rowsOf(first, known);
  return typeof rows === 'string' ? 0 : (rows[0] ?? []).filter(known).length;
}

/**
 * Reads a list: CSV (RFC 4180; comma, semicolon or tab), the first line naming the columns as on
 * the form. Every problem names its line and its field; nothing is guessed.
 */
export function readList<T>(
  text: string,
  { form, of, needed, along, usual }: ListForm<T>,
  context: InputContext,
): ReadList<T> {
  const fieldOf = fieldsOf(form.titles);
  const rows = rowsOf(text, (head) => fieldOf(head) !== undefined);
  if (typeof rows === 'string')
    return no(`This cannot be read as a list: ${rows}. Save it as CSV again.`);
  const [head, ...lines] = rows;
  if (!head || lines.length === 0)
    return no(
      `The list is empty. Its first line names the columns, each further one is ${of}.`,
    );
  if (lines.length > MOST)
    return no(`The list has ${lines.length} lines; ${MOST} are taken at once. Divide it.`);
  const fields = head.map(fieldOf);
  const foreign = head.filter((h, i) => !fields[i] && !along.includes(plain(h)));
  if (foreign.length > 0)
    return no(
      `The list has columns that are not known here: ${foreign.map((h) => `“${h.slice(0, 40)}”`).join(', ')}. Known are ${Object.values(form.titles).join(', ')}. Take the others out, or name them so; nothing of the list was taken in.`,
    );
  const missing = needed.filter((name) => !fields.includes(name));
  if (missing.length > 0)
    return no(
      `The list has no column ${missing.map((m) => `“${form.titles[m]}”`).join(', ')}. Its first line must name them.`,
    );
  const problems: string[] = [];
  const read: ListLine<T>[] = [];
  const money = head.findIndex((h) => plain(h) === 'currency');
  lines.forEach((cells, i) => {
    const line = i + 2;
    const typed = usual(context);
    fields.forEach((name, k) => {
      const cell = bareCell(cells[k] ?? '');
      if (name && (cell !== '' || needed.includes(name))) typed[name] = cell;
    });
    const currency = money < 0 ? '' : (cells[money] ?? '');
    const value = form.read(typed, context);
    if (currency !== '' && currency !== context.currency)
      problems.push(
        `Line ${line}: Currency: “${currency.slice(0, 20)}”; amounts are in ${context.currency} here.`,
      );
    else if (!value.ok) problems.push(`Line ${line}: ${Object.values(value.fields)[0]}`);
    else read.push({ line, value: value.value });
  });
  return problems.length === 0
    ? { ok: true, lines: read }
    : { ok: false, problems: problemsSaid(problems) };
}
