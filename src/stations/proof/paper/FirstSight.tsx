'use client';
import styled from 'styled-components';
import { firstTile } from '@/shell/drawing';
import type { ProofPicture, Shown } from '@/shell/drawing';

const Room = styled.div`
  position: absolute;
  inset: 0;
  display: grid;
  place-items: center;
  container-type: size;
  pointer-events: none;
  img {
    position: absolute;
    inset: 0;
    width: 100%;
    height: 100%;
  }
`;

/** The whole picture where the viewer will show it, for as long as its code has not come. */
export function FirstSight({
  picture,
  under,
  over,
  split,
}: {
  picture: ProofPicture;
  under: Shown;
  over: Shown | null;
  split: number;
}) {
  const aspect = picture.width / picture.height;
  return (
    <Room aria-hidden data-testid="first-sight">
      <div
        style={{
          position: 'relative',
          aspectRatio: aspect,
          width: `min(100cqw, calc(100cqh * ${aspect}))`,
        }}
      >
        <img src={firstTile(picture, under)} alt="" fetchPriority="high" />
        {over && (
          <img
            src={firstTile(picture, over)}
            alt=""
            fetchPriority="high"
            style={{ clipPath: `inset(0 0 0 ${split * 100}%)` }}
          />
        )}
      </div>
    </Room>
  );
}
