import type { Declaration, Series } from './types';

/**
 * How a number is pencilled: `7/30`, `AP 2/3`; in an open edition just `7`.
 * @example impressionLabel({ kind: 'limited', size: 30, artistsProofs: 3 }, 'ap', 2) // 'AP 2/3'
 */
export function impressionLabel(
  declaration: Pick<Declaration, 'kind' | 'size' | 'artistsProofs'>,
  series: Series,
  number: number,
): string {
  if (series === 'ap') return `AP ${number}/${declaration.artistsProofs}`;
  return declaration.kind === 'limited' ? `${number}/${declaration.size}` : String(number);
}
