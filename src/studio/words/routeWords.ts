import { routeKind } from '@/core/prepare';
import type { RouteKindId, RouteLack } from '@/core/prepare';

/** What a kind of route is called. */
export const ROUTE_WORDS: Record<RouteKindId, string> = {
  ownPrinter: 'own printer',
  printStudio: 'print studio',
  onlineLab: 'online lab',
  onDemand: 'print on demand',
};

/** What cannot be done with a print that comes from there. */
const LACK_WORDS: Record<RouteLack, string> = {
  number: 'no numbering',
  sign: 'no signature',
  proof: 'no proof',
  inspect: 'not seen before it is sent',
};

/** What is lost with a route: by its kind, and in the user's words. */
export const lostWords = (kind: RouteKindId, loses: string): string[] => [
  ...routeKind(kind).cannot.map((l) => LACK_WORDS[l]),
  ...(loses === '' ? [] : [loses]),
];
