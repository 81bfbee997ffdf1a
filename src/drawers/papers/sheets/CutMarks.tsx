'use client';
import { cutNumbers } from '@/core/cut';
import type { CutSheetPlan } from '@/core/cut';

import { pointOn } from './onTable';
import type { OnTable } from './onTable';

const RADIUS = 8;

/** The cuts of a sheet, each with its number where it begins: at the edge of the part in hand. */
export const CutMarks = ({
  sheet,
  on,
  scale,
}: {
  sheet: CutSheetPlan;
  on: OnTable;
  scale: number;
}) => {
  const numbers = cutNumbers(sheet, RADIUS / scale, false);
  return (
    <g pointerEvents="none" aria-hidden>
      {sheet.cuts.map((c, i) => {
        const point = (p: { x: number; y: number }) => pointOn(on, sheet, scale, p);
        const from = point({ x: c.x1, y: c.y1 });
        const to = point({ x: c.x2, y: c.y2 });
        const at = point(numbers[i]!);
        return (
          <g key={i}>
            <line
              x1={from.x}
              y1={from.y}
              x2={to.x}
              y2={to.y}
              stroke="#161616"
              strokeWidth={1.1}
              strokeDasharray="5 3"
            />
            <circle cx={at.x} cy={at.y} r={RADIUS} fill="#161616" />
            <text
              x={at.x}
              y={at.y + 3.6}
              textAnchor="middle"
              fill="#fff"
              style={{ font: "600 10px 'Commissioner', sans-serif" }}
            >
              {i + 1}
            </text>
          </g>
        );
      })}
    </g>
  );
};
