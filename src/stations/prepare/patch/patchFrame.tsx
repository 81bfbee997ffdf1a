'use client';
import styled from 'styled-components';

export const Frame = styled.div`
  position: relative;
  flex: 1;
  min-height: 220px;
  overflow: hidden;
  canvas {
    position: absolute;
    left: 0;
    top: 0;
    image-rendering: pixelated;
  }
  > b {
    position: absolute;
    top: 6px;
    padding: 2px 7px;
    font: 500 11.5px 'Commissioner';
    background: rgba(255, 255, 255, 0.85);
    white-space: nowrap;
    color: #161616;
  }
`;

const Handle = styled.div`
  position: absolute;
  top: 0;
  bottom: 0;
  width: 15px;
  margin-left: -7px;
  cursor: ew-resize;
  touch-action: none;
  &::after {
    content: '';
    position: absolute;
    inset: 0 7px;
    background: #fff;
    outline: 1px solid #161616;
  }
  &:focus-visible {
    outline: 2px solid var(--blue);
  }
`;

export const Row = styled.div`
  display: flex;
  gap: 14px;
  align-items: flex-start;
  font-size: 12.5px;
`;

/** The line between two pictures of one piece, dragged or stepped with the arrow keys; `share` 0..1. */
export const Split = ({
  share,
  width,
  label,
  onShare,
}: {
  share: number;
  /** Of the pictures, CSS pixels. */
  width: number;
  label: string;
  onShare: (share: number) => void;
}) => {
  const set = (to: number) => onShare(Math.min(1, Math.max(0, to)));
  return (
    <Handle
      role="slider"
      aria-label={label}
      aria-valuemin={0}
      aria-valuemax={100}
      aria-valuenow={Math.round(share * 100)}
      tabIndex={0}
      style={{ left: share * width }}
      onPointerDown={(e) => e.currentTarget.setPointerCapture(e.pointerId)}
      onPointerMove={(e) => {
        const frame = e.currentTarget.parentElement?.getBoundingClientRect();
        if (frame && e.buttons === 1) set((e.clientX - frame.left) / width);
      }}
      onKeyDown={(e) => {
        const by = { ArrowLeft: -0.05, ArrowRight: 0.05 }[e.key];
        if (by) set(share + by);
      }}
    />
  );
};
