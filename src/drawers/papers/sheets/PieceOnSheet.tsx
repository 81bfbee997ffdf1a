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
  box: { x, y, width: w, height: h },
  turn,
  picked,
  locked,
  sheet,
  onPick,
  onDown,
}: {
  place: CutPlace;
  piece: PlannedPiece | null;
  picture: SheetsView['pictures'][number] | null;
  /** Where it lies on the table, and how it is turned there, degrees. */
  box: { x: number; y: number; width: number; height: number };
  turn: number;
  picked: boolean;
  locked: boolean;
  /** Which sheet, from 1. */
  sheet: number;
  onPick: () => void;
  onDown: (event: PointerEvent) => void;
}) {
  const format = useFormat();
  // As it lies in its own file.
  const [own, other] = turn === 0 ? [w, h] : [h, w];
  const said = piece
    ? `${piece.title}, ${piece.size}, ${purposeOf(piece)}`
    : 'a piece that is not on the plan';
  const corner = { [90]: [x + w, y], [-90]: [x, y + h] }[turn] ?? [x, y];
  const lying = `translate(${corner.join(' ')}) rotate(${turn})`;
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
      <g transform={lying}>
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
  box,
  text,
}: {
  box: { x: number; y: number; width: number; height: number };
  text: string;
}) => {
  const half = text.length * 3.1 + 5;
  const x = box.x + box.width / 2;
  const y = box.y + box.height / 2;
  const upright = box.height > 1.6 * box.width;
  // Where there is no room for it, the slip says it.
  const [long, short] = upright ? [box.height, box.width] : [box.width, box.height];
  if (long < 2 * half || short < 18) return null;
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
