'use client';
import styled from 'styled-components';
import { STALE_WORDS, listed } from '@/studio/words/proofWords';
import type { ProofView } from './view';

export const Rounds = styled.ol`
  display: grid;
  gap: 10px;
  li {
    display: grid;
    grid-template-columns: 74px 1fr;
    gap: 14px;
    padding-bottom: 10px;
    border-bottom: 1px solid var(--line);
  }
  li > strong {
    font:
      400 30px/1 'Newsreader',
      serif;
    text-align: right;
    small {
      display: block;
      font: 400 11.5px/1.2 'Commissioner';
      color: var(--soft);
    }
  }
  h3 {
    font-size: 17px;
  }
  p {
    margin-top: 3px;
  }
`;

export const Columns = styled.div`
  display: grid;
  grid-template-columns: minmax(180px, 250px) 1fr;
  gap: 26px;
  align-items: start;
`;

export function standing(view: ProofView): string {
  const { rounds, standing: held, out } = view;
  if (out)
    return `Round ${out.round} on ${out.paper} is out. Say what you see when it is back.`;
  if (held && held.reasons.length === 0)
    return held.gone
      ? `Round ${held.round} on ${held.paper} is the reference, but its file ${held.gone} is gone from the store: it cannot be printed again as it was. Restore it from a backup, or proof anew.`
      : `Round ${held.round} on ${held.paper} is the reference: every later impression is held against it.`;
  if (held)
    return `Round ${held.round} on ${held.paper} was approved, and holds no more${held.printOn ? ` for ${held.printOn}` : ''}: ${listed(held.reasons.map((r) => STALE_WORDS[r]))} ${held.reasons.length === 1 ? 'is' : 'are'} another. Proof it again.`;
  return rounds.length === 0
    ? 'No proof of this size yet. Proof it before the edition is printed.'
    : 'No round is approved yet. Change what was seen and send another.';
}
