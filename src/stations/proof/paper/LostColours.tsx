'use client';
import styled from 'styled-components';
import type { IntentFigures, MergedExample } from '@/engine';
import { labCss } from '@/shell/drawing';
import { useFormat } from '@/shell/figures';
import { SectionLabel, Small } from '@/shell/words';
import { percent } from '@/studio/words/proofWords';

const Swatches = styled.ul`
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
  list-style: none;
  margin: 4px 0 0;
  padding: 0;
  li {
    display: flex;
    align-items: center;
    gap: 6px;
    font-size: 12px;
  }
  i {
    display: block;
    width: 21px;
    height: 26px;
  }
  span {
    display: flex;
  }
`;

const SHOWN = 3;

/** Colours that could be told apart and cannot any more: two patches becoming one. */
export function MergedPairs({
  pairs,
  share,
  examples,
  onLook,
}: {
  pairs: number;
  share: number;
  examples: readonly MergedExample[];
  onLook: (at: { x: number; y: number }) => void;
}) {
  const { number } = useFormat();
  return (
    <section>
      <SectionLabel>
        {pairs === 0
          ? 'No colours become one'
          : `${pairs} ${pairs === 1 ? 'pair' : 'pairs'} of colours become one`}
      </SectionLabel>
      {pairs > 0 && (
        <>
          <Small>
            over 2 ΔE00 apart before, under 1 after; {percent(share, number)} of the picture
          </Small>
          <Swatches>
            {examples.slice(0, SHOWN).map((e, i) => (
              <li key={i}>
                <Look
                  type="button"
                  onClick={() => onLook(e)}
                  aria-label={`Look at pair ${i + 1}`}
                >
                  <span>
                    <i style={{ background: labCss(e.before[0]) }} />
                    <i style={{ background: labCss(e.before[1]) }} />
                  </span>
                  →
                  <span>
                    <i style={{ background: labCss(e.after[0]) }} />
                    <i style={{ background: labCss(e.after[1]) }} />
                  </span>
                </Look>
              </li>
            ))}
          </Swatches>
        </>
      )}
    </section>
  );
}

/** Gradients that break into steps, and where the worst of them is. */
export function BrokenGradients({
  gradients: { smooth, broken, worst },
  onLook,
}: {
  gradients: IntentFigures['gradients'];
  onLook: (at: { x: number; y: number }) => void;
}) {
  if (smooth === 0) return null;
  if (broken === 0)
    return (
      <SectionLabel>
        {smooth === 1 ? 'Its one gradient stays' : `Its ${smooth} gradients stay`} even
      </SectionLabel>
    );
  return (
    <section style={{ display: 'flex', gap: 12, alignItems: 'baseline' }}>
      <SectionLabel>
        {broken} of {smooth} gradients {broken === 1 ? 'breaks' : 'break'} into steps
      </SectionLabel>
      {worst && (
        <Look type="button" onClick={() => onLook(worst)}>
          <Small>look at the worst</Small>
        </Look>
      )}
    </section>
  );
}

const Look = styled.button`
  appearance: none;
  border: 0;
  background: none;
  padding: 0;
  color: inherit;
  display: flex;
  align-items: center;
  gap: 6px;
  cursor: pointer;
`;
