import { impressionKey } from './impressions';
import type { Impression, ImpressionState } from './impressions';
import { impressionLabel } from './label';
import type { Declaration, Series } from './types';

/** One sheet of an edition as it is laid out: given, or still free. */
export interface LaidSheet {
  series: Series;
  number: number;
  label: string;
  state: ImpressionState | 'free';
  /** 0 for a sheet never given. */
  printing: number;
  order: string | null;
}

/** Longer editions show only what was given and the next free numbers. */
export const LAID_OUT = 120;
/** Free numbers that are shown behind the last one given, where not all are. */
const NEXT_FREE = 6;

/**
 * The sheets of an edition in order: every number of one up to `LAID_OUT`, of a longer or an
 * open one the numbers up to the last given and the next few; then the artist's proofs.
 */
export function laidSheets(
  declaration: Declaration,
  impressions: readonly Impression[],
): LaidSheet[] {
  const given = new Map(impressions.map((i) => [impressionKey(i.series, i.number), i]));
  const sheet = (series: Series, number: number): LaidSheet => {
    const i = given.get(impressionKey(series, number));
    return {
      series,
      number,
      label: impressionLabel(declaration, series, number),
      state: i?.state ?? 'free',
      printing: i?.printing ?? 0,
      order: i?.order ?? null,
    };
  };
  const { kind, size, artistsProofs } = declaration;
  const highest = impressions.reduce(
    (most, i) => (i.series === 'number' ? Math.max(most, i.number) : most),
    0,
  );
  const count =
    kind === 'limited' && size <= LAID_OUT
      ? size
      : Math.min(highest + NEXT_FREE, kind === 'limited' ? size : Infinity);
  return [
    ...Array.from({ length: count }, (_, i) => sheet('number', i + 1)),
    ...Array.from({ length: artistsProofs }, (_, i) => sheet('ap', i + 1)),
  ];
}
