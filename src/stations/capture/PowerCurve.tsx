'use client';
import { line, scaleLinear, scaleLog } from 'd3';
import { Plate } from '@/shell/drawing';
import { useFormat } from '@/shell/figures';

const WIDTH = 770;
const HEIGHT = 400;
const LEFT = 58;
const RIGHT = 18;
const TOP = 14;
const BOTTOM = 46;
const LOWEST = 0.02;
/** Powers below this, in doublings, are noise of the reckoning and are drawn at it. */
const FLOOR = -16;
const TICKS = [0.02, 0.05, 0.1, 0.2, 0.3, 0.4, 0.5];

/** The power spectrum over the share of the pixel grid, and where detail ends. */
export function PowerCurve({
  curve,
  fraction,
}: {
  curve: readonly number[];
  fraction: number | null;
}) {
  const format = useFormat();
  if (curve.length === 0) return null;
  const points = curve
    .map((power, i) => [(0.5 * i) / (curve.length - 1), Math.max(power, FLOOR)] as const)
    .filter(([f]) => f >= LOWEST);
  const powers = points.map(([, p]) => p);
  const x = scaleLog()
    .domain([LOWEST, 0.5])
    .range([LEFT, WIDTH - RIGHT]);
  const y = scaleLinear()
    .domain([Math.min(...powers) - 0.5, Math.max(...powers) + 0.5])
    .nice()
    .range([HEIGHT - BOTTOM, TOP]);
  const path = line<readonly [number, number]>()
    .x(([f]) => x(f))
    .y(([, p]) => y(p));
  const power = (p: number) => (p <= FLOOR ? `${FLOOR} or less` : format.number(p, 2));
  const end = fraction === null ? null : fraction / 2;
  return (
    <Plate
      name="Power spectrum"
      width={WIDTH}
      height={HEIGHT}
      figures={{
        heads: ['fineness, % of the grid', 'power, doublings'],
        rows: points
          .filter((_, i) => i % Math.ceil(points.length / 24) === 0)
          .map(([f, p]) => [format.number(f * 200, 1), power(p)]),
      }}
      said={
        fraction === null
          ? 'Power spectrum; where detail ends cannot be told'
          : `Power spectrum; detail ends at ${format.percent(fraction)} of the pixel grid`
      }
    >
      <rect
        x={LEFT}
        y={TOP}
        width={WIDTH - LEFT - RIGHT}
        height={HEIGHT - TOP - BOTTOM}
        fill="rgba(255,255,255,.35)"
      />
      {end !== null && end < 0.49 && (
        <>
          <rect
            x={x(end)}
            y={TOP}
            width={WIDTH - RIGHT - x(end)}
            height={HEIGHT - TOP - BOTTOM}
            fill="rgba(92,61,0,.14)"
          />
          <path
            d={`M${x(end)} ${TOP}V${HEIGHT - BOTTOM}`}
            stroke="var(--ochre)"
            strokeWidth={1.6}
            strokeDasharray="6 4"
          />
          <text
            x={x(end) - 7}
            y={TOP + 18}
            textAnchor="end"
            fontSize={13}
            fill="var(--ochre)"
          >
            detail ends here
          </text>
        </>
      )}
      {y.ticks(6).map((p) => (
        <g key={p} data-axis>
          <path
            d={`M${LEFT} ${y(p)}H${WIDTH - RIGHT}`}
            stroke="var(--line)"
            strokeWidth={0.6}
          />
          <text
            x={LEFT - 8}
            y={y(p) + 4}
            textAnchor="end"
            fontSize={11.5}
            fill="var(--soft)"
          >
            {p}
          </text>
        </g>
      ))}
      {TICKS.map((f) => (
        <g key={f} data-axis>
          <path d={`M${x(f)} ${HEIGHT - BOTTOM}v5`} stroke="var(--ink)" />
          <text
            x={x(f)}
            y={HEIGHT - BOTTOM + 19}
            textAnchor={f === 0.5 ? 'end' : 'middle'}
            fontSize={11.5}
            fill="var(--soft)"
          >
            {format.number(f * 200)}
          </text>
        </g>
      ))}
      <text
        x={WIDTH - RIGHT}
        y={HEIGHT - 6}
        textAnchor="end"
        fontSize={12}
        fill="var(--soft)"
      >
        fineness, % of what the pixel grid can hold
      </text>
      <g data-axis>
        <text
          transform={`translate(14 ${TOP}) rotate(-90)`}
          textAnchor="end"
          fontSize={12}
          fill="var(--soft)"
        >
          power, doublings
          {powers.some((p) => p <= FLOOR) ? `; ${FLOOR} and less at the foot` : ''}
        </text>
      </g>
      <path d={path(points) ?? ''} fill="none" stroke="var(--ink)" strokeWidth={1.8} />
    </Plate>
  );
}
