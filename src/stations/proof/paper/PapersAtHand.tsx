'use client';
import styled from 'styled-components';
import type { ProofFigures } from '@/engine';
import { useFormat } from '@/shell/figures';
import { Link } from '@/shell/link';
import { SectionLabel, Small } from '@/shell/words';
import type { Written } from '@/studio/words/figures';
import { percent } from '@/studio/words/proofWords';
import type { PaperAtHand } from '../view';
import { wholeUrl } from '@/shell/drawing';
import type { ProofPicture, Shown } from '@/shell/drawing';
import type { FiguresBy } from './useFigures';

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
