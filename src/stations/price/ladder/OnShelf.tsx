'use client';
import type { ScaleLinear } from 'd3';
import type { LadderRow } from '@/core/price';
import { useFormat } from '@/shell/figures';
import type { LadderSize } from './ladderTypes';
import { variantOf } from './variants';

/** What is asked for the same size framed, on another paper, or both: a mark beside the pole. */
function Beside({
  row,
  x,
  w,
  foot,
  y,
}: {
  row: LadderRow;
  /** Middle and width of the print, and where its upper edge lies, px. */
  x: number;
  w: number;
  foot: number;
  y: ScaleLinear<number, number>;
}) {
  const format = useFormat();
  if (row.price === null) return null;
  const { paper, framed } = variantOf(row.id);
  const cy = y(row.price);
  // Lower than the print is high, it stands beside it.
  const cx = cy > foot ? x - w / 2 - 9 : x - 12;
  const half = paper && framed ? 3 : 4.5;
  return (
    <g fill="#fdfdfd" stroke="#161616">
      {framed ? (
        <rect x={cx - half} y={cy - half} width={2 * half} height={2 * half} />
      ) : (
        <path d={`M${cx} ${cy - 5}l5 5l-5 5l-5-5z`} />
      )}
      <text
        x={cx - 8}
        y={cy + 4}
        textAnchor="end"
        fontSize={11}
        fill="var(--ink)"
        stroke="none"
      >
        {format.amount(row.price)}
      </text>
    </g>
  );
}

/** One print on the shelf, to scale, with its pole and the rungs of its edition. */
export function OnShelf({
  size,
  row,
  beside,
  x,
  w,
  h,
  y,
  shelf,
  on,
  preview,
}: {
  size: LadderSize;
  row: LadderRow;
  /** The same size framed, on another paper, or both. */
  beside: readonly LadderRow[];
  /** Its middle, width and height, px. */
  x: number;
  w: number;
  h: number;
  /** Where an amount lies. */
  y: ScaleLinear<number, number>;
  shelf: number;
  /** The one that the slip is about. */
  on: boolean;
  preview: string | null;
}) {
  const format = useFormat();
  const foot = shelf - h;
  /** The price lies lower than the print is high. */
  const within = row.price !== null && y(row.price) > foot;
  const reach = row.price === null ? foot : Math.min(foot, y(row.price));
  return (
    <g>
      {row.price !== null && (
        <path d={`M${x} ${foot}V${reach}`} stroke="#161616" strokeWidth={1.2} />
      )}
      {row.last !== null && row.price !== null && (
        <path
          d={`M${x} ${reach}V${Math.min(reach, y(row.last))}`}
          stroke="#161616"
          strokeWidth={1}
          strokeDasharray="1 3"
        />
      )}
      {size.edition !== null
        ? row.steps.map((s) => (
            <path
              key={s.from}
              d={`M${x - 7} ${y(s.price)}h14`}
              stroke="#161616"
              strokeWidth={s.price === row.price ? 3.4 : 1.2}
            />
          ))
        : row.price !== null && (
            <circle
              cx={within ? x + w / 2 + 8 : x}
              cy={y(row.price)}
              r={4}
              fill="#161616"
            />
          )}
      {beside.map((b) => (
        <Beside key={b.id} row={b} x={x} w={w} foot={foot} y={y} />
      ))}
      <rect
        x={x - w / 2}
        y={foot}
        width={w}
        height={h}
        fill="#fdfdfd"
        stroke={on ? 'var(--blue)' : '#555'}
        strokeWidth={on ? 2.4 : 0.8}
      />
      {preview && (
        <image
          href={preview}
          x={x - w / 2 + w * 0.06}
          y={foot + w * 0.06}
          width={w * 0.88}
          height={Math.max(1, h - w * 0.12)}
          preserveAspectRatio="xMidYMid slice"
        />
      )}
      {row.price !== null && (
        <text
          x={within ? x + w / 2 + 16 : x + 12}
          y={y(row.price) + 5}
          fontSize={on ? 19 : 16}
          fontWeight={on ? 600 : 400}
          fontFamily="Newsreader, serif"
          fill="var(--ink)"
        >
          {format.amount(row.price)}
        </text>
      )}
      <text
        x={x}
        y={shelf + 18}
        textAnchor="middle"
        fontSize={12}
        fontWeight={on ? 600 : 400}
        fill={on ? 'var(--blue)' : 'var(--ink)'}
      >
        {size.label}
      </text>
      <text
        x={x}
        y={shelf + 34}
        textAnchor="middle"
        fontSize={12.5}
        fontStyle="italic"
        fontFamily="Newsreader, serif"
        fill="var(--ink)"
      >
        {size.edition === null ? 'open' : `of ${size.edition}`}
      </text>
      {size.kept !== row.price && (
        <text x={x} y={shelf + 50} textAnchor="middle" fontSize={11} fill="var(--soft)">
          {size.kept === null ? 'none kept' : `kept ${format.amount(size.kept)}`}
        </text>
      )}
    </g>
  );
}
