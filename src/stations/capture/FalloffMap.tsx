'use client';
import { contours, geoPath, geoTransform, range, scaleLinear } from 'd3';
import type { Evenness } from '@/core/capture/evenness';
import { Plate, useDrawnId } from '@/shell/drawing';
import { useFormat } from '@/shell/figures';

const WIDTH = 770;
const HEIGHT = 470;
const MARGIN = 26;
/** Samples between two cells, so that contours run smoothly. */
const FINER = 6;

interface FalloffMapProps {
  evenness: Evenness;
  /** Proportion of the frame. */
  size: { width?: number; height?: number; columns?: number; rows?: number };
  good: number;
}

/** Values between the cells of a grid, by straight lines. */
function finer(values: readonly number[], columns: number, rows: number) {
  const w = (columns - 1) * FINER + 1;
  const h = (rows - 1) * FINER + 1;
  const out = new Array<number>(w * h);
  const at = (x: number, y: number) =>
    values[Math.min(rows - 1, y) * columns + Math.min(columns - 1, x)]!;
  for (let y = 0; y < h; y += 1)
    for (let x = 0; x < w; x += 1) {
      const [i, j] = [Math.floor(x / FINER), Math.floor(y / FINER)];
      const [u, v] = [x / FINER - i, y / FINER - j];
      const above = at(i, j) + u * (at(i + 1, j) - at(i, j));
      const below = at(i, j + 1) + u * (at(i + 1, j + 1) - at(i, j + 1));
      out[y * w + x] = above + v * (below - above);
    }
  return { w, h, out };
}

/** Falloff over the frame in stops, as contours a sixth of a stop apart, to the frame's proportion. */
export function FalloffMap({ evenness, size, good }: FalloffMapProps) {
  const format = useFormat();
  const frame = useDrawnId('frame');
  const { columns, rows, stops, falloff } = evenness;
  const proportion = (size.width ?? size.columns ?? 3) / (size.height ?? size.rows ?? 2);
  const wide = Math.min(WIDTH - 2 * MARGIN, (HEIGHT - 2 * MARGIN) * proportion);
  const high = wide / proportion;
  const left = (WIDTH - wide) / 2;
  const { w, h, out } = finer(stops, columns, rows);
  const lowest = Math.min(...stops);
  const step = 1 / 6;
  const levels = range(Math.floor(lowest / step), 4).map((k) => k * step);
  const shade = scaleLinear<string>()
    .domain([Math.min(lowest, -0.5), 0, 0.5])
    .range(['#33302c', '#d9d6cf', '#ffffff']);
  const place = geoTransform({
    point(x, y) {
      this.stream.point(
        left + ((x - 0.5) / (w - 1)) * wide,
        MARGIN + ((y - 0.5) / (h - 1)) * high,
      );
    },
  });
  const path = geoPath(place);
  const labels = [
    [1, 1],
    [columns - 2, 1],
    [(columns - 1) / 2, (rows - 1) / 2],
    [1, rows - 2],
    [columns - 2, rows - 2],
  ] as const;
  const said = labels.map(([x, y]) => {
    const value = stops[Math.round(y) * columns + Math.round(x)] ?? 0;
    return `${value > 0 ? '+' : ''}${format.number(value, 2)}`;
  });
  return (
    <Plate
      name="Falloff"
      width={WIDTH}
      height={HEIGHT}
      figures={{
        heads: ['stops', ...range(columns).map((i) => `${i + 1}`)],
        rows: range(rows).map((row) => [
          `row ${row + 1}`,
          ...range(columns).map((i) => format.number(stops[row * columns + i] ?? 0, 2)),
        ]),
      }}
      said={`Falloff of ${format.number(falloff, 2)} stops over the frame; good is within ${format.number(good, 2)}. Against the centre: top left ${said[0]}, top right ${said[1]}, centre ${said[2]}, bottom left ${said[3]}, bottom right ${said[4]}`}
    >
      <rect x={left} y={MARGIN} width={wide} height={high} fill={shade(lowest)} />
      <clipPath id={frame}>
        <rect x={left} y={MARGIN} width={wide} height={high} />
      </clipPath>
      <g clipPath={`url(#${frame})`}>
        {contours()
          .size([w, h])
          .thresholds(levels)(out)
          .map((c) => (
            <path
              key={c.value}
              d={path(c) ?? ''}
              fill={shade(c.value + step / 2)}
              stroke="#161616"
              strokeOpacity={0.45}
              strokeWidth={Math.abs(c.value) < 1e-9 ? 1.6 : 0.7}
            />
          ))}
      </g>
      <rect x={left} y={MARGIN} width={wide} height={high} fill="none" stroke="#161616" />
      {labels.map(([x, y], i) => {
        const inside = (at: number, from: number, to: number) =>
          Math.min(to, Math.max(from, at));
        const px = inside(left + (x / (columns - 1)) * wide, left + 34, left + wide - 34);
        const py = inside(
          MARGIN + (y / (rows - 1)) * high,
          MARGIN + 20,
          MARGIN + high - 18,
        );
        return (
          <g key={`${x} ${y}`}>
            <rect x={px - 27} y={py - 12} width={54} height={22} fill="#ffffffd9" />
            <text x={px} y={py + 4} textAnchor="middle" fontSize={13} fill="#161616">
              {said[i]}
            </text>
          </g>
        );
      })}
      <text x={left} y={HEIGHT - 6} fontSize={12} fill="var(--soft)">
        stops against the centre; one line every sixth of a stop
      </text>
    </Plate>
  );
}
