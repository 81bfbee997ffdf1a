'use client';
import { scaleLinear, scaleLog } from 'd3';
import type { Comparison } from '@/core/price';
import { Plate } from '@/shell/drawing';
import { useFormat } from '@/shell/figures';
import type { Format } from '@/shell/figures';
import { MoneyAxis } from '../MoneyAxis';

const WIDTH = 742;
const HEIGHT = 480;
const BOX = { left: 54, right: 600, top: 22, bottom: 418 } as const;
/** Lines are told apart without colour. */
const DASHES = ['', '7 4', '2 3', '10 3 2 3', '1 4', '14 4'];
/** Quantities that are named under the drawing, and stand in its table. */
const TICKS = [1, 2, 5, 10, 20, 50, 100, 200];
/** Names lie at least so far apart. */
const LABEL_GAP = 15;

export interface Drawn {
  name: string;
  /** Cost of one print at each quantity, minor units. */
  points: { quantity: number; each: number }[];
}

/** A line of steps: what each print costs holds until one more is made. */
const stepsOf = (
  points: Drawn['points'],
  x: (q: number) => number,
  y: (v: number) => number,
): string => {
  let path = '';
  points.forEach(({ quantity, each }, i) => {
    const joined = i > 0 && points[i - 1]!.quantity === quantity - 1;
    const [at, high] = [x(quantity).toFixed(1), y(each).toFixed(1)];
    path += joined ? `H${at}V${high}` : `M${at} ${high}`;
  });
  return path;
};

/** Names at the ends of their lines, moved apart where they would lie on each other. */
function placedNames(drawn: readonly Drawn[], y: (v: number) => number) {
  const ends = drawn
    .flatMap((d, i) => {
      const last = d.points.at(-1);
      return last ? [{ name: d.name, i, each: last.each, at: y(last.each) }] : [];
    })
    .sort((a, b) => a.at - b.at);
  ends.forEach((end, i) => {
    const above = ends[i - 1];
    if (above) end.at = Math.max(end.at, above.at + LABEL_GAP);
  });
  return ends;
}

const short = (name: string) => (name.length > 21 ? `${name.slice(0, 20)}…` : name);

const figuresOf = (drawn: readonly Drawn[], { cheapest }: Comparison, format: Format) => ({
  heads: ['prints', ...drawn.map((d) => `${d.name}, each`), 'cheapest'],
  rows: [...new Set([...TICKS, ...cheapest.map((c) => c.from)])]
    .sort((a, b) => a - b)
    .map((q) => [
      q,
      ...drawn.map((d) => {
        const point = d.points.find((p) => p.quantity === q);
        return point ? format.amount(Math.round(point.each)) : '–';
      }),
      cheapest.findLast((c) => c.from <= q)?.route ?? '–',
    ]),
});

/** What each print costs by each route, over how many are made at once; who is cheapest where. */
export function RoutesChart({
  drawn,
  compared,
  quantity,
  currency,
}: {
  drawn: readonly Drawn[];
  compared: Comparison;
  quantity: number;
  currency: string;
}) {
  const format = useFormat();
  const x = scaleLog().domain([1, 200]).range([BOX.left, BOX.right]);
  const all = drawn.flatMap((d) => d.points.map((p) => p.each));
  const highest = Math.max(1, ...all);
  const y = scaleLinear().domain([0, highest]).nice(5).range([BOX.bottom, BOX.top]);
  const { cheapest } = compared;
  const runs = cheapest.map((c, i) => ({ ...c, to: cheapest[i + 1]?.from ?? 200 }));
  const at = x(Math.min(200, Math.max(1, quantity)));
  return (
    <Plate
      name="Who prints, over how many"
      width={WIDTH}
      height={HEIGHT}
      figures={figuresOf(drawn, compared, format)}
      said={`What each print costs over 1 to 200 prints. ${runs
        .map((r) => `From ${r.from} on ${r.route ?? 'nobody'} is cheapest`)
        .join('. ')}.`}
    >
      <MoneyAxis
        y={y}
        lines={5}
        box={BOX}
        currency={currency}
        said="each print, when so many are made at once"
      />
      <g data-axis fontSize={11} fill="var(--ink)">
        {TICKS.map((q) => (
          <text key={q} x={x(q)} y={BOX.bottom + 34} textAnchor="middle">
            {q}
          </text>
        ))}
        <text x={BOX.right + 16} y={BOX.bottom + 34}>
          prints
        </text>
      </g>
      {drawn.map((d, i) => (
        <path
          key={d.name}
          d={stepsOf(d.points, x, y)}
          fill="none"
          stroke="#161616"
          strokeWidth={i === 0 ? 2 : 1.5}
          strokeDasharray={DASHES[i % DASHES.length]}
        />
      ))}
      {placedNames(drawn, y).map((e) => (
        <text key={e.name} x={BOX.right + 8} y={e.at + 4} fontSize={11.5} fill="var(--ink)">
          {short(e.name)}
        </text>
      ))}
      {runs.map((r, i) => (
        <g key={r.from}>
          <rect
            x={x(r.from)}
            y={BOX.bottom + 7}
            width={Math.max(1, x(Math.min(200, r.to)) - x(r.from))}
            height={9}
            fill={i % 2 === 0 ? '#2d2d2d' : '#f4f2ec'}
            stroke="#2d2d2d"
            strokeWidth={0.8}
          />
          {i > 0 && (
            <circle cx={x(r.from)} cy={BOX.bottom + 11.5} r={4} fill="var(--blue)" />
          )}
        </g>
      ))}
      <path d={`M${BOX.left} ${BOX.bottom}H${BOX.right}`} stroke="#444" />
      <g>
        <path
          d={`M${at} ${BOX.top}V${BOX.bottom}`}
          stroke="var(--blue)"
          strokeWidth={1.4}
        />
        <text
          x={at + (at > 480 ? -6 : 6)}
          y={BOX.top + 10}
          fontSize={11.5}
          fill="var(--blue)"
          textAnchor={at > 480 ? 'end' : 'start'}
        >
          {quantity} at once
        </text>
      </g>
      <text x={BOX.left} y={HEIGHT - 6} fontSize={11.5} fill="var(--ink)">
        cheapest: {runs.map((r) => `${r.route ?? 'nobody'} from ${r.from}`).join(', ')}
      </text>
    </Plate>
  );
}
