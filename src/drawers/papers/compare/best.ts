import type { CompareView } from './view';

type Beside = Pick<CompareView['papers'][number], 'id' | 'portrait' | 'cost'>;

/** The one of several with the least figure; null where fewer than two have one, or two are alike. */
function least(
  papers: readonly Beside[],
  figure: (p: Beside) => number | null,
): number | null {
  const known = papers.flatMap((p) => {
    const v = figure(p);
    return v === null ? [] : [{ id: p.id, v }];
  });
  known.sort((a, b) => a.v - b.v);
  const [first, second] = known;
  return first && second && first.v < second.v ? first.id : null;
}

/** Which paper has the deepest black, the largest gamut, the cheapest print (where all are of one currency). */
export function bestOf(papers: readonly Beside[]) {
  const one = new Set(papers.map((p) => p.cost.currency)).size === 1;
  return {
    black: least(papers, (p) => p.portrait?.black[0] ?? null),
    gamut: least(papers, (p) => (p.portrait ? -p.portrait.volume : null)),
    cost: one ? least(papers, (p) => p.cost.amount) : null,
  };
}
