import type { RouteWants } from './wants';

export type RouteKindId = 'ownPrinter' | 'printStudio' | 'onlineLab';

/** One kind of route: how who prints is reached, and what they usually ask for. */
export interface RouteKind {
  id: RouteKindId;
  /** What such a route usually asks of a file; a rule of thumb to begin with. */
  usual: RouteWants;
  /** Printed in the studio itself. */
  here: boolean;
  /** It answers an errand by itself: which files it takes, and when it prints and sends them. */
  answers: boolean;
}
