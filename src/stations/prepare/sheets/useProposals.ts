'use client';
import { useState } from 'react';
import { proposalFigure } from '../sheetWords';
import type { Place } from './proofDesk';

interface Proposal {
  x: number;
  y: number;
  tests: Place['tests'];
  figure: number;
}

/** Pieces that are worth proofing, as the picture's pixels say; `piece` is its size, 0..1 of the picture. */
export function useProposals(
  masterId: number,
  piece: { width: number; height: number },
  take: (found: Place[]) => void,
) {
  const [proposing, setProposing] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
  const propose = async () => {
    setProposing(true);
    const answer = await fetch(
      `/api/proposals/${masterId}?width=${piece.width}&height=${piece.height}`,
    ).catch(() => null);
    setProposing(false);
    if (!answer?.ok)
      return setTrouble(
        'No pieces could be proposed: the picture is not read yet. Wait until Capture has read it, or choose by hand.',
      );
    setTrouble(null);
    const found = (await answer.json()) as Proposal[];
    take(
      found.map(({ x, y, tests, figure }) => ({
        x,
        y,
        tests,
        ...(tests === 'byHand' ? {} : { said: proposalFigure({ tests, figure }) }),
      })),
    );
  };
  return { propose, proposing, trouble };
}
