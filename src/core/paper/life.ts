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
