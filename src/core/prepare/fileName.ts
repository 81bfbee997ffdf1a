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
    .replace(/^-+|-+$/g, '')
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
  return pattern.length > MOST ? { code: 'tooLong' } : null;
}

const sizeInName = (label: string) => label.replace(/\s*×\s*/g, 'x').replace(/\s+/g, '');

/** What a name of ours ends with, by the file's form. */
export const EXTENSIONS: Record<FileFormat, string> = {
  tiff: 'tif',
  png: 'png',
  jpeg: 'jpg',
};

/** Name of a file: the size comes first, so that no one orders the wrong one. */
export function fileName(pattern: string, format: FileFormat, values: NameValues): string {
  const said: Record<keyof NameValues, string> = {
    size: sizeInName(values.size),
    title: slug(values.title),
    artist: slug(values.artist),
    ppi: String(values.ppi),
    version: String(values.version),
    space: slug(values.space),
    recipe: slug(values.recipe),
    date: values.date,
  };
  const name = pattern.replace(
    /\{([a-z]+)\}/g,
    (_, part: string) => said[part as keyof NameValues] ?? '',
  );
  return `${name}.${EXTENSIONS[format]}`;
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
