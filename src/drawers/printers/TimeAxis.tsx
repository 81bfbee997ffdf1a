'use client';
import { useBench } from '@/shell/figures';
import { YEAR, monthsDrawn, yearScale } from './yearScale';

/** Months under a drawing, and the line of today through it. */
export function TimeAxis({
  today,
  top,
  bottom,
}: {
  today: string;
  top: number;
  bottom: number;
}) {
  const { locale } = useBench();
  const { x } = yearScale(today);
  const name = new Intl.DateTimeFormat(locale, {
    month: 'short',
    year: '2-digit',
    timeZone: 'UTC',
  });
  return (
    <g>
      <path d={`M${YEAR.left} ${bottom}H${YEAR.right}`} stroke="var(--ink)" />
      {monthsDrawn(today).map((day) => (
        <g key={day} data-axis>
          <path d={`M${x(day)} ${bottom}v4`} stroke="var(--ink)" />
          {x(day) < YEAR.right - 18 && (
            <text
              x={x(day)}
              y={bottom + 15}
              textAnchor="middle"
              fontSize={11}
              fill="var(--ink)"
            >
              {name.format(new Date(`${day}T00:00:00Z`))}
            </text>
          )}
        </g>
      ))}
      <path
        d={`M${x(today)} ${top}V${bottom}`}
        stroke="var(--ink)"
        strokeWidth={1.4}
        strokeDasharray="1 3"
      />
    </g>
  );
}
