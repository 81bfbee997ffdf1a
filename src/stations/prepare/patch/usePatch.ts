'use client';
import { wrap } from 'comlink';
import type { Remote } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import { pageThread } from '@/shell/running';
import { patchSource } from '@/core/prepare';
import type { Box, Shape } from '@/core/image';
import type { PrintPlan, RecipeSteps } from '@/core/prepare';
import { bandsOf, columnsOf, nextColumns } from './tiles';
import type { Columns, Drawn } from './tiles';
import type { PatchApi, PatchPlace } from './patch.worker';

/** What is to be seen: the print by a recipe, beside something else of the same place. */
export interface PatchWish {
  /** Address of the picture's samples. */
  samples: string;
  shape: Shape;
  plan: Pick<PrintPlan, 'image' | 'source'>;
  patch: Box;
  /** Where the line between the two stands, 0..1 of the width. */
  split: number;
  /** The step whose numbers are at hand; -1 for none. */
  at: number;
  after: Seen;
  before: Seen;
}

interface Seen {
  recipe: RecipeSteps;
  /** Address of the table of colours. */
  table: string;
}

export interface PatchState {
  /** What the slowest thread took for what is seen right of the line. */
  ms: number | null;
  /** How many times that was made. */
  made: number;
  busy: boolean;
  problem: string | null;
}

/** Threads that make a patch, each a band of its rows. */
const MOST_THREADS = 4;

interface Thread {
  remote: Remote<PatchApi>;
  alive: Promise<boolean>;
  end: () => void;
}

function start(): Thread {
  const { worker, alive, end } = pageThread(
    new Worker(new URL('./patch.worker.ts', import.meta.url), { type: 'module' }),
  );
  return { remote: wrap<PatchApi>(worker), alive, end };
}

function placeOf({ samples, shape, plan, after }: PatchWish, band: Box): PatchPlace {
  const part = patchSource(after.recipe, shape, plan, band);
  const url = `${samples}&left=${part.left}&top=${part.top}&right=${part.right}&bottom=${part.bottom}`;
  return { url, part, shape, plan, tiles: columnsOf(band) };
}

/** What a column is made by. */
const madeBy = ({ recipe, table }: Seen) => JSON.stringify([recipe, table]);

/**
 * Keeps two canvases at what is wished for, by worker threads of its own. What is seen is made
 * first, then what the line hides; after each the newest wish is taken up, and those that came
 * meanwhile are passed over.
 */
export function usePatch(wish: PatchWish | null) {
  const before = useRef<HTMLCanvasElement>(null);
  const after = useRef<HTMLCanvasElement>(null);
  const threads = useRef<Thread[]>([]);
  const wanted = useRef(wish);
  const working = useRef(false);
  const opened = useRef('');
  const drawn = useRef<Drawn>({ before: [], after: [] });
  const ready = useRef<string[]>([]);
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

    const open = async (now: PatchWish): Promise<Box[]> => {
      const bands = bandsOf(now.patch, mine.length);
      const places = bands.map((band) => placeOf(now, band));
      const key = JSON.stringify(places);
      if (opened.current !== key) {
        setState((s) => ({ ...s, busy: true }));
        if (!(await Promise.all(mine.map((t) => t.alive))).every(Boolean))
          throw new Error('its part of the page was not loaded');
        await Promise.all(places.map((place, i) => mine[i]!.remote.open(place)));
        opened.current = key;
        drawn.current = { before: [], after: [] };
        ready.current = [];
      }
      return bands;
    };

    const draw = async (
      now: PatchWish,
      bands: Box[],
      { side, columns }: Columns,
    ): Promise<number> => {
      const { recipe, table } = now[side];
      const parts = await Promise.all(
        bands.map((_, i) => mine[i]!.remote.make(recipe, table, columns)),
      );
      const canvas = (side === 'before' ? before : after).current;
      const { left, right, top, bottom } = now.patch;
      if (canvas && (canvas.width !== right - left || canvas.height !== bottom - top)) {
        canvas.width = right - left;
        canvas.height = bottom - top;
      }
      const paper = canvas?.getContext('2d');
      bands.forEach((band, i) => {
        const all = columnsOf(band);
        columns.forEach((c, k) => {
          const tile = all[c]!;
          const image = new ImageData(parts[i]!.tiles[k]!, tile.right - tile.left);
          paper?.putImageData(image, tile.left - left, tile.top - top);
        });
      });
      for (const c of columns) drawn.current[side][c] = madeBy(now[side]);
      return Math.max(...parts.map((p) => p.ms));
    };

    /** Makes a column ready for the number that may move next; false: all are. */
    const prepare = async (now: PatchWish): Promise<boolean> => {
      const { recipe } = now.after;
      if (now.at < 1 || now.at >= recipe.steps.length) return false;
      const by = JSON.stringify(recipe.steps.slice(0, now.at));
      const columns = columnsOf(now.patch);
      const c = columns.findLastIndex((_, i) => ready.current[i] !== by);
      if (c < 0) return false;
      await Promise.all(mine.map(({ remote }) => remote.ready(recipe, now.at, c)));
      ready.current[c] = by;
      return true;
    };

    const go = async () => {
      working.current = true;
      const busy = (now: boolean) =>
        setState((s) => (s.busy === now ? s : { ...s, busy: now }));
      try {
        for (;;) {
          const now: PatchWish | null = wanted.current;
          if (!now || threads.current !== mine) break;
          const bands = await open(now);
          const by = { after: madeBy(now.after), before: madeBy(now.before) };
          const part = nextColumns(now.patch, now.split, by, drawn.current);
          if (!part) {
            busy(false);
            if (!(await prepare(now)) && wanted.current === now) break;
            continue;
          }
          busy(true);
          const ms = await draw(now, bands, part);
          if (part.side === 'after' && part.seen)
            setState((s) => ({ ...s, ms, made: s.made + 1, problem: null }));
        }
      } catch (error) {
        const said = error instanceof Error ? error.message : 'unknown reason';
        setState((s) => ({
          ...s,
          problem: `The patch cannot be shown: ${said}. If the master was just brought, wait until it is read; else reload the page.`,
        }));
      } finally {
        working.current = false;
        busy(false);
      }
    };
    void go();
  }, [wish]);

  return { before, after, ...state };
}
