'use client';
import { area, curveStepAfter, max, scaleLinear, scaleSqrt, sum } from 'd3';
import { Plate } from '@/shell/drawing';
import { useFormat } from '@/shell/figures';
import { channelNames } from './words';

const WIDTH = 770;
const HEIGHT = 164;
const BOTTOM = 44;
/** Bands of tone in the table of the same figures. */
const BANDS = 16;
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
  const totals = bins.map((b) => sum(b) || 1);
  // Ends that hold more than the highest of the rest are drawn as high as there is room: their figure stands at them.
  const beyond = (at: number) =>
    bins.flatMap((b, c) =>
      (b.at(at) ?? 0) > highest
        ? [`${names[c]} ${format.percent(b.at(at)! / totals[c]!, 1)}`]
        : [],
    );
  const ends = [beyond(0), beyond(-1)];
  const figures = () => {
    const wide = count / BANDS;
    return Array.from({ length: BANDS }, (_, k) => [
      `${format.number((k / BANDS) * 100, 1)} – ${format.number(((k + 1) / BANDS) * 100, 1)}`,
      ...bins.map((b, c) =>
        format.percent(
          sum(b.slice(Math.floor(k * wide), Math.floor((k + 1) * wide))) / totals[c]!,
          2,
        ),
      ),
    ]);
  };
  return (
    <Plate
      name={`Histogram over ${light} light`}
      width={WIDTH}
      height={HEIGHT}
      style={{ flex: 'none' }}
      said={`Histogram over ${light} light; darkest tone ${format.percent(black)}, lightest ${format.percent(white)} of the encoded scale${ends.flat().length > 0 ? `; higher than drawn at its ends: ${ends.flat().join(', ')} of all` : ''}`}
      figures={{ heads: [`% of ${light} light`, ...names], rows: figures() }}
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
      {ends.map(
        (words, i) =>
          words.length > 0 && (
            <text
              key={i}
              x={i === 0 ? 5 : WIDTH - 5}
              y={i === 0 ? 14 : 30}
              textAnchor={i === 0 ? 'start' : 'end'}
              fontSize={11.5}
              fill="var(--ink)"
            >
              higher than drawn: {words.join(', ')} of all
            </text>
          ),
      )}
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
        <text x={8} y={HEIGHT - 2} fontSize={11.5} fill="var(--soft)">
          pixels, by their square root
        </text>
        {names.map((name, c) => (
          <g key={name}>
            <path
              d={`M${200 + c * 84} ${HEIGHT - 6}h22`}
              stroke={LOOK[name]?.fill.slice(0, 7)}
              strokeWidth={2}
              strokeDasharray={LOOK[name]?.dash}
            />
            <text x={227 + c * 84} y={HEIGHT - 2} fontSize={11.5} fill="var(--soft)">
              {name}
            </text>
          </g>
        ))}
      </g>
    </Plate>
  );
}
