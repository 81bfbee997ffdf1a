/** What parts the cells of lists in use. */
const DELIMITERS = [',', ';', '\t', '|'] as const;

/**
 * What parts the cells of a list, told by its first line: what parts it into the most cells that
 * `known` knows; null where it knows none. A comma within a figure parts nothing then.
 * @example delimiterOf('name;price', (head) => head === 'price') // ';'
 */
export function delimiterOf(
  text: string,
  known: (head: string) => boolean,
): (typeof DELIMITERS)[number] | null {
  const [first = ''] = text.replace(/^\ufeff/, '').split(/\r?\n|\r/, 1);
  const counted = DELIMITERS.map((delimiter) => {
    const heads = first.split(delimiter).map((h) => h.trim().replace(/^"(.*)"$/, '$1'));
    return { delimiter, heads: heads.filter(known).length };
  });
  const best = counted.reduce((a, b) => (b.heads > a.heads ? b : a));
  return best.heads === 0 ? null : best.delimiter;
}
