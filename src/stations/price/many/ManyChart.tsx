'use client';
import { area, line, scaleLinear } from 'd3';
import type { BatchExpected } from '@/core/price';
import { Plate } from '@/shell/drawing';
import { useFormat } from '@/shell/figures';
import { MoneyAxis } from '../MoneyAxis';
import type { ManyShown } from './manyShown';

const WIDTH = 742;
const HEIGHT = 268;
const BOX = { left: 62, right: 610, top: 24, bottom: 226 } as const;
const DASHES = ['', '7 4', '2 3', '10 3 2 3', '1 4'];

/** As far as anything happens: twice the best batch, or what is wanted. */
const endOf = ({ routes, mean }: ManyShown): number => {
  const last = Math.max(1, ...routes.map((r) => r.batches.at(-1)?.quantity ?? 1));
  const best = Math.max(...routes.map((r) => r.best.quantity));
  return Math.min(last, Math.max(10, Math.ceil(2.2 * best), Math.ceil(2 * mean)));
};

/** What is expected to be left over how many are made, with its spread, and the best. */
export function ManyChart({ shown, currency }: { shown: ManyShown; currency: string }) {
  const format = useFormat();
  const [first] = shown.routes;
  if (!first) return null;
  const most = endOf(shown);
  const of = (batches: readonly BatchExpected[]) =>
    batches.filter((b) => b.quantity <= most);
  const inSight = of(first.batches);
  const drawn = shown.routes.map((r) => ({ ...r, batches: of(r.batches) }));
  const x = scaleLinear().domain([0, most]).range([BOX.left, BOX.right]);
  const lowest = Math.min(
    0,
    ...inSight.map((b) => b.low),
    ...drawn.flatMap((d) => d.batches.map((b) => b.expectedProfit)),
  );
  const highest = Math.max(1, ...inSight.map((b) => b.high));
  const y = scaleLinear().domain([lowest, highest]).nice(6).range([BOX.bottom, BOX.top]);
  const band = area<BatchExpected>()
    .x((b) => x(b.quantity))
    .y0((b) => y(b.low))
    .y1((b) => y(b.high));
  const path = line<BatchExpected>()
    .x((b) => x(b.quantity))
    .y((b) => y(b.expectedProfit));
  const { best, half } = first;
  const halved = half && first.batches.find((b) => b.quantity === half.quantity);
  const amount = (v: number) => format.amount(Math.round(v));
  const atX = x(best.quantity);
  return (
    <Plate
      name="What a batch is expected to leave"
      width={WIDTH}
      height={HEIGHT}
      figures={{
        heads: [
          'made at once',
          ...drawn.map((d) => `${d.route.prices.name}, left on average`),
          'band, from',
          'band, to',
          'expected short',
          'expected over',
        ],
        rows: inSight.map((b) => [
          b.quantity,
          ...drawn.map((d) => {
            const own = d.batches.find((o) => o.quantity === b.quantity);
            return own ? amount(own.expectedProfit) : '–';
          }),
          amount(b.low),
          amount(b.high),
          format.number(b.expectedShort, 1),
          format.number(b.expectedUnsold, 1),
        ]),
      }}
      said={`What a batch leaves over its size. ${shown.routes
        .map(
          (r) =>
            `${r.route.prices.name}: best ${r.best.quantity}, ${amount(r.best.expectedProfit)} ${currency}`,
        )
        .join('. ')}.`}
    >
      <MoneyAxis
        y={y}
        lines={6}
        box={BOX}
        currency={currency}
        said="left when so many are made at once; eight times in ten within the band"
      />
      <g data-axis fontSize={11} fill="var(--ink)">
        {x
          .ticks(8)
          .filter(Number.isInteger)
          .map((q) => (
            <text key={q} x={x(q)} y={BOX.bottom + 18} textAnchor="middle">
              {q}
            </text>
          ))}
        <text x={BOX.right + 14} y={BOX.bottom + 18}>
          prints
        </text>
      </g>
      <path d={band(inSight) ?? ''} fill="#161616" opacity={0.12} />
      {drawn.map((d, i) => (
        <path
          key={d.route.prices.name}
          d={path(d.batches) ?? ''}
          fill="none"
          stroke="#161616"
          strokeWidth={i === 0 ? 2 : 1.3}
          strokeDasharray={DASHES[i % DASHES.length]}
        />
      ))}
      {drawn.map((d, i) => (
        <g
          key={d.route.prices.name}
          transform={`translate(${BOX.right + 12} ${BOX.top + 6 + 18 * i})`}
        >
          <path
            d="M0 0H22"
            stroke="#161616"
            strokeWidth={i === 0 ? 2 : 1.3}
            strokeDasharray={DASHES[i % DASHES.length]}
          />
          <text x={28} y={4} fontSize={11} fill="var(--ink)">
            {d.route.prices.name.length > 16
              ? `${d.route.prices.name.slice(0, 15)}…`
              : d.route.prices.name}
          </text>
        </g>
      ))}
      {halved && half.quantity !== best.quantity && (
        <g>
          <circle
            cx={x(half.quantity)}
            cy={y(halved.expectedProfit)}
            r={4}
            fill="none"
            stroke="var(--blue)"
            strokeWidth={1.5}
          />
          <text
            x={x(half.quantity) - 8}
            y={y(halved.expectedProfit) - 8}
            fontSize={11.5}
            fill="var(--blue)"
            textAnchor="end"
          >
            half: {half.quantity}
          </text>
        </g>
      )}
      <path
        d={`M${atX} ${y(best.expectedProfit)}V${BOX.bottom}`}
        stroke="var(--blue)"
        strokeDasharray="2 3"
      />
      <circle cx={atX} cy={y(best.expectedProfit)} r={4.5} fill="var(--blue)" />
      <text
        x={atX + (atX > 480 ? -8 : 8)}
        y={y(best.expectedProfit) - 8}
        fontSize={11.5}
        fill="var(--blue)"
        textAnchor={atX > 480 ? 'end' : 'start'}
      >
        best: {best.quantity}
      </text>
    </Plate>
  );
}
