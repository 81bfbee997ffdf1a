export * from './demand';
export * from './fittedDemand';
export * from './monthCounts';
export * from './perPeriod';
export type { NegativeBinomialDemand } from './kinds/negativeBinomial';
export type { ObservedDemand } from './kinds/observed';
export type { PoissonDemand } from './kinds/poisson';
export type { ThreePointDemand } from './kinds/threePoint';
