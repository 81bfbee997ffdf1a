'use client';
import { wrap } from 'comlink';
import type { Remote } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import { patchSource } from '@/core/prepare';
import type { Box, Shape } from '@/core/image';
import type { PrintPlan, Recipe } from '@/core/prepare';
import type { PatchApi, PatchPlace } from './patch.worker';

/** What is to be seen: the print by a recipe, beside something else of the same place. */
export interface PatchWish {
  master: number;
  shape: Shape;
  plan: Pick<PrintPlan, 'image' | 'source'>;
  patch: Box;
  after: Seen;
  before: Seen;
}

interface Seen {
  recipe: Pick<Recipe, 'steps'>;
  /** Address of the table of colours. */
  table: string;
}

export interface PatchState {
  ms: number | null;
  /** How many patches were made. */
  made: number;
  busy: boolean;
  problem: string | null;
}

/** Threads that make a patch, each a band of its rows. */
const MOST_THREADS = 4;

interface Thread {
  remote: Remote<PatchApi>;
  end: () => void;
}

function start(): Thread {
  const thread = new Worker(new URL('./patch.worker.ts', import.meta.url), {
    type: 'module',
  });
  return { remote: wrap<PatchApi>(thread), end: () => thread.terminate() };
}

/** The rows of a patch, divided for so many threads. */
function bandsOf({ left, right, top, bottom }: Box, threads: number): Box[] {
  const rows = Math.ceil((bottom - top) / threads);
  return Array.from({ length: threads }, (_, i) => ({
    left,
    right,
    top: Math.min(bottom, top + i * rows),
    bottom: Math.min(bottom, top + (i + 1) * rows),
  })).filter((band) => band.bottom > band.top);
}

function placeOf({ master, shape, plan, after }: PatchWish, patch: Box): PatchPlace {
  const part = patchSource(after.recipe, shape, plan, patch);
  const url = `/api/patches/${master}?left=${part.left}&top=${part.top}&right=${part.right}&bottom=${part.bottom}`;
  return { url, part, shape, plan, patch };
}

/**
 * Keeps two canvases at what is wished for, by worker threads of its own. Only the newest
 * wish is made: those that came while another was made are passed over.
 */
export function usePatch(wish: PatchWish | null) {
  const before = useRef<HTMLCanvasElement>(null);
  const after = useRef<HTMLCanvasElement>(null);
  const threads = useRef<Thread[]>([]);
  const wanted = useRef(wish);
  const working = useRef(false);
  const opened = useRef('');
  const drawn = useRef({ before: '', after: '' });
  const [state, setState] = useState<PatchState>({
    ms: null,
    made: 0,
    busy: false,
    problem: null,
  });

  useEffect(() => {
    const count = Math.max(1, Math.min(MOST_THREADS, navigator.hardwareConcurrency));
    const mine = Array.from({ length: count }, start);
    threads.current = mine;
    opened.current = '';
    drawn.current = { before: '', after: '' };
    return () => {
      mine.forEach((thread) => thread.end());
      threads.current = [];
      working.current = false;
    };
  }, []);

  useEffect(() => {
    wanted.current = wish;
    const mine = threads.current;
    if (!wish || mine.length === 0 || working.current) return;

    const draw = async (
      side: 'before' | 'after',
      now: PatchWish,
    ): Promise<number | null> => {
      const { recipe, table } = now[side];
      const key = JSON.stringify([opened.current, recipe.steps, table]);
      const canvas = (side === 'before' ? before : after).current;
      if (!canvas || drawn.current[side] === key) return null;
      const bands = bandsOf(now.patch, mine.length);
      const parts = await Promise.all(
        bands.map((_, i) => mine[i]!.remote.make(recipe, table)),
      );
      const { left, right, top, bottom } = now.patch;
      canvas.width = right - left;
      canvas.height = bottom - top;
      const paper = canvas.getContext('2d');
      parts.forEach(({ rgba }, i) => {
        const image = new ImageData(rgba, right - left, bands[i]!.bottom - bands[i]!.top);
        paper?.putImageData(image, 0, bands[i]!.top - top);
      });
      drawn.current[side] = key;
      return Math.max(...parts.map((p) => p.ms));
    };

    const go = async () => {
      working.current = true;
      setState((s) => ({ ...s, busy: true }));
      try {
        for (let done: PatchWish | null = null; done !== wanted.current;) {
          const now: PatchWish | null = wanted.current;
          if (!now || threads.current !== mine) break;
          const places = bandsOf(now.patch, mine.length).map((band) => placeOf(now, band));
          const key = JSON.stringify(places);
          if (opened.current !== key) {
            await Promise.all(places.map((place, i) => mine[i]!.remote.open(place)));
            opened.current = key;
          }
          const ms = await draw('after', now);
          if (ms !== null) setState((s) => ({ ...s, ms, made: s.made + 1, problem: null }));
          await draw('before', now);
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
