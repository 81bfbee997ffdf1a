'use client';
import { line, scaleLinear } from 'd3';
import { costOfImpression, costOverSold, feesAt, feesOf } from '@/core/price';
import type { PriceValues } from '@/core/price';
import { minor } from '@/core/units';
import type { Minor } from '@/core/units';
import { Plate } from '@/shell/drawing';
import { useFormat } from '@/shell/figures';
import { MoneyAxis } from './MoneyAxis';

const WIDTH = 742;
const HEIGHT = 136;
const BOX = { left: 62, right: 700, top: 22, bottom: 104 } as const;
/** As many are drawn at least; else twice what is expected. */
const LEAST = 10;
const MOST = 200;

/** From how many on what is paid once is paid; `pays`: each brings more than it costs by itself. */
const paidWords = (paid: number, most: number, pays: boolean): string =>
  paid >= 0
    ? `paid from ${paid + 1} sold on`
    : pays
      ? `paid only beyond ${most} sold`
      : 'not paid however many are sold: each costs more than it brings';

/** How what one print costs falls as more are sold, against what a sale brings after its fees. */
export function CostCurve({
  values,
  price,
  currency,
}: {
  values: PriceValues;
  price: Minor;
  currency: string;
}) {
  const format = useFormat();
  const expected = values.expectedImpressions;
  const most = Math.min(MOST, Math.max(LEAST, 2 * expected));
  const costs = costOverSold(values, most);
  const brings = price - feesAt(price, feesOf(values));
  const paid = costs.findIndex((c) => c <= brings);
  const each = costOfImpression({ ...values, capture: minor(0), proofs: minor(0) }).total;
  const x = scaleLinear().domain([1, most]).range([BOX.left, BOX.right]);
  // The first few can cost more than fits: the line comes in from above.
  const highest = Math.max(2 * brings, 1.5 * costs.at(-1)!, 1);
  const y = scaleLinear().domain([0, highest]).range([BOX.bottom, BOX.top]);
  const path = line<number>()
    .x((_, i) => x(i + 1))
    .y((c) => y(Math.min(highest, c)));
  const at = Math.min(expected, most);
  return (
    <Plate
      name="What one costs as more are sold"
      width={WIDTH}
      height={HEIGHT}
      figures={{
        heads: ['sold', 'each costs', 'each sale brings'],
        rows: costs.map((c, i) => [i + 1, format.amount(c), format.amount(brings)]),
      }}
      said={`What one costs when so many are sold: 1, ${format.amount(costs[0]!)}; ${at}, ${format.amount(costs[at - 1]!)}; ${most}, ${format.amount(costs.at(-1)!)} ${currency}`}
    >
      <MoneyAxis
        y={y}
        lines={3}
        box={BOX}
        currency={currency}
        said="what one costs when so many are sold; dashed: what a sale brings after its fees"
      />
      <path
        d={`M${BOX.left} ${y(brings)}H${BOX.right}`}
        stroke="#161616"
        strokeWidth={1.2}
        strokeDasharray="6 4"
      />
      <path d={path(costs) ?? ''} fill="none" stroke="#161616" strokeWidth={2} />
      <circle
        cx={x(at)}
        cy={y(Math.min(highest, costs[at - 1]!))}
        r={4}
        fill="var(--blue)"
      />
      <text
        x={x(at)}
        y={y(Math.min(highest, costs[at - 1]!)) - 8}
        textAnchor="middle"
        fontSize={11.5}
        fill="var(--blue)"
      >
        {at} expected: {format.amount(costs[at - 1]!)}
      </text>
      <g data-axis fontSize={11} fill="var(--ink)">
        {x
          .ticks(8)
          .filter((n) => Number.isInteger(n) && n >= 1)
          .map((n) => (
            <text key={n} x={x(n)} y={BOX.bottom + 16} textAnchor="middle">
              {n}
            </text>
          ))}
        <text x={BOX.right + 10} y={BOX.bottom + 16}>
          sold
        </text>
      </g>
      <text x={BOX.left} y={HEIGHT - 5} fontSize={11.5} fill="var(--ink)">
        {paidWords(paid, most, brings >= each)}
      </text>
    </Plate>
  );
}
