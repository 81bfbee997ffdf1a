'use client';
import { scaleLinear } from 'd3';
import type { CostPart, reckonPrice } from '@/core/price';
import { useFormat } from '@/shell/figures';

/** What the figures in the fields come to. */
export type Reckoned = ReturnType<typeof reckonPrice>;

/** The parts of the cost as they are named on the slip and in the drawing. */
export const PARTS: Record<CostPart, string> = {
  printing: 'printing',
  paper: 'paper',
  capture: 'capture share',
  proofs: 'proofs share',
  spoilage: 'spoilage',
  finishing: 'finishing',
  packing: 'packing',
  postage: 'postage',
  labour: 'your time',
};

/** Where the price goes: parts of the cost, fees, and what stays, drawn to one scale. */
export const PriceBar = ({
  cost,
  sale,
}: {
  cost: Reckoned['cost'];
  sale: NonNullable<Reckoned['sale']>;
}) => {
  const format = useFormat();
  const x = scaleLinear()
    .domain([0, Math.max(sale.gross, cost.total + sale.fees)])
    .range([0, 740]);
  const segments = [
    ...cost.parts
      .filter((p) => p.amount > 0)
      .map((p) => ({ name: PARTS[p.part], amount: p.amount, fill: '#e9e6de' })),
    { name: 'fees', amount: sale.fees, fill: '#b9b2a2' },
    { name: 'stays with you', amount: Math.max(0, sale.net), fill: '#fdfdfd' },
  ];
  let at = 0;
  return (
    <svg
      viewBox="0 0 742 92"
      width="100%"
      role="img"
      aria-label={segments.map((s) => `${s.name} ${format.money(s.amount)}`).join(', ')}
    >
      {segments.map((s, i) => {
        const left = x(at);
        at += s.amount;
        const w = x(at) - left;
        const low = i % 2 === 1;
        return (
          <g key={s.name}>
            <rect
              x={left + 0.5}
              y={26}
              width={Math.max(0, w)}
              height={32}
              fill={s.fill}
              stroke="#555"
              strokeWidth={0.8}
            />
            {w > 46 ? (
              <text x={left + 6} y={46} fontSize={11.5} fill="#161616">
                {w > 96 ? `${s.name} ${format.amount(s.amount)}` : format.amount(s.amount)}
              </text>
            ) : null}
            {w <= 96 && w > 14 && (
              <text
                x={left + w / 2}
                y={low ? 74 : 19}
                fontSize={11}
                fill="var(--ink)"
                textAnchor="middle"
              >
                {s.name}
              </text>
            )}
          </g>
        );
      })}
    </svg>
  );
};
