/** What can be noted of a paper before it is bought, and a photograph of a swatch of it. */
export const NOTED_STATIONS = ['heard', 'asked', 'tried', 'swatch'] as const;
export type NotedStation = (typeof NOTED_STATIONS)[number];

/** The stations of a paper's life, in their order. */
export const PAPER_STATIONS = [
  'heard',
  'asked',
  'tried',
  'inStock',
  'discontinued',
  'gone',
] as const;
export type PaperStation = (typeof PAPER_STATIONS)[number];

/**
 * Where a paper stands: no longer made and used up it is gone; what ever came in is in stock, also
 * while the shelf is empty, as long as it is made; before that the farthest of what was noted.
 * @example paperStation({ discontinued: false, everHere: false, left: 0, noted: ['heard', 'tried', 'asked'] }) // 'tried'
 */
export function paperStation({
  discontinued,
  everHere,
  left,
  noted,
}: {
  discontinued: boolean;
  /** A delivery of it was noted, whenever. */
  everHere: boolean;
  left: number;
  noted: readonly NotedStation[];
}): PaperStation {
  if (discontinued) return left > 0 ? 'discontinued' : 'gone';
  if (everHere) return 'inStock';
  // Whoever has a swatch of it has tried it.
  if (noted.includes('tried') || noted.includes('swatch')) return 'tried';
  return noted.includes('asked') ? 'asked' : 'heard';
}

/**
 * Words with commas between, each once, however they are capitalised.
 * @example wordsOf('Watercolours, portraits, watercolours') // ['watercolours', 'portraits']
 */
export const wordsOf = (typed: string): string[] => [
  ...new Set(
    typed
      .split(/[,;]/)
      .map((w) => w.trim().toLowerCase())
      .filter((w) => w !== ''),
  ),
];

/** A paper as far as what takes its place goes. */
export interface Replaced {
  id: number;
  discontinued: boolean;
  replacementId: number | null;
}

/**
 * What takes the place of a paper that is no longer made, from one to the next until one is still made.
 * `via`: those in between, no longer made either; `end`: null where nothing is named in the end, or
 * they name each other.
 * @example takesPlaceOf(1, [{ id: 1, discontinued: true, replacementId: 2 }, { id: 2, discontinued: false, replacementId: null }]) // { via: [], end: 2 }
 */
export function takesPlaceOf(
  id: number,
  papers: readonly Replaced[],
): { via: number[]; end: number | null } {
  const via: number[] = [];
  const known = new Map(papers.map((p) => [p.id, p]));
  let next = known.get(id)?.replacementId ?? null;
  while (next !== null && next !== id && !via.includes(next)) {
    const paper = known.get(next);
    if (!paper) return { via, end: null };
    if (!paper.discontinued) return { via, end: next };
    via.push(next);
    next = paper.replacementId;
  }
  return { via, end: null };
}
