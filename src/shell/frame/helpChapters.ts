/** The chapters of the help that belong to a view, by how its path begins; the first that fits. */
const CHAPTERS: readonly (readonly [RegExp, string])[] = [
  [/^\/works\/\d+\/(capture|size|prepare|proof|edition|price|finish|pack)/, ''],
  [/^\/works/, 'works'],
  [/^\/(papers|materials|sheets|purchases)/, 'papers'],
  [/^\/printers/, 'printers'],
  [/^\/(prices|consignments)/, 'price'],
  [/^\/proofs/, 'proof'],
  [/^\/editions/, 'edition'],
  [/^\/orders/, 'pack'],
  [/^\/(accounts|log)/, 'log'],
  [/^\/safekeeping/, 'safekeeping'],
  [/^\/settings/, 'settings'],
  [/^\/$/, 'table'],
];

/**
 * Where the help about a view is.
 * @example helpAt('/works/3/size') // '/help/size'
 */
export function helpAt(path: string): string {
  for (const [begins, chapter] of CHAPTERS) {
    const found = begins.exec(path);
    if (found) return `/help/${chapter || found[1]!}`;
  }
  return '/help/first-day';
}
