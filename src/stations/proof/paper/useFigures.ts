'use client';
import { useEffect, useState } from 'react';
import type { ProofFigures } from '@/engine';

/** Figures by what they are of: a profile or a space. */
export type FiguresBy = Readonly<Record<string, ProofFigures>>;

/**
 * What printing a master costs it on several papers and spaces: one after the other, the first
 * of the list first. What was measured once stays for as long as the view is open.
 */
export function useFigures(
  masterId: number,
  wanted: readonly string[],
  /** Whether the picture is there: it comes first. */
  ready: boolean,
): { by: FiguresBy; trouble: string | null } {
  const [by, setBy] = useState<FiguresBy>({});
  const [trouble, setTrouble] = useState<string | null>(null);
  const next = wanted.find((on) => !(on in by));
  const first = next === wanted[0];
  useEffect(() => {
    if (!next || trouble || !ready) return;
    const abort = new AbortController();
    void fetch(
      `/api/proof-figures/${masterId}?on=${encodeURIComponent(next)}&later=${first ? 'no' : 'yes'}`,
      {
        signal: abort.signal,
      },
    )
      .then(async (answer) => {
        if (!answer.ok) throw new Error(String(answer.status));
        const found = (await answer.json()) as ProofFigures;
        setBy((now) => ({ ...now, [next]: found }));
      })
      .catch(() => {
        if (!abort.signal.aborted)
          setTrouble(
            'It could not be measured: the picture is not read yet, or its profile is gone. Wait until Capture has read it, then open this view anew.',
          );
      });
    return () => abort.abort();
  }, [masterId, next, trouble, ready, first]);
  return { by, trouble };
}
