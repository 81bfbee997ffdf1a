import type { FileFormat } from './recipe';

/**
 * A title as a file name can carry it on any system: ascii letters, digits, hyphens.
 * @example slug('Evening, the Salt Pans') // 'evening-the-salt-pans'
 */
export function slug(title: string): string {
  const plain = title
    .normalize('NFKD')
    .replace(/[\u0300-\u036f]/g, '')
    .replace(/ß/g, 'ss')
    .replace(/[øØ]/g, 'o')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 48);
  return plain === '' ? 'untitled' : plain;
}

/** What a name can be made of. */
export interface NameValues {
  size: string;
  title: string;
  artist: string;
  ppi: number;
  version: number;
  /** Of the colours: `a98-rgb`, or the profile's name. */
  space: string;
  recipe: string;
  /** YYYY-MM-DD. */
  date: string;
}

export const NAME_PARTS = [
  'size',
  'title',
  'artist',
  'ppi',
  'version',
  'space',
  'recipe',
  'date',
] as const satisfies (keyof NameValues)[];

export type NameProblem =
  | { code: 'empty' | 'sizeFirst' | 'tooLong' }
  | { code: 'forbidden'; character: string }
  | { code: 'unknownPart'; part: string };

const MOST = 120;
/** What some system refuses in a name: control characters, and these. */
const FORBIDDEN = /[<>:"/\\|?*\s]|[\u0000-\u001f]|[^\u0020-\u007e]/;

/**
 * What is wrong with a pattern; null when it can be used.
 * @example namePatternProblem('{size}_{title}') // null
 */
export function namePatternProblem(pattern: string): NameProblem | null {
  if (pattern.trim() === '') return { code: 'empty' };
  const unknown = Array.from(pattern.matchAll(/\{([^{}]*)\}/g), (m) => m[1]!).find(
    (part) => !(NAME_PARTS as readonly string[]).includes(part),
  );
  if (unknown !== undefined) return { code: 'unknownPart', part: unknown };
  const bare = pattern.replace(/\{[a-z]+\}/g, '');
  const bad = FORBIDDEN.exec(bare) ?? /[{}]/.exec(bare);
  if (bad) return { code: 'forbidden', character: bad[0] };
  if (!pattern.startsWith('{size}')) return { code: 'sizeFirst' };
  return pattern.length > MOST || leastLength(pattern) > LONGEST - 5
    ? { code: 'tooLong' }
    : null;
}

const sizeInName = (label: string) => label.replace(/×/g, 'x').replace(/\s+/g, '');

/** What a name of ours ends with, by the file's form. */
export const EXTENSIONS: Record<FileFormat, string> = {
  tiff: 'tif',
  png: 'png',
  jpeg: 'jpg',
};

/** Longest name in bytes, with its ending: every file system takes it, with room for a folder. */
const LONGEST = 180;
/** How long the words of a name may be, the longest that fits first. */
const WORD_LENGTHS = [48, 24, 12, 6];
const SHORTEST_WORD = WORD_LENGTHS.at(-1)!;

/** Room that a part takes at least. */
const LEAST: Record<keyof NameValues, number> = {
  size: 24,
  title: SHORTEST_WORD,
  artist: SHORTEST_WORD,
  ppi: 5,
  version: 5,
  space: SHORTEST_WORD,
  recipe: SHORTEST_WORD,
  date: 10,
};

const leastLength = (pattern: string): number =>
  pattern.replace(/\{([a-z]+)\}/g, (_, part: string) =>
    'x'.repeat(LEAST[part as keyof NameValues] ?? 0),
  ).length;

/**
 * Name of a file: the size comes first, so that no one orders the wrong one. Long words of it
 * are shortened until the name is one that every file system takes.
 */
export function fileName(pattern: string, format: FileFormat, values: NameValues): string {
  const ending = `.${EXTENSIONS[format]}`;
  const most = LONGEST - ending.length;
  const withWords = (length: number) => {
    const word = (text: string) => slug(text).slice(0, length).replace(/-$/, '');
    const said: Record<keyof NameValues, string> = {
      size: sizeInName(values.size),
      title: word(values.title),
      artist: word(values.artist),
      ppi: String(values.ppi),
      version: String(values.version),
      space: word(values.space),
      recipe: word(values.recipe),
      date: values.date,
    };
    return pattern.replace(
      /\{([a-z]+)\}/g,
      (_, part: string) => said[part as keyof NameValues] ?? '',
    );
  };
  const names = WORD_LENGTHS.map(withWords);
  const name = names.find((n) => n.length <= most) ?? names.at(-1)!.slice(0, most);
  return `${name}${ending}`;
}

/**
 * The form of a file by the end of a name that we gave it.
 * @example formatOfName('30x40cm_pans.jpg') // 'jpeg'
 */
export const formatOfName = (name: string): FileFormat =>
  (Object.keys(EXTENSIONS) as FileFormat[]).find((f) =>
    name.endsWith(`.${EXTENSIONS[f]}`),
  ) ?? 'tiff';

/**
 * Names that occur more than once, whatever the case of their letters.
 * @example doubledNames(['a.tif', 'b.tif', 'a.tif']) // ['a.tif']
 */
export function doubledNames(names: readonly string[]): string[] {
  const seen = new Set<string>();
  const doubled = new Set<string>();
  for (const name of names) {
    const plain = name.toLowerCase();
    if (seen.has(plain)) doubled.add(name);
    seen.add(plain);
  }
  return [...doubled];
}
