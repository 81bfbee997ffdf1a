'use client';
import type { RefObject } from 'react';
import styled from 'styled-components';
import type { ProofPicture } from '@/shell/drawing';

const Line = styled.div`
  position: absolute;
  width: 15px;
  margin-left: -7px;
  cursor: ew-resize;
  touch-action: none;
  &::before {
    content: '';
    position: absolute;
    left: 6px;
    top: 0;
    bottom: 0;
    width: 3px;
    background: #fff;
    border-left: 1px solid #161616;
    border-right: 1px solid #161616;
  }
  &:focus-visible {
    outline: 2px solid var(--blue);
  }
`;

const STEP = 0.02;

/** The line between master and proof: dragged, or moved by the arrow keys. */
export function SplitLine({
  line,
  split,
  sheet,
  picture,
  onSplit,
}: {
  line: RefObject<HTMLDivElement | null>;
  split: number;
  sheet: RefObject<HTMLCanvasElement | null>;
  picture: ProofPicture;
  onSplit: (share: number) => void;
}) {
  const move = (by: number) => onSplit(Math.min(1, Math.max(0, by)));
  return (
    <Line
      ref={line}
      role="slider"
      tabIndex={0}
      aria-label="Line between the master and the proof"
      aria-valuemin={0}
      aria-valuemax={100}
      aria-valuenow={Math.round(split * 100)}
      onKeyDown={(e) => {
        const by = { ArrowLeft: -STEP, ArrowRight: STEP }[e.key];
        if (by === undefined && e.key !== 'Home' && e.key !== 'End') return;
        e.preventDefault();
        move(by === undefined ? (e.key === 'Home' ? 0 : 1) : split + by);
      }}
      onPointerDown={(e) => e.currentTarget.setPointerCapture(e.pointerId)}
      onPointerMove={(e) => {
        if (!e.currentTarget.hasPointerCapture(e.pointerId) || !sheet.current) return;
        const scale = Number(sheet.current.dataset.scale);
        move(split + e.movementX / (scale * picture.width));
      }}
    />
  );
}
