import type { InputContext } from '@/core/input';
import { problemsSaid, readList } from '@/studio';
import { paperForm, permanenceFault, usualPaper } from './paperForm';
import type { PaperInput } from './paperForm';

/** Columns that a list must have; the others are taken as empty, or as is usual. */
const NEEDED = ['name', 'maker', 'weight', 'sheetWidth', 'sheetHeight', 'price'];
/** Columns that go along in a list of ours, and say nothing of a new paper. */
const ALONG = ['paper', 'sheetsleft', 'currency'];

export type PaperList =
  { ok: true; papers: PaperInput[] } | { ok: false; problems: string[] };

/** Reads a list of papers; of each name there is one. */
export function readPaperList(text: string, context: InputContext): PaperList {
  const list = { form: paperForm, of: 'a paper', needed: NEEDED, along: ALONG };
  const read = readList(text, { ...list, usual: usualPaper }, context);
  if (!read.ok) return read;
  const names = new Set<string>();
  const twice = read.lines.filter(({ value: { name } }) => {
    const known = names.has(name.toLowerCase());
    names.add(name.toLowerCase());
    return known;
  });
  const bare = read.lines.flatMap(({ line, value }) => {
    const fault = permanenceFault(value);
    return fault ? [`Line ${line}: ${fault.words}`] : [];
  });
  if (twice.length + bare.length === 0)
    return { ok: true, papers: read.lines.map((l) => l.value) };
  const problems = [
    ...twice.map(
      ({ line, value }) => `Line ${line}: Name: “${value.name}” is in the list twice.`,
    ),
    ...bare,
  ];
  return { ok: false, problems: problemsSaid(problems) };
}
