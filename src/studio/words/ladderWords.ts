/** What the prices of a ladder follow, by its rule. */
export const LADDER_WORDS: Readonly<Record<string, string>> = {
  area: 'area',
  lengthPlusWidth: 'length + width',
  shareOfOriginal: 'the original',
  margin: 'margin',
  hand: 'hand',
};
