/** A table of a CGATS.17 file: its keywords, the names of its fields, its sets as they were written. */
export interface CgatsTable {
  keywords: Readonly<Record<string, string>>;
  fields: string[];
  sets: string[][];
}

export interface CgatsFile {
  /** The first line: `CGATS.17`, or the name that an instrument gives its files. */
  kind: string;
  tables: CgatsTable[];
}

/** Why text is no CGATS file, and in which line, from 1. */
export type CgatsFault =
  | { code: 'empty' }
  | { code: 'tooLarge'; most: number }
  | { code: 'noTable' }
  | { code: 'noFormat'; line: number }
  | { code: 'unended'; section: string; line: number }
  | { code: 'setLength'; line: number; found: number; wanted: number }
  | { code: 'setCount'; found: number; said: number };

/** Text of a whole profiling chart of spectra has about a megabyte. */
export const MOST_CGATS = 8e6;

interface Token {
  text: string;
  line: number;
  quoted: boolean;
}

/** Words and quoted strings of a line; what stands behind # is a remark. */
function tokensOf(line: string, number: number): Token[] {
  const out: Token[] = [];
  let at = 0;
  while (at < line.length) {
    const c = line[at]!;
    if (c === '#') break;
    if (c === ' ' || c === '\t' || c === '\f') {
      at += 1;
    } else if (c === '"' || c === "'") {
      const end = line.indexOf(c, at + 1);
      const stop = end < 0 ? line.length : end;
      out.push({ text: line.slice(at + 1, stop), line: number, quoted: true });
      at = stop + 1;
    } else {
      let end = at;
      while (end < line.length && !' \t\f#"'.includes(line[end]!)) end += 1;
      out.push({ text: line.slice(at, end), line: number, quoted: false });
      at = end;
    }
  }
  return out;
}

/** Rows of a section up to its end; its fields or values may be broken over lines. */
interface Section {
  rows: Token[][];
  next: number;
}

function sectionOf(
  lines: readonly Token[][],
  from: number,
  name: string,
): Section | CgatsFault {
  const rows: Token[][] = [];
  for (let i = from + 1; i < lines.length; i += 1) {
    const line = lines[i]!;
    if (line[0]?.text === `END_${name}`) return { rows, next: i + 1 };
    if (line.length > 0) rows.push(line);
  }
  return { code: 'unended', section: name, line: from + 1 };
}

/** Values of a data section as sets: each line one, or, where lines are broken, one after the other. */
function setsOf(rows: readonly Token[][], fields: number): string[][] | CgatsFault {
  const text = (row: readonly Token[]) => row.map((t) => t.text);
  if (rows.every((row) => row.length === fields)) return rows.map(text);
  const all = rows.flat();
  const odd = rows.find((row) => row.length !== fields)!;
  const broken = rows.some((row) => row.length > fields) || all.length % fields !== 0;
  if (broken)
    return { code: 'setLength', line: odd[0]!.line, found: odd.length, wanted: fields };
  return Array.from({ length: all.length / fields }, (_, i) =>
    text(all.slice(i * fields, (i + 1) * fields)),
  );
}

const isFault = (v: object): v is CgatsFault => 'code' in v;

/**
 * Reads CGATS.17 text (ANSI CGATS.17, ISO 28178 annex): any line ends, remarks, several tables, fields in any
 * order; a later table without a format of its own has that of the one before.
 */
export function parseCgats(text: string): CgatsFile | CgatsFault {
  if (text.length > MOST_CGATS) return { code: 'tooLarge', most: MOST_CGATS };
  const plain = text.replace(/^\uFEFF/, '');
  if (plain.trim() === '') return { code: 'empty' };
  const lines = plain.split(/\r\n|\r|\n/).map((line, i) => tokensOf(line, i + 1));
  const tables: CgatsTable[] = [];
  let kind = '';
  let keywords: Record<string, string> = {};
  let fields: string[] = [];
  for (let i = 0; i < lines.length;) {
    const [first, ...rest] = lines[i]!;
    if (!first) {
      i += 1;
    } else if (first.text === 'BEGIN_DATA_FORMAT') {
      const section = sectionOf(lines, i, 'DATA_FORMAT');
      if (isFault(section)) return section;
      fields = section.rows.flat().map((t) => t.text.toUpperCase());
      i = section.next;
    } else if (first.text === 'BEGIN_DATA') {
      if (fields.length === 0) return { code: 'noFormat', line: first.line };
      const section = sectionOf(lines, i, 'DATA');
      if (isFault(section)) return section;
      const sets = setsOf(section.rows, fields.length);
      if (isFault(sets)) return sets;
      const said = Number(keywords.NUMBER_OF_SETS ?? sets.length);
      if (said !== sets.length) return { code: 'setCount', found: sets.length, said };
      tables.push({ keywords, fields, sets });
      keywords = {};
      i = section.next;
    } else {
      if (kind === '' && tables.length === 0 && rest.length === 0) kind = first.text;
      else if (first.text !== 'KEYWORD')
        keywords[first.text.toUpperCase()] = rest.map((t) => t.text).join(' ');
      i += 1;
    }
  }
  return tables.length > 0 ? { kind, tables } : { code: 'noTable' };
}

/** Whether reading a file ended in a fault. */
export const isCgatsFault = (v: CgatsFile | CgatsFault): v is CgatsFault => isFault(v);
