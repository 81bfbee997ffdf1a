'use client';
import { useEffect, useRef, useState } from 'react';
import { freed, isFault, locked, sheetJob } from '@/core/cut';
import type { CutFault, CutPlace, CutPlan, SheetPlanState } from '@/core/cut';
import { useAction } from '@/shell/actions';
import { cutFaultWords } from '@/studio/words/cutWords';
import { keepFound } from './actions';
import { usePlanning } from './usePlanning';
import type { SheetsView } from './view';
import { pieceName } from './words';

/** One piece of the plan, and the sheet that it lies on. */
export interface PickedPiece {
  piece: string;
  copy: number;
}

const same = (a: PickedPiece, b: PickedPiece) => a.piece === b.piece && a.copy === b.copy;

/**
 * A plan under the hands: planned in a thread of its own whenever something changed, and kept.
 * What is tried (a piece elsewhere) is kept only once straight cuts were found for it.
 */
export function useSheetsDesk(view: SheetsView) {
  const { id, stateId } = view;
  const [tried, setTried] = useState<{
    state: SheetPlanState;
    no: number;
    on: number;
  } | null>(null);
  const [picked, pick] = useState<PickedPiece | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [halted, setHalted] = useState('');
  const [saved, setSaved] = useState({ id: 0, no: 0, on: 0 });
  const count = useRef(0);
  const saving = useRef({ no: 0, on: 0 });
  const [waits, setWaits] = useState<SheetPlanState | null>(null);
  // What was kept is the state of now, before the page shows it.
  const base = Math.max(stateId, saved.id);
  const keeping = useAction(keepFound, undefined, (value) =>
    setSaved({ id: value, ...saving.current }),
  );
  // What was tried on a state that is not the one of now is over, unless that one is what was kept
  // upon it meanwhile: hands are faster than answers. So is what was kept, once the page shows
  // what became of it.
  const stands = tried?.on === base || (saved.id === base && tried?.on === saved.on);
  const over = tried?.no === saved.no && stateId >= saved.id;
  const trial = tried !== null && stands && !over ? tried : null;
  const state = trial?.state ?? view.state;
  const ready = state.plan === null && state.pieces.length > 0 && state.stock.length > 0;
  const key = trial ? `tried ${trial.no}` : String(stateId);

  const tryOut = (next: SheetPlanState) => {
    count.current += 1;
    setTried({ state: next, no: count.current, on: base });
  };
  const keep = (next: SheetPlanState) => {
    tryOut(next);
    // One after the other: each is kept upon the one before.
    if (keeping.sending) return setWaits(next);
    saving.current = { no: count.current, on: base };
    const { begun, locks, plan, stopped } = next;
    keeping.run({
      planId: String(id),
      basedOn: String(base),
      found: JSON.stringify({ begun, locks, plan, stopped }),
    });
  };
  const keepNow = useRef(keep);
  keepNow.current = keep;
  useEffect(() => {
    if (waits === null || keeping.sending) return;
    setWaits(null);
    keepNow.current(waits);
  }, [waits, keeping.sending]);
  useEffect(() => {
    // What was not kept is not there.
    if (keeping.problem !== null) setTried(null);
  }, [keeping.problem]);
  const attempt = (next: SheetPlanState) => {
    setProblem(null);
    tryOut({ ...next, plan: null, stopped: false });
  };

  const found = (plan: CutPlan | CutFault | 'failed' | null, stopped: boolean) => {
    if (plan === 'failed') {
      if (trial) setTried(null);
      else setHalted(key);
      return setProblem(
        'The planning could not be begun: its part of the page was not loaded, or failed. Plan it again, else reload the page.',
      );
    }
    if (plan !== null && !isFault(plan)) return keep({ ...state, plan, stopped });
    if (trial) {
      setTried(null);
      setProblem(
        plan === null
          ? 'Stopped before there was a plan: the piece is where it was.'
          : 'With straight cuts this cannot be parted so: the piece is where it was. Move it elsewhere, or let go of another.',
      );
      return;
    }
    setHalted(key);
    setProblem(
      plan === null
        ? 'Stopped before there was a plan.'
        : cutFaultWords({ ...plan, of: pieceName(state, plan.of) }),
    );
  };
  const planning = usePlanning(
    ready && halted !== key ? key : null,
    sheetJob(state),
    found,
  );

  const shown = planning.best ?? state.plan ?? view.state.plan;
  const sheetOf = (of: PickedPiece) =>
    state.plan?.sheets.findIndex((s) => s.places.some((p) => same(p, of))) ?? -1;
  const placeOf = (of: PickedPiece): CutPlace | null =>
    state.plan?.sheets[sheetOf(of)]?.places.find((p) => same(p, of)) ?? null;
  const isLocked = (of: PickedPiece) => state.locks.some((l) => same(l, of));

  /** Puts a piece on a sheet: in a place, turned, or anywhere on it. */
  const move = (
    of: PickedPiece,
    sheet: number,
    at: { x: number; y: number; turned: boolean } | { turned: boolean } | null,
  ) => {
    if (state.plan === null || planning.share !== null) return;
    attempt(locked(state, { piece: of.piece, copy: of.copy, sheet }, at));
  };
  return {
    state,
    shown,
    planning,
    problem: problem ?? keeping.problem,
    halted: ready && halted === key,
    again: () => {
      setProblem(null);
      setHalted('');
    },
    /** Plans anew with the paper that is there now. */
    anew: () => {
      setProblem(null);
      keep({ ...state, begun: [], locks: [], plan: null, stopped: false });
    },
    picked:
      picked && state.pieces.some((p) => p.id === picked.piece && picked.copy < p.count)
        ? picked
        : null,
    pick,
    sheetOf,
    placeOf,
    isLocked,
    move,
    /** Keeps a piece where it lies, or lets go of it: the plan stays as it is. */
    lock: (of: PickedPiece) => {
      const place = placeOf(of);
      if (!place || planning.share !== null) return;
      setProblem(null);
      const { x, y, turned } = place;
      keep(
        isLocked(of)
          ? freed(state, of.piece, of.copy)
          : locked(state, { ...of, sheet: sheetOf(of) }, { x, y, turned }),
      );
    },
    turn: (of: PickedPiece) => {
      const place = placeOf(of);
      if (place) move(of, sheetOf(of), { turned: !place.turned });
    },
  };
}

export type SheetsDesk = ReturnType<typeof useSheetsDesk>;
