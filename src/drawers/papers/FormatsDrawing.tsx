'use client';
import type { PaperFormat } from '@/core/paper';
import { useFormat } from '@/shell/figures';
import { formatName } from '@/studio/words/formatWords';

const WIDTH = 300;
const HEIGHT = 96;
const GAP = 8;

/** Sheets and rolls in one scale; of a roll, whose length would be too much, its beginning, torn off. */
export function FormatsDrawing({ formats }: { formats: readonly PaperFormat[] }) {
  const format = useFormat();
  const lies = formats.map(({ kind, width, height }) =>
    kind === 'roll'
      ? { kind, width, height }
      : { kind, width: Math.min(width, height), height: Math.max(width, height) },
  );
  const widths = lies.reduce((sum, l) => sum + l.width, 0);
  const tallest = Math.max(
    ...lies.map((l) => (l.kind === 'roll' ? l.width * 1.2 : l.height)),
  );
  const scale = Math.min(
    (WIDTH - 2 - GAP * (lies.length - 1)) / widths,
    (HEIGHT - 14) / tallest,
  );
  const places = lies.map((l, i) => ({
    ...l,
    x: lies.slice(0, i).reduce((sum, before) => sum + before.width * scale + GAP, 0),
    w: l.width * scale,
    h: Math.min(l.height, tallest) * scale,
    torn: l.height > tallest,
  }));
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      style={{ width: '100%', display: 'block', flex: 'none' }}
      role="img"
      aria-label={`To scale: ${formats.map((f) => formatName(f, format)).join(', ')}`}
    >
      {places.map(({ kind, x, w, h, torn }, i) => (
        <g key={i} transform={`translate(${x + 1} 1)`}>
          <path
            d={`M0 ${h}V0H${w}V${h}`}
            fill="var(--paper, #fff)"
            stroke="var(--ink)"
            strokeWidth={0.8}
          />
          <path
            d={`M0 ${h}H${w}`}
            stroke="var(--ink)"
            strokeWidth={0.8}
            strokeDasharray={torn ? '4 3' : undefined}
          />
          {kind === 'roll' && (
            <path d={`M0 4H${w}`} stroke="var(--ink)" strokeWidth={2.4} />
          )}
          <text x={w / 2} y={h + 11} textAnchor="middle" fontSize={9} fill="var(--soft)">
            {i + 1}
          </text>
        </g>
      ))}
    </svg>
  );
}
