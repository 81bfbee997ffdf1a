import { routeKind } from '@/core/prepare';
import { getPaper, profilesInUse } from '@/data';
import type { ProfileInUse, Reading, Route } from '@/data';

/** What is printed in the room, where no route says so. */
export const OWN_PRINTER = 'own printer';

/** Whether a route prints in the room. */
export const isHere = ({ kind }: Pick<Route, 'kind'>) =>
  kind !== null && routeKind(kind).here;

/**
 * The profile that a paper is printed through by a route, with a media setting where one is of it: never
 * that of another printer. A profile that names no printer is of the one in the room.
 */
export function profileFor(
  inUse: readonly ProfileInUse[],
  { paperId, route, setting }: { paperId: number; route: string; setting?: string | null },
  routes: readonly Pick<Route, 'name' | 'kind'>[],
): ProfileInUse | null {
  const here = route === OWN_PRINTER || routes.some((r) => r.name === route && isHere(r));
  const of = inUse.filter(
    (u) => u.paperId === paperId && (u.printer === route || (here && u.printer === '')),
  );
  return of.find((u) => u.setting === setting) ?? of[0] ?? null;
}

/**
 * The media setting by which a route prints a paper: that of the profile in use there, and whether it
 * stands in for the paper; in the room else what is noted of the paper. Empty where nobody said.
 */
export async function mediaSetting(
  db: Reading,
  paperId: number,
  route: Pick<Route, 'name' | 'kind'>,
): Promise<string> {
  const use = profileFor(await profilesInUse(db, paperId), { paperId, route: route.name }, [
    route,
  ]);
  if (use?.setting) return use.standIn ? `${use.setting} (stands in for it)` : use.setting;
  return isHere(route) ? ((await getPaper(db, paperId))?.printerSetting ?? '') : '';
}
