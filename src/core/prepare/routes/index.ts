import type { RouteKind, RouteKindId } from './kind';
import { onDemand } from './onDemand';
import { onlineLab } from './onlineLab';
import { ownPrinter } from './ownPrinter';
import { printStudio } from './printStudio';

export type { RouteKind, RouteKindId, RouteLack } from './kind';
export * from './manifest';
export * from './wants';

/** Every kind of route, the nearest first. */
export const ROUTE_KINDS: readonly RouteKind[] = [
  ownPrinter,
  printStudio,
  onlineLab,
  onDemand,
];
export const ROUTE_KIND_IDS = ROUTE_KINDS.map((k) => k.id);

export function routeKind(id: RouteKindId): RouteKind {
  const found = ROUTE_KINDS.find((k) => k.id === id);
  if (!found) throw new Error(`no kind of route is called ${id}`);
  return found;
}

/** Whether an errand can be asked about; of a route whose kind was never said, it was always tried. */
export const answersErrands = (kind: RouteKindId | null): boolean =>
  kind === null || routeKind(kind).answers;
