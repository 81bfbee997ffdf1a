'use client';
import { scaleLinear } from 'd3';
import type { CostPart, reckonPrice } from '@/core/price';
import { Plate } from '@/shell/drawing';
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
  wear: 'wear of the printer',
  donation: 'given away',
  labour: 'your time',
  signing: 'your time, signing',
  framing: 'your time, framing',
  wrapping: 'your time, packing',
};

/** A part narrower than this has no room for its words. */
const NAMED = 112;

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
    ...(sale.net < 0
      ? []
      : [{ name: 'stays with you', amount: sale.net, fill: '#fdfdfd' }]),
  ];
  let at = 0;
  const drawn = segments.map((s) => {
    const left = x(at);
    at += s.amount;
    return { ...s, left, w: x(at) - left };
  });
  // Too narrow for their words: they stand below, in the order in which they are drawn.
  const slivers = drawn.filter((s) => s.w <= NAMED);
  return (
    <Plate
      name="Where the price goes"
      width={742}
      height={92}
      figures={{
        heads: ['part', 'amount', 'of the price'],
        rows: [
          ...segments.map((s) => [
            s.name,
            format.money(s.amount),
            sale.gross > 0 ? format.percent(s.amount / sale.gross, 1) : '–',
          ]),
          ...(sale.net < 0 ? [['short by', format.money(Math.abs(sale.net)), '']] : []),
        ],
      }}
      said={[
        ...segments.map((s) => `${s.name} ${format.money(s.amount)}`),
        ...(sale.net < 0 ? [`short by ${format.money(Math.abs(sale.net))}`] : []),
      ].join(', ')}
    >
      {drawn.map((s) => (
        <g key={s.name}>
          <rect
            x={s.left + 0.5}
            y={26}
            width={Math.max(0, s.w)}
            height={32}
            fill={s.fill}
            stroke="#555"
            strokeWidth={0.8}
          />
          {s.w > NAMED && (
            <text x={s.left + 6} y={46} fontSize={11.5} fill="#161616">
              {s.name} {format.amount(s.amount)}
            </text>
          )}
        </g>
      ))}
      {sale.net < 0 && (
        <>
          <path d={`M${x(sale.gross)} 20V64`} stroke="var(--brick)" strokeWidth={2} />
          <text
            x={x(sale.gross) - 5}
            y={18}
            fontSize={11.5}
            fill="var(--brick)"
            textAnchor="end"
          >
            the price ends here, short by {format.amount(Math.abs(sale.net))}
          </text>
        </>
      )}
      <text x={1} y={76} fontSize={11.5} fill="var(--ink)">
        {slivers.map((s) => `${s.name} ${format.amount(s.amount)}`).join(' · ')}
      </text>
    </Plate>
  );
};
