'use client';
import type { ScaleLinear } from 'd3';
import { useFormat } from '@/shell/figures';

/** Amounts along the left of a chart: a line for each, the one of nothing drawn through, what is drawn said above. */
export function MoneyAxis({
  y,
  lines,
  box: { left, right, top },
  currency,
  said,
}: {
  y: ScaleLinear<number, number>;
  /** How many lines, about. */
  lines: number;
  box: { left: number; right: number; top: number };
  currency: string;
  said: string;
}) {
  const format = useFormat();
  return (
    <g data-axis fontSize={11} fill="var(--ink)">
      {y.ticks(lines).map((v) => (
        <g key={v}>
          <path
            d={`M${left} ${y(v)}H${right}`}
            stroke={v === 0 ? '#444' : '#9a9a9a'}
            strokeDasharray={v === 0 ? undefined : '1 4'}
          />
          <text x={left - 7} y={y(v) + 4} textAnchor="end">
            {format.amount(Math.round(v))}
          </text>
        </g>
      ))}
      <text x={left - 7} y={top - 10} textAnchor="end">
        {currency}
      </text>
      <text x={left} y={top - 10}>
        {said}
      </text>
    </g>
  );
}
