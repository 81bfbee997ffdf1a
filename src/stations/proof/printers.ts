import { routeKind } from '@/core/prepare';
import type { Route } from '@/data';

/** What is printed in the room, where no route says so. */
export const OWN_PRINTER = 'own printer';

export const isHere = ({ kind }: Pick<Route, 'kind'>) =>
  kind !== null && routeKind(kind).here;
