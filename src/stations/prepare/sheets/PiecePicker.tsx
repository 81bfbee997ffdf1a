'use client';
import styled from 'styled-components';
import type { ProofPlace } from '@/core/prepare';

const ROOM = { width: 310, height: 404 };

const Picture = styled.svg`
  cursor: crosshair;
  flex: none;
  &:focus-visible {
    outline: 2px solid var(--blue);
    outline-offset: 2px;
  }
`;

interface PiecePickerProps {
  preview: string | null;
  whole: { width: number; height: number };
  places: readonly ProofPlace[];
  /** A piece as shares of the picture, at the largest of the sizes. */
  piece: { width: number; height: number };
  /** Where the next piece goes when one works without a mouse. */
  cursor: { x: number; y: number };
  onCursor: (at: { x: number; y: number }) => void;
  onAdd: (at: { x: number; y: number }) => void;
}

const hold = (v: number) => Math.min(1, Math.max(0, v));

/** The picture with its pieces; a press, or Enter at the cross that the arrow keys move, adds one. */
export function PiecePicker(props: PiecePickerProps) {
  const { preview, whole, places, piece, cursor, onCursor, onAdd } = props;
  const scale = Math.min(ROOM.width / whole.width, ROOM.height / whole.height);
  const [w, h] = [whole.width * scale, whole.height * scale];
  const moves: Record<string, [number, number]> = {
    ArrowLeft: [-0.02, 0],
    ArrowRight: [0.02, 0],
    ArrowUp: [0, -0.02],
    ArrowDown: [0, 0.02],
  };
  return (
    <Picture
      width={w}
      height={h}
      viewBox={`0 0 ${w} ${h}`}
      tabIndex={0}
      role="application"
      data-testid="pieces"
      aria-label={`The picture with ${places.length} pieces. Arrow keys move the cross, now ${Math.round(cursor.x * 100)} % from the left and ${Math.round(cursor.y * 100)} % from above; Enter takes the piece there.`}
      onClick={(e) => {
        const rect = e.currentTarget.getBoundingClientRect();
        const at = {
          x: hold((e.clientX - rect.left) / rect.width),
          y: hold((e.clientY - rect.top) / rect.height),
        };
        onCursor(at);
        onAdd(at);
      }}
      onKeyDown={(e) => {
        const by = moves[e.key];
        if (e.key === 'Enter') onAdd(cursor);
        else if (by) onCursor({ x: hold(cursor.x + by[0]), y: hold(cursor.y + by[1]) });
        else return;
        e.preventDefault();
      }}
    >
      <rect width={w} height={h} fill="#9c9c9c" />
      {preview && <image href={preview} width={w} height={h} preserveAspectRatio="none" />}
      {places.map((place, i) => {
        const width = piece.width * w;
        const height = piece.height * h;
        const left = Math.min(w - width, Math.max(0, place.x * w - width / 2));
        const top = Math.min(h - height, Math.max(0, place.y * h - height / 2));
        return (
          <g key={i}>
            <rect
              x={left}
              y={top}
              width={width}
              height={height}
              fill="none"
              stroke="#fff"
              strokeWidth={3}
            />
            <rect
              x={left}
              y={top}
              width={width}
              height={height}
              fill="none"
              stroke="#161616"
            />
            <rect x={left} y={top} width={15} height={13} fill="#fff" />
            <text
              x={left + 7.5}
              y={top + 10}
              fontSize={10.5}
              textAnchor="middle"
              fill="#161616"
            >
              {i + 1}
            </text>
          </g>
        );
      })}
      <path
        d={`M${cursor.x * w - 7} ${cursor.y * h}h14M${cursor.x * w} ${cursor.y * h - 7}v14`}
        stroke="#fff"
        strokeWidth={3}
      />
      <path
        d={`M${cursor.x * w - 7} ${cursor.y * h}h14M${cursor.x * w} ${cursor.y * h - 7}v14`}
        stroke="#161616"
      />
    </Picture>
  );
}
