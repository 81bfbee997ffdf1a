'use client';
import { useState } from 'react';
import { batchPaid, keptWorth, perPeriod, usualPolicies } from '@/core/price';
import type { SimulatedPolicy, SimulationWish } from '@/core/price';
import { useThreadWork } from '@/shell/running';
import type { ManyAsked, ManyShown } from './manyShown';

const YEARS = 1000;
const DAYS_A_MONTH = 30;

const open = () =>
  new Worker(new URL('./simulating.worker.ts', import.meta.url), { type: 'module' });

/** What is gone through: the best batch at once, a quarter of it at a time, one by one, and mixed. */
export function simulationWish(
  { routes, demand, mean, terms }: ManyShown,
  { months, storage, unsoldWorth, damaged }: ManyAsked,
  numbersLeft: number | null,
): SimulationWish | null {
  const [first] = routes;
  if (!first) return null;
  const { best, route } = first;
  const singles = routes
    .flatMap((r) => {
      const one = batchPaid(r.route.prices, 1);
      return one ? [{ route: r.route, total: one.total }] : [];
    })
    .sort((a, b) => a.total - b.total);
  const small = Math.max(route.prices.leastQuantity, Math.ceil(best.quantity / 4));
  return {
    // Month by month storing is paid as it goes, and not once more at the end.
    terms: {
      ...terms,
      unsoldWorth: keptWorth({ worth: unsoldWorth, damaged, storage: 0, months }),
    },
    demand: perPeriod(demand, months),
    months,
    runs: YEARS,
    seed: 1,
    lead: Math.ceil((route.days ?? 0) / DAYS_A_MONTH),
    most: numbersLeft,
    storage,
    policies: usualPolicies({
      perMonth: mean / months,
      months,
      small,
      large: best.quantity,
    }),
    batchRoute: route.prices,
    singleRoute: (singles.find((s) => s.route.kind === 'onDemand') ?? singles[0])?.route
      .prices ?? { ...route.prices, breaks: [] },
  };
}

export interface Simulated {
  wish: SimulationWish;
  policies: SimulatedPolicy[];
}

/** Months gone through on a press, in a thread of their own; what came of it, until something else is asked. */
export function useSimulation(wish: SimulationWish | null) {
  const [asked, setAsked] = useState<{ key: string; wish: SimulationWish } | null>(null);
  const [came, setCame] = useState<Simulated | 'failed' | 'stopped' | null>(null);
  const { share, stop } = useThreadWork<SimulationWish, SimulatedPolicy[]>(
    asked?.key ?? null,
    asked?.wish ?? wish!,
    open,
    (found, stopped) => {
      setCame(
        stopped
          ? 'stopped'
          : found === 'failed' || found === null
            ? 'failed'
            : { wish: asked!.wish, policies: found },
      );
      setAsked(null);
    },
  );
  const key = JSON.stringify(wish);
  return {
    share,
    stop,
    begin: () => wish && setAsked({ key, wish }),
    came,
    /** Something was changed since: what came of it is of before. */
    old: typeof came === 'object' && came !== null && JSON.stringify(came.wish) !== key,
  };
}
