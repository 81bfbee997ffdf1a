'use client';
import styled from 'styled-components';
import { labCss, wholeUrl } from '@/shell/drawing';
import type { ProofPicture } from '@/shell/drawing';
import type { CompareView } from './view';

type Beside = CompareView['papers'][number];

const Sheet = styled.div`
  display: grid;
  place-items: center;
  padding: 12px;
  border: 1px solid #8a8a8a;
  width: fit-content;
  img {
    display: block;
    max-width: 170px;
    max-height: 150px;
  }
`;

/** The picture as it prints on a paper, on its white; without a profile that cannot be told. */
export function OnPaper({
  paper,
  picture,
  title,
}: {
  paper: Beside;
  picture: ProofPicture;
  title: string;
}) {
  if (!paper.profile || !paper.portrait) return <>cannot be told without a profile</>;
  const shown = {
    show: 'proof',
    on: `icc:${paper.profile.sha256}`,
    intent: 'relative',
    blackPoint: true,
    paperWhite: true,
    blackInk: true,
    screen: 'srgb',
  } as const;
  return (
    <Sheet style={{ background: labCss(paper.portrait.white) }}>
      <img
        src={wholeUrl(picture, shown, 256)}
        alt={`${title} as it prints on ${paper.name}`}
      />
    </Sheet>
  );
}
