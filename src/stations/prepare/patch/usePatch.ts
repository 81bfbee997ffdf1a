'use client';
import { wrap } from 'comlink';
import type { Remote } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { Recipe } from '@/core/prepare';
import type { PatchApi, PatchPlace } from './patch.worker';

/** What is to be seen: the print by a recipe, beside something else of the same place. */
export interface PatchWish {
  place: PatchPlace;
  after: { recipe: Pick<Recipe, 'steps'>; table: string };
  before: { recipe: Pick<Recipe, 'steps'>; table: string };
}

export interface PatchState {
  ms: number | null;
  busy: boolean;
  problem: string | null;
}

type Drawn = Record<'before' | 'after', string>;

/**
 * Keeps two canvases at what is wished for, by a worker of its own. Only the newest wish is
 * made: those that came while another was made are passed over.
 */
export function usePatch(wish: PatchWish | null) {
  const before = useRef<HTMLCanvasElement>(null);
  const after = useRef<HTMLCanvasElement>(null);
  const worker = useRef<{ remote: Remote<PatchApi>; end: () => void } | null>(null);
  const wanted = useRef(wish);
  const working = useRef(false);
  const opened = useRef('');
  const drawn = useRef<Drawn>({ before: '', after: '' });
  const [state, setState] = useState<PatchState>({ ms: null, busy: false, problem: null });

  useEffect(() => {
    const thread = new Worker(new URL('./patch.worker.ts', import.meta.url), {
      type: 'module',
    });
    worker.current = { remote: wrap<PatchApi>(thread), end: () => thread.terminate() };
    opened.current = '';
    drawn.current = { before: '', after: '' };
    return () => {
      thread.terminate();
      worker.current = null;
      working.current = false;
    };
  }, []);

  useEffect(() => {
    wanted.current = wish;
    const mine = worker.current;
    if (!wish || !mine || working.current) return;
    const { remote } = mine;

    const draw = async (
      side: 'before' | 'after',
      now: PatchWish,
    ): Promise<number | null> => {
      const { recipe, table } = now[side];
      const key = JSON.stringify([now.place, recipe.steps, table]);
      const canvas = (side === 'before' ? before : after).current;
      if (!canvas || drawn.current[side] === key) return null;
      const { rgba, ms } = await remote.make(recipe, table);
      const { left, right, top, bottom } = now.place.patch;
      canvas.width = right - left;
      canvas.height = bottom - top;
      canvas
        .getContext('2d')
        ?.putImageData(new ImageData(rgba, right - left, bottom - top), 0, 0);
      drawn.current[side] = key;
      return ms;
    };

    const go = async () => {
      working.current = true;
      setState((s) => ({ ...s, busy: true }));
      try {
        for (let done: PatchWish | null = null; done !== wanted.current;) {
          const now: PatchWish | null = wanted.current;
          if (!now || worker.current !== mine) break;
          const place = JSON.stringify(now.place);
          if (opened.current !== place) {
            await remote.open(now.place);
            opened.current = place;
          }
          const ms = await draw('after', now);
          await draw('before', now);
          if (ms !== null) setState((s) => ({ ...s, ms, problem: null }));
          done = now;
        }
      } catch (error) {
        const said = error instanceof Error ? error.message : 'unknown reason';
        setState((s) => ({
          ...s,
          problem: `The patch cannot be shown: ${said}. If the master was just brought, wait until it is read; else reload the page.`,
        }));
      } finally {
        working.current = false;
        setState((s) => ({ ...s, busy: false }));
      }
    };
    void go();
  }, [wish]);

  return { before, after, ...state };
}
