import type { Recipe } from '../prepare';
import type { Opinion } from './opinion';

/** What a print was made of, as far as the question goes. */
export interface PrintCase {
  /** Linear enlargement of the master's pixels. */
  factor: number;
  /** What the master came from: `film`, `flatbed`, `camera`, `digital`, or what the original is. */
  source: string | null;
  /** Measured detail fraction of the master; null when it cannot be told. */
  detail: number | null;
  paperId: number | null;
  base: string | null;
  surface: string | null;
}

/** A print that is remembered, with what was thought of it. */
export interface RememberedPrint extends PrintCase {
  id: number;
  recipe: Recipe;
  opinion: Opinion | null;
}

export interface NearPrint<P extends RememberedPrint> {
  print: P;
  /** 0: the same case. One doubling, another kind of source, another paper count 1 each. */
  distance: number;
  because: { factor: number; source: number; detail: number; paper: number };
}

function paperDistance(a: PrintCase, b: PrintCase): number {
  if (a.paperId === null && a.surface === null) return 0;
  if (a.paperId !== null && a.paperId === b.paperId) return 0;
  if (b.surface === null) return 1;
  const surface = a.surface === b.surface ? 0 : 0.6;
  return 0.2 + surface + (a.base === b.base ? 0 : 0.2);
}

/**
 * The remembered prints nearest to a case, nearest first: by how far the enlargements are
 * apart (in doublings), the kind of source, the detail fraction, and the paper. What is not
 * asked (null) does not count. Of those as near, the judged ones and the newer ones come first.
 */
export function nearestPrints<P extends RememberedPrint>(
  asked: PrintCase,
  prints: readonly P[],
  most: number,
): NearPrint<P>[] {
  return prints
    .map((print) => {
      const because = {
        factor: Math.abs(Math.log2(print.factor / asked.factor)),
        source: asked.source === null || asked.source === print.source ? 0 : 1,
        detail:
          asked.detail === null || print.detail === null
            ? 0
            : 2 * Math.abs(asked.detail - print.detail),
        paper: paperDistance(asked, print),
      };
      const distance = because.factor + because.source + because.detail + because.paper;
      return { print, distance, because };
    })
    .sort(
      (a, b) =>
        a.distance - b.distance ||
        Number(b.print.opinion !== null) - Number(a.print.opinion !== null) ||
        b.print.id - a.print.id,
    )
    .slice(0, most);
}
