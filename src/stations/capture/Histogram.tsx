'use client';
import { area, curveStepAfter, max, scaleLinear, scaleSqrt } from 'd3';
import { useFormat } from '@/shell/figures';
import { channelNames } from './words';

const WIDTH = 770;
const HEIGHT = 150;
const BOTTOM = 30;
const LOOK: Record<string, { fill: string; dash: string }> = {
  red: { fill: '#a8403466', dash: '' },
  green: { fill: '#3f7d4f66', dash: '5 3' },
  blue: { fill: '#35609e66', dash: '2 3' },
  grey: { fill: '#55555588', dash: '' },
};

interface HistogramProps {
  bins: readonly (readonly number[])[];
  light: 'encoded' | 'linear';
  /** Of the encoded scale, 0..1. */
  black: number;
  white: number;
}

/** Histograms of the channels over encoded or linear light; heights by the square root, so that few show. */
export function Histogram({ bins, light, black, white }: HistogramProps) {
  const format = useFormat();
  const count = bins[0]?.length ?? 1;
  const highest = max(bins, (b) => max(b.slice(1, -1))) || 1;
  const x = scaleLinear().domain([0, count]).range([0, WIDTH]);
  const y = scaleSqrt()
    .domain([0, highest])
    .range([HEIGHT - BOTTOM, 6])
    .clamp(true);
  const shape = area<number>()
    .x((_, i) => x(i))
    .y0(HEIGHT - BOTTOM)
    .y1((n) => y(n))
    .curve(curveStepAfter);
  const names = channelNames(bins.length);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      width="100%"
      style={{ flex: 'none' }}
      role="img"
      aria-label={`Histogram over ${light} light; darkest tone ${format.percent(black)}, lightest ${format.percent(white)} of the encoded scale`}
    >
      <rect width={WIDTH} height={HEIGHT - BOTTOM} fill="rgba(255,255,255,.35)" />
      {bins.map((b, c) => (
        <path
          key={names[c]}
          d={shape([...b]) ?? ''}
          fill={LOOK[names[c]!]?.fill}
          stroke={LOOK[names[c]!]?.fill.slice(0, 7)}
          strokeWidth={1}
          strokeDasharray={LOOK[names[c]!]?.dash}
        />
      ))}
      {light === 'encoded' &&
        [black, white].map((v, i) => (
          <path
            key={i}
            d={`M${v * WIDTH} 0V${HEIGHT - BOTTOM}`}
            stroke="var(--ink)"
            strokeDasharray="4 4"
          />
        ))}
      <g data-axis>
        {[0, 25, 50, 75, 100].map((p) => (
          <text
            key={p}
            x={(p / 100) * WIDTH}
            y={HEIGHT - BOTTOM + 15}
            textAnchor={p === 0 ? 'start' : p === 100 ? 'end' : 'middle'}
            fontSize={11.5}
            fill="var(--soft)"
          >
            {p === 100 ? `100 % of ${light} light` : p}
          </text>
        ))}
      </g>
    </svg>
  );
}
