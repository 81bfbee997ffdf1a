'use client';
import { useState } from 'react';
import type { Step } from '../useSizing';

export const MOST_BESIDE = 4;

/** The sizes that hang beside the one that is picked. */
export function useBeside(steps: Step[], here: Step | undefined) {
  const [beside, setBeside] = useState<ReadonlySet<string>>(new Set());
  const toggle = (key: string) =>
    setBeside((now) => {
      const next = new Set(now);
      if (!next.delete(key) && next.size < MOST_BESIDE - 1) next.add(key);
      return next;
    });
  const hung = steps.filter((s) => s.key === here?.key || beside.has(s.key));
  return { beside, toggle, hung };
}

/** How crisp a print is from where it is looked at now. */
export function fromHere(step: Step, distance: number, say: (mm: number) => string) {
  const { crispFrom } = step.judgement.figures;
  return crispFrom <= distance
    ? `Crisp from here, and up to ${say(crispFrom)}.`
    : `Soft from here: it is crisp from ${say(crispFrom)}.`;
}
