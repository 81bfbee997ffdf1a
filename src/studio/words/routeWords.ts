import type { RouteKindId, RouteLack } from '@/core/prepare';

/** What a kind of route is called. */
export const ROUTE_WORDS: Record<RouteKindId, string> = {
  ownPrinter: 'own printer',
  printStudio: 'print studio',
  onlineLab: 'online lab',
  onDemand: 'print on demand',
};

/** What cannot be done with a print that comes from there. */
export const LACK_WORDS: Record<RouteLack, string> = {
  number: 'no numbering',
  sign: 'no signature',
  proof: 'no proof',
  inspect: 'not seen before it is sent',
};
