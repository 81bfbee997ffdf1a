import type { RouteWants } from './wants';

export type RouteKindId = 'ownPrinter' | 'printStudio' | 'onlineLab' | 'onDemand';

/** What is not in the studio's hands there. */
export type RouteLack = 'number' | 'sign' | 'proof' | 'inspect';

/** One kind of route: how who prints is reached, and what they usually ask for. */
export interface RouteKind {
  id: RouteKindId;
  /** What such a route usually asks of a file; a rule of thumb to begin with. */
  usual: RouteWants;
  /** Printed in the studio itself. */
  here: boolean;
  /** It answers an errand by itself: which files it takes, and when it prints and sends them. */
  answers: boolean;
  /** What cannot be done there, whatever is asked. */
  cannot: readonly RouteLack[];
}
