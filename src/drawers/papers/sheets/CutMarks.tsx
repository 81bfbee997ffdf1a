'use client';
import { cutNumbers } from '@/core/cut';
import type { CutSheetPlan } from '@/core/cut';

const RADIUS = 8;

/** The cuts of a sheet, each with its number where it begins: at the edge of the part in hand. */
export const CutMarks = ({
  sheet,
  x,
  y,
  scale,
}: {
  sheet: CutSheetPlan;
  x: number;
  y: number;
  scale: number;
}) => {
  const numbers = cutNumbers(sheet, RADIUS / scale, false);
  return (
    <g pointerEvents="none" aria-hidden>
      {sheet.cuts.map((c, i) => {
        const from = { x: x + c.x1 * scale, y: y + c.y1 * scale };
        const at = { x: x + numbers[i]!.x * scale, y: y + numbers[i]!.y * scale };
        return (
          <g key={i}>
            <line
              x1={from.x}
              y1={from.y}
              x2={x + c.x2 * scale}
              y2={y + c.y2 * scale}
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
