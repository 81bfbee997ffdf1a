'use client';
import styled from 'styled-components';
import type { Vector } from '@/core/colour';
import type { IntentFigures, MergedExample, ProofFigures } from '@/engine';
import { useFormat } from '@/shell/figures';
import { Link } from '@/shell/link';
import { SectionLabel, Small } from '@/shell/words';
import type { PaperAtHand } from '../view';
import { wholeUrl } from './proofSource';
import type { ProofPicture, Shown } from './proofSource';
import type { FiguresBy } from './useFigures';
import type { Written } from '@/studio/words/figures';
import { percent } from '@/studio/words/proofWords';

/** A colour of D50 as the browser paints it. */
const css = ([l, a, b]: Vector) => `lab(${l.toFixed(2)} ${a.toFixed(2)} ${b.toFixed(2)})`;

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
                    <i style={{ background: css(e.before[0]) }} />
                    <i style={{ background: css(e.before[1]) }} />
                  </span>
                  →
                  <span>
                    <i style={{ background: css(e.after[0]) }} />
                    <i style={{ background: css(e.after[1]) }} />
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

const Sheets = styled.ul`
  display: flex;
  gap: 12px;
  list-style: none;
  margin: 4px 0 0;
  padding: 0 0 4px;
  overflow-x: auto;
  a {
    display: block;
    width: 83px;
    color: inherit;
    text-decoration: none;
    font-size: 12px;
    line-height: 1.3;
  }
  b {
    display: block;
    font:
      400 14px/1.2 'Newsreader',
      serif;
  }
  span.sheet {
    display: grid;
    place-items: center;
    height: 84px;
    background: #fff;
    border: 1px solid #8a8a8a;
    margin-bottom: 4px;
  }
  a[aria-current='true'] span.sheet {
    outline: 3px solid var(--blue);
  }
  img {
    max-width: 70px;
    max-height: 70px;
    display: block;
  }
`;

const lostOn = (found: ProofFigures | undefined, written: Written) =>
  found ? `${percent(found.reach.beyond[1], written)} lost` : 'measuring …';

/** The papers at hand, each with the picture as it prints there, and which of them holds it best. */
export function PapersAtHand({
  papers,
  picked,
  picture,
  shown,
  by,
  href,
  onPick,
  shownToo,
  best,
}: {
  papers: readonly PaperAtHand[];
  picked: number;
  picture: ProofPicture;
  shown: Shown;
  by: FiguresBy;
  href: (paperId: number) => string;
  onPick: (paperId: number) => void;
  /** Whether the picture is there: it comes before what is seen small. */
  shownToo: boolean;
  best: string;
}) {
  const { number } = useFormat();
  return (
    <section>
      <SectionLabel>The papers at hand, and what each cannot hold</SectionLabel>
      <Sheets>
        {papers.map((p) => {
          const on = p.profile && `icc:${p.profile.sha256}`;
          return (
            <li key={p.id}>
              <Link
                href={href(p.id)}
                aria-current={p.id === picked}
                onNavigate={() => onPick(p.id)}
              >
                <span className="sheet">
                  {!on && 'no profile'}
                  {on && shownToo && (
                    <img
                      src={wholeUrl(
                        picture,
                        { ...shown, on, paperWhite: true, blackInk: true },
                        128,
                      )}
                      alt=""
                    />
                  )}
                </span>
                <b>{p.name}</b>
                {on ? lostOn(by[on], number) : p.surface}
              </Link>
            </li>
          );
        })}
      </Sheets>
      {best && <Small>{best}</Small>}
    </section>
  );
}
