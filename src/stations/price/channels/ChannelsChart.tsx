'use client';
import { scaleLinear } from 'd3';
import { Plate } from '@/shell/drawing';
import { useFormat } from '@/shell/figures';
import type { Format } from '@/shell/figures';
import type { ChannelShown } from './channelsShown';
import { FEE_WORDS } from './channelsWords';

const WIDTH = 742;
const ROW = 62;
const BOX = { left: 108, right: 700, top: 30 } as const;
/** Width of a letter, about. */
const LETTER = 6.1;

/** What fits into a part: its name and amount, its amount, or nothing. */
const fitting = (name: string, amount: string, width: number): string =>
  [`${name} ${amount}`, amount].find((t) => t.length * LETTER + 10 <= width) ?? '';

const FILLS = { cost: '#e9e6de', fee: '#b9b2a2', net: '#fdfdfd' } as const;

/** What a price is made of on a channel, from left to right. */
const partsOf = ({ sale }: ChannelShown) => [
  { name: 'cost', amount: sale.cost, fill: FILLS.cost },
  ...sale.parts.map((p) => ({ name: FEE_WORDS[p.fee], amount: p.amount, fill: FILLS.fee })),
  ...(sale.net > 0 ? [{ name: 'left', amount: sale.net, fill: FILLS.net }] : []),
];

const figuresOf = (shown: readonly ChannelShown[], format: Format) => ({
  heads: [
    'channel',
    'gross',
    'cost',
    'fees',
    'of them',
    'left',
    'price for what is wanted',
  ],
  rows: shown.map(({ channel, sale, priceForNet }) => [
    channel,
    format.amount(sale.gross),
    format.amount(sale.cost),
    format.amount(sale.fees),
    sale.parts.map((p) => `${FEE_WORDS[p.fee]} ${format.amount(p.amount)}`).join(', '),
    format.amount(sale.net),
    priceForNet === null ? 'none' : format.amount(priceForNet),
  ]),
});

/** One price on every channel, to one scale: cost, each fee, what is left; where the price would have to stand. */
export function ChannelsChart({
  shown,
  currency,
}: {
  shown: readonly ChannelShown[];
  currency: string;
}) {
  const format = useFormat();
  const most = Math.max(
    1,
    ...shown.flatMap(({ sale, priceForNet }) => [
      sale.gross,
      sale.cost + sale.fees,
      // Very dear ones would make the others too small to be read.
      Math.min(priceForNet ?? 0, 2.5 * sale.gross),
    ]),
  );
  const x = scaleLinear().domain([0, most]).range([BOX.left, BOX.right]);
  const bottom = BOX.top + ROW * shown.length;
  return (
    <Plate
      name="One price on every channel"
      width={WIDTH}
      height={bottom + 26}
      figures={figuresOf(shown, format)}
      said={shown
        .map(
          ({ channel, sale }) =>
            `${channel}: of ${format.amount(sale.gross)} ${currency} ${format.amount(sale.net)} is left`,
        )
        .join('. ')}
    >
      <g data-axis fontSize={11} fill="var(--ink)">
        {x.ticks(6).map((v) => (
          <g key={v}>
            <path
              d={`M${x(v)} ${BOX.top - 6}V${bottom}`}
              stroke="#9a9a9a"
              strokeDasharray="1 4"
            />
            <text x={x(v)} y={bottom + 16} textAnchor="middle">
              {format.amount(v)}
            </text>
          </g>
        ))}
        <text x={BOX.right + 12} y={bottom + 16}>
          {currency}
        </text>
      </g>
      {shown.map((c, i) => {
        const top = BOX.top + ROW * i;
        let at = 0;
        const need = c.priceForNet;
        const seen = need !== null && need <= most ? x(need) : null;
        return (
          <g key={c.channel}>
            <text
              x={BOX.left - 8}
              y={top + 19}
              textAnchor="end"
              fontSize={12.5}
              fill="var(--ink)"
            >
              {c.channel}
            </text>
            {partsOf(c).map((p) => {
              const left = x(at);
              at += p.amount;
              const width = x(at) - left;
              return (
                <g key={p.name}>
                  <rect
                    x={left}
                    y={top}
                    width={Math.max(0, width)}
                    height={28}
                    fill={p.fill}
                    stroke="#555"
                    strokeWidth={0.8}
                  />
                  <text x={left + 5} y={top + 18} fontSize={11} fill="#161616">
                    {fitting(p.name, format.amount(p.amount), width)}
                  </text>
                </g>
              );
            })}
            {c.sale.net < 0 && (
              <g>
                <path
                  d={`M${x(c.sale.gross)} ${top - 5}v38`}
                  stroke="var(--brick)"
                  strokeWidth={2}
                />
                <text
                  x={x(c.sale.gross) + 5}
                  y={top + 42}
                  fontSize={11}
                  fill="var(--brick)"
                >
                  short by {format.amount(Math.abs(c.sale.net))}
                </text>
              </g>
            )}
            {seen !== null && (
              <g>
                <path
                  d={`M${seen - 5} ${top + 34}L${seen} ${top + 28}L${seen + 5} ${top + 34}Z`}
                  fill="var(--blue)"
                />
                {(c.sale.net >= 0 || Math.abs(seen - x(c.sale.gross)) > 110) && (
                  <text
                    x={seen + (seen > 600 ? -8 : 8)}
                    y={top + 42}
                    fontSize={11}
                    fill="var(--blue)"
                    textAnchor={seen > 600 ? 'end' : 'start'}
                  >
                    {format.amount(need!)}
                  </text>
                )}
              </g>
            )}
          </g>
        );
      })}
    </Plate>
  );
}
