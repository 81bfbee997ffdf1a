import { readField } from '@/core/input';
import type { Field, InputContext, Typed } from '@/core/input';
import { PRICED_BY, formatFault, sameFormat } from '@/core/paper';
import { problemsSaid, readList } from '@/studio';
import type { ListLine } from '@/studio';
import { permanenceFault, usualPaper } from './paperForm';
import type { PaperInput } from './paperForm';
import { PAPER_LIST as LIST, paperListForm } from './paperListForm';
import type { PaperLine as Line } from './paperListForm';

/** What a line says, where a cell is empty. */
const usualLine = (context: InputContext): Typed => ({
  ...usualPaper(context),
  kind: 'sheet',
  core: '',
});

/** Columns that a list must have; the others are taken as empty, or as is usual. */
const NEEDED = ['name', 'maker', 'weight', 'sheetWidth', 'sheetHeight', 'price'];
/** Columns that go along in a list of ours, and say nothing of a new paper. */
const ALONG = ['paper', 'sheetsleft', 'currency'];
/** What further lines of a paper say of their own: what else it comes as, and its price. */
const OWN = [
  'kind',
  'sheetWidth',
  'sheetHeight',
  'core',
  'price',
  'supplier',
] as const satisfies (keyof Line)[];

/** As what else than its usual sheet a paper of a list comes. */
export type ListedFormat = Pick<Line, (typeof OWN)[number]>;

export interface ListedPaper {
  /** Where it stood first. */
  line: number;
  paper: PaperInput;
  formats: ListedFormat[];
}

export type PaperList =
  { ok: true; papers: ListedPaper[] } | { ok: false; problems: string[] };

const sizeOf = ({ kind, sheetWidth: width, sheetHeight: height }: ListedFormat) => ({
  kind,
  width,
  height,
});

/** What is not right with a further line of a paper: it is one of its sizes again, or another paper. */
function furtherFault(
  { value }: ListLine<Line>,
  first: ListLine<Line>,
  before: readonly ListedFormat[],
  isUsual: (field: keyof Line, value: unknown) => boolean,
): string | null {
  if ([first.value, ...before].some((f) => sameFormat(sizeOf(f), sizeOf(value))))
    return `Name: “${value.name}” is in the list twice, of the same size.`;
  const other = (Object.keys(value) as (keyof Line)[]).find(
    (k) =>
      k !== 'name' &&
      !(OWN as readonly string[]).includes(k) &&
      value[k] !== first.value[k] &&
      !isUsual(k, value[k]),
  );
  return other === undefined
    ? null
    : `${LIST[other].title}: line ${first.line} says otherwise of “${value.name}”. Leave it empty where a line is only another size.`;
}

/** Why a line cannot be; null where it can. */
function lineFault({ value }: ListLine<Line>, isFirst: boolean): string | null {
  if (isFirst && value.kind === 'roll')
    return 'Comes as: the first line of a paper is its usual sheet, in which it is counted; rolls are further lines.';
  const bare = permanenceFault(value);
  if (isFirst && bare) return bare.words;
  const { core } = value;
  return formatFault({ ...sizeOf(value), core }, PRICED_BY[0])?.words ?? null;
}

/** Reads a list of papers: a line is one, of its usual sheet; further lines of its name are what else it comes as. */
export function readPaperList(text: string, context: InputContext): PaperList {
  const list = { form: paperListForm, of: 'a paper', needed: NEEDED, along: ALONG };
  const read = readList(text, { ...list, usual: usualLine }, context);
  if (!read.ok) return read;
  const blank = usualLine(context);
  const isUsual = (field: keyof Line, value: unknown) => {
    const as = readField(LIST[field] as Field<unknown>, blank[field] ?? '', context);
    return as.ok && as.value === value;
  };
  const found = new Map<string, { first: ListLine<Line>; formats: ListedFormat[] }>();
  const problems: string[] = [];
  for (const line of read.lines) {
    const key = line.value.name.toLowerCase();
    const of = found.get(key);
    const fault =
      lineFault(line, !of) ??
      (of ? furtherFault(line, of.first, of.formats, isUsual) : null);
    if (fault) problems.push(`Line ${line.line}: ${fault}`);
    if (of) of.formats.push(line.value);
    else found.set(key, { first: line, formats: [] });
  }
  if (problems.length > 0) return { ok: false, problems: problemsSaid(problems) };
  const papers = [...found.values()].map(({ first, formats }): ListedPaper => {
    const { kind: _, core: __, ...paper } = first.value;
    return { line: first.line, paper, formats };
  });
  return { ok: true, papers };
}
