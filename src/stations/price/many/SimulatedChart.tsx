'use client';
import { line, scaleLinear } from 'd3';
import type { SimulatedPolicy } from '@/core/price';
import { Plate } from '@/shell/drawing';
import { useFormat } from '@/shell/figures';
import { POLICY_WORDS } from './policyWords';

const WIDTH = 742;
const HEIGHT = 178;
const TOP = 24;
const BOTTOM = 140;
const PANELS = { stock: [46, 330], cash: [430, 714] } as const;
const DASHES = ['', '7 4', '2 3', '10 3 2 3'];

type Month = SimulatedPolicy['months'][number];

/** One panel: a figure of each way over the months, zero as its own line. */
function Panel({
  box: [left, right],
  head,
  policies,
  value,
  written,
  whole = false,
}: {
  box: readonly [number, number];
  head: string;
  policies: readonly SimulatedPolicy[];
  value: (month: Month) => number;
  written: (v: number) => string;
  /** Of things of which there is no half. */
  whole?: boolean;
}) {
  const all = policies.flatMap((p) => p.months.map(value));
  const months = policies[0]?.months.length ?? 1;
  const x = scaleLinear()
    .domain([1, Math.max(2, months)])
    .range([left, right]);
  const y = scaleLinear()
    .domain([Math.min(0, ...all), Math.max(1, ...all)])
    .nice(4)
    .range([BOTTOM, TOP]);
  const path = line<Month>()
    .x((_, i) => x(i + 1))
    .y((m) => y(value(m)));
  return (
    <g fontSize={11} fill="var(--ink)">
      <text x={left} y={TOP - 10}>
        {head}
      </text>
      {y
        .ticks(4)
        .filter((v) => !whole || Number.isInteger(v))
        .map((v) => (
          <g key={v}>
            <path
              d={`M${left} ${y(v)}H${right}`}
              stroke={v === 0 ? '#444' : '#9a9a9a'}
              strokeDasharray={v === 0 ? '' : '1 4'}
            />
            <text x={left - 6} y={y(v) + 4} textAnchor="end">
              {written(v)}
            </text>
          </g>
        ))}
      {x
        .ticks(6)
        .filter((m) => Number.isInteger(m))
        .map((m) => (
          <text key={m} x={x(m)} y={BOTTOM + 15} textAnchor="middle">
            {m}
          </text>
        ))}
      {policies.map((p, i) => (
        <path
          key={p.policy}
          d={path(p.months) ?? ''}
          fill="none"
          stroke="#161616"
          strokeWidth={1.6}
          strokeDasharray={DASHES[i]}
        />
      ))}
    </g>
  );
}

/** Stock and cash by the month under each way of keeping stock, on average. */
export function SimulatedChart({
  policies,
  currency,
}: {
  policies: readonly SimulatedPolicy[];
  currency: string;
}) {
  const format = useFormat();
  const amount = (v: number) => format.amount(Math.round(v));
  const words = policies.map((p) => POLICY_WORDS[p.policy]);
  const months = policies[0]?.months ?? [];
  return (
    <Plate
      name="Stock and cash by the month"
      width={WIDTH}
      height={HEIGHT}
      figures={{
        heads: [
          'month',
          ...words.map((w) => `${w}: prints there`),
          ...words.map((w) => `${w}: cash, ${currency}`),
        ],
        rows: months.map((_, i) => [
          i + 1,
          ...policies.map((p) => format.number(p.months[i]!.stock.mean, 1)),
          ...policies.map((p) => amount(p.months[i]!.cash.mean)),
        ]),
      }}
      said={policies
        .map(
          (p, i) =>
            `${words[i]}: ${amount(p.months.at(-1)?.cash.mean ?? 0)} in cash at the end`,
        )
        .join('; ')}
    >
      <Panel
        box={PANELS.stock}
        head="prints there at the end of a month, on average"
        policies={policies}
        whole
        value={(m) => m.stock.mean}
        written={(v) => format.number(v, 0)}
      />
      <Panel
        box={PANELS.cash}
        head={`cash, ${currency}, on average`}
        policies={policies}
        value={(m) => m.cash.mean}
        written={amount}
      />
      {policies.map((p, i) => {
        const at = PANELS.stock[0] + i * 176;
        return (
          <g key={p.policy} fontSize={11} fill="var(--ink)">
            <path
              d={`M${at} ${HEIGHT - 7}h24`}
              stroke="#161616"
              strokeWidth={1.6}
              strokeDasharray={DASHES[i]}
            />
            <text x={at + 29} y={HEIGHT - 3}>
              {SHORT[p.policy]}
            </text>
          </g>
        );
      })}
    </Plate>
  );
}

/** Under the drawing a word does. */
const SHORT: Record<SimulatedPolicy['policy'], string> = {
  toOrder: 'each when ordered',
  small: 'small batches',
  large: 'the best batch, once',
  mixed: 'half, then when ordered',
};
