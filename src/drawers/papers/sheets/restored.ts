import type { SheetPlanState } from '@/core/cut';
import type { PrintedSheet } from '@/data';

/** A plan with the pieces of a sheet on it again, to be planned anew. */
export function restored(
  state: SheetPlanState,
  { layout, pieces }: Pick<PrintedSheet, 'layout' | 'pieces'>,
): SheetPlanState {
  const back = pieces.map((p) => ({
    ...p,
    count: layout.places.filter((l) => l.piece === p.id).length,
  }));
  const there = state.pieces.map((p) => ({
    ...p,
    count: p.count + (back.find((b) => b.id === p.id)?.count ?? 0),
  }));
  const more = back.filter((b) => !state.pieces.some((p) => p.id === b.id));
  return { ...state, pieces: [...there, ...more], plan: null, stopped: false };
}
