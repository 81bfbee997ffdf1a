import { chance } from '../../image/chance';
import { demandFault, fittedDemand } from '.';

it('too little is said to be too little', () => {
  expect(fittedDemand([], 6)).toMatchObject({
    demand: null,
    because: { model: 'tooLittle', periods: 0 },
  });
  expect(fittedDemand([9, 8, 7], 6).demand).toBeNull();
  expect(fittedDemand([1, 0, 0, 1, 0, 1, 0, 1], 6).demand).toBeNull();
});

it('sales one by one: their pace, as unsure as so few leave it', () => {
  const { demand, because } = fittedDemand([2, 1, 3, 2, 1, 3, 2, 2], 4);
  expect(because).toMatchObject({ model: 'oneByOne', sold: 16, periods: 8, mean: 2 });
  expect(demand).toEqual({
    kind: 'negativeBinomial',
    mean: (4 * 16.5) / 8,
    dispersion: 16.5,
  });
});

it('sales in clusters: as wide as they were', () => {
  const { demand, because } = fittedDemand([0, 9, 0, 0, 12, 0, 1, 0], 2);
  expect(because.model).toBe('clusters');
  expect(because.ratio).toBeGreaterThan(because.limit);
  const { mean, variance } = because;
  expect(demand).toMatchObject({ kind: 'negativeBinomial', mean: 2 * mean });
  // Two periods of the same spread: twice the variance.
  const { dispersion } = demand as { dispersion: number };
  expect(2 * mean + (2 * mean) ** 2 / dispersion).toBeCloseTo(2 * variance, 9);
});

it('of sales that come one by one about 1 in 20 is taken for clusters', () => {
  const next = chance(3);
  /** Poisson of mean 2, by waiting times. */
  const draw = () => {
    let [k, p] = [0, next()];
    while (p > Math.exp(-2)) [k, p] = [k + 1, p * next()];
    return k;
  };
  const runs = 2000;
  let clusters = 0;
  for (let i = 0; i < runs; i++)
    if (fittedDemand(Array.from({ length: 24 }, draw), 1).because.model === 'clusters')
      clusters++;
  expect(clusters / runs).toBeGreaterThan(0.03);
  expect(clusters / runs).toBeLessThan(0.075);
});

it.each([
  [{ kind: 'poisson', mean: -1 } as const, 'mean'],
  [{ kind: 'poisson', mean: NaN } as const, 'mean'],
  [{ kind: 'negativeBinomial', mean: 3, dispersion: 0 } as const, 'dispersion'],
  [{ kind: 'threePoint', low: 3, likely: 2, high: 9 } as const, 'order'],
  [{ kind: 'threePoint', low: 3, likely: 3.5, high: 9 } as const, 'order'],
  [{ kind: 'observed', counts: [] } as const, 'counts'],
  [{ kind: 'observed', counts: [2, -1] } as const, 'counts'],
  [{ kind: 'poisson', mean: 0 } as const, null],
])('%j cannot be: %s', (demand, fault) => {
  expect(demandFault(demand)).toBe(fault);
});
