'use client';
import type { PointerEvent } from 'react';
import type { CutPlace, PlannedPiece } from '@/core/cut';
import { PrintOnSheet } from '@/shell/drawing';
import { useFormat } from '@/shell/figures';
import { purposeOf } from '@/studio/words/sheetWords';
import type { SheetsView } from './view';

/** One piece on a sheet: its picture as it is printed, whether it is picked, and whether it stays. */
export function PieceOnSheet({
  place,
  piece,
  picture,
  x,
  y,
  scale,
  picked,
  locked,
  sheet,
  onPick,
  onDown,
}: {
  place: CutPlace;
  piece: PlannedPiece | null;
  picture: SheetsView['pictures'][number] | null;
  x: number;
  y: number;
  scale: number;
  picked: boolean;
  locked: boolean;
  /** Which sheet, from 1. */
  sheet: number;
  onPick: () => void;
  onDown: (event: PointerEvent) => void;
}) {
  const format = useFormat();
  const w = place.width * scale;
  const h = place.height * scale;
  // As it lies in its own file.
  const [own, other] = place.turned ? [h, w] : [w, h];
  const said = piece
    ? `${piece.title}, ${piece.size}, ${purposeOf(piece)}`
    : 'a piece that is not on the plan';
  const turn = place.turned
    ? `translate(${x + w} ${y}) rotate(90)`
    : `translate(${x} ${y})`;
  const fit = picture?.fit;
  return (
    <g
      role="button"
      tabIndex={0}
      aria-pressed={picked}
      aria-label={`${said}, on sheet ${sheet}, ${format.length(place.x)} from the left, ${format.length(place.y)} from the top${place.turned ? ', turned' : ''}${locked ? ', locked' : ''}`}
      style={{ cursor: 'grab', outlineOffset: 2 }}
      onFocus={onPick}
      onClick={onPick}
      onPointerDown={onDown}
    >
      <title>{said}</title>
      <g transform={turn}>
        {fit ? (
          <svg
            width={own}
            height={other}
            viewBox={`0 0 ${fit.sheet.width} ${fit.sheet.height}`}
            preserveAspectRatio="none"
          >
            <PrintOnSheet fit={fit} picture={picture.picture} scale={1} x={0} y={0} />
          </svg>
        ) : (
          <>
            <rect width={own} height={other} fill="#fdfdfc" />
            <rect
              x={own * 0.08}
              y={other * 0.08}
              width={own * 0.84}
              height={other * 0.84}
              fill="#9c9c9c"
            />
          </>
        )}
      </g>
      <rect
        x={x}
        y={y}
        width={w}
        height={h}
        fill="none"
        stroke={picked ? 'var(--blue)' : '#b9b9b9'}
        strokeWidth={picked ? 3 : 0.8}
      />
      {locked && (
        <g transform={`translate(${x + w - 17} ${y + 3})`} aria-hidden>
          <rect width={14} height={14} fill="#161616" />
          <path
            d="M3.5 6.5h7v5h-7z M5 6.5v-1.6a2 2 0 0 1 4 0v1.6"
            stroke="#fff"
            strokeWidth={1.2}
            fill="none"
          />
        </g>
      )}
    </g>
  );
}

/** The size of a left-over that is kept as stock, in its middle. */
export const KeptWords = ({
  x,
  y,
  upright,
  text,
}: {
  x: number;
  y: number;
  upright: boolean;
  text: string;
}) => {
  const half = text.length * 3.1 + 5;
  return (
    <g
      transform={`translate(${x} ${y})${upright ? ' rotate(-90)' : ''}`}
      pointerEvents="none"
    >
      <rect x={-half} y={-9} width={2 * half} height={18} fill="#fdfdfc" stroke="#8a8a8a" />
      <text
        y={4}
        textAnchor="middle"
        style={{ font: "500 11px 'Commissioner', sans-serif" }}
        fill="#161616"
      >
        {text}
      </text>
    </g>
  );
};
